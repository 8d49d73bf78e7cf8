import { isFormOfPage, readBody } from './body';

/** What a request brings, as far as it is taken. */
const LIMIT = 1000;
const URL = 'http://127.0.0.1/api/log';
/** A body that comes in pieces, and does not say how long it is. */
function inPieces(pieces: readonly number[], onCancel = () => undefined): Request {
  let next = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      const size = pieces[next];
      next += 1;
      if (size === undefined) controller.close();
      else controller.enqueue(new Uint8Array(size).fill(next));
    },
    cancel: onCancel,
  });
  return new Request(URL, { method: 'POST', body, duplex: 'half' } as RequestInit);
}

test.each([
  ['nothing', []],
  ['one piece', [7]],
  ['exactly as much as is taken', [400, 600]],
])('%s is read whole', async (_name, pieces) => {
  const read = await readBody(inPieces(pieces), LIMIT);
  const expected = pieces.flatMap((size, i) => Array<number>(size).fill(i + 1));
  expect(read).toEqual({ ok: true, bytes: Buffer.from(expected) });
});

test('one byte more is refused', async () => {
  expect(await readBody(inPieces([400, 601]), LIMIT)).toEqual({
    ok: false,
    why: 'large',
    size: 1001,
  });
});

test('what says that it is too large is not read at all', async () => {
  const request = new Request(URL, {
    ...{ method: 'POST', headers: { 'content-length': '5000' }, body: 'x'.repeat(10) },
  });
  expect(await readBody(request, LIMIT)).toEqual({ ok: false, why: 'large', size: 5000 });
  expect(request.bodyUsed).toBe(false);
});

test('what says that it is small and is not, is stopped on the way', async () => {
  let isStopped = false;
  const endless = inPieces(Array<number>(1000).fill(300), () => {
    isStopped = true;
    return undefined;
  });
  endless.headers.set('content-length', '12');
  expect(await readBody(endless, LIMIT)).toEqual({ ok: false, why: 'large', size: 1200 });
  expect(isStopped).toBe(true);
});

test.each([
  ['application/x-www-form-urlencoded', true],
  ['application/x-www-form-urlencoded;charset=UTF-8', true],
  ['application/json', false],
  ['multipart/form-data; boundary=x', false],
])('%s comes from a form of a page: %s', (type, is) =>
  expect(isFormOfPage(new Headers({ 'content-type': type }))).toBe(is),
);
test('what says nothing of its kind comes from none', () =>
  expect(isFormOfPage(new Headers())).toBe(false));

test('a body that was cut off on its way is not taken for the whole', async () => {
  const request = new Request('http://127.0.0.1/', {
    method: 'POST',
    headers: { 'content-length': '900' },
    body: 'x'.repeat(400),
  });
  const read = await readBody(request, LIMIT);
  expect(read).toEqual({ ok: false, why: 'cut', size: 400, told: 900 });
});
