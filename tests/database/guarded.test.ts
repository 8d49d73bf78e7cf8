import { foldBatch } from '@/core/log/fold';
import { chainRepo } from '@/db/repositories/chain';
import { logRepo } from '@/db/repositories/log';
import { siteRepo } from '@/db/repositories/site';
import { ClockSetBack, writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { actAs, memberAccess } from '../support/access';
import { aSite, freshDatabase } from '../support/database';
import { batchId, entryId } from '../support/ids';
import { closePools, pointPoolsAt } from '../support/pools';
import { inSpeech } from '@/platform/request-speech';

/** A page is not made anew where there is none. */
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

/** What must never come twice, never break the log, and never go out unknowing. */
let t: Awaited<ReturnType<typeof freshDatabase>>;
let door: typeof import('@/entry/server/ingest-entry');
let receive: typeof import('@/entry/server/receive').receive;
let bringIn: typeof import('@/features/bring/server/bring-in').bringIn;
beforeAll(async () => {
  t = await freshDatabase();
  pointPoolsAt(t);
  door = await import('@/entry/server/ingest-entry');
  ({ receive } = await import('@/entry/server/receive'));
  ({ bringIn } = await import('@/features/bring/server/bring-in'));
}, 30_000);
afterAll(async () => {
  await closePools();
  await t.drop();
}, 30_000);

const H = 3_600_000;
const iso = (at: number): string => new Date(at).toISOString();
const post = (body: unknown): Request =>
  new Request('http://hub.test/api', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
const csv = (openedId: string, more: object = {}) => ({
  openedId,
  by: 'Mo',
  rules: ['practice-weed-seed-week'],
  brought: {
    kind: 'csv',
    rows: [
      ['time', 'point', 'value'],
      ...[0, 12, 24].flatMap((h) =>
        ['a', 'b', 'c'].map((p) => [
          iso(Date.UTC(2026, 4, 2) + h * H)
            .slice(0, 16)
            .replace('T', ' '),
          p,
          '60',
        ]),
      ),
    ],
    options: { shape: 'long', unit: 'C', timeZone: 'UTC', dateOrder: 'dmy' },
    batch: {
      code: 'BR',
      name: 'Brambling',
      method: 'turned',
      builtLocal: '2026-05-01T12:00',
      siteName: 'Far field',
    },
    ...more,
  },
});

test('before the hub has a site nothing is taken, and the answer says so', async () => {
  const answers = [
    await receive(post({ sentAt: Date.now(), entries: [] })),
    await bringIn(post(csv(newId()))),
  ];
  expect(answers.map((a) => a.status)).toEqual([409, 409]);
  expect(JSON.stringify(await answers[0]!.json())).toMatch(/no site yet/);
});

describe('an import', () => {
  beforeAll(async () => {
    actAs(memberAccess(await aSite(t.app), 'manager'));
  });
  const id = newId();
  test('sent again and again, also all at one time, is there once, and each answer says that it is done', async () => {
    const answers = await Promise.all(Array.from({ length: 4 }, () => bringIn(post(csv(id)))));
    expect(answers.map((a) => a.status)).toEqual([200, 200, 200, 200]);
    const once = await logRepo(t.app).ofBatch(batchId(id));
    expect((await bringIn(post(csv(id)))).status).toBe(200);
    expect(await logRepo(t.app).ofBatch(batchId(id))).toEqual(once);
    expect(foldBatch(once).readings).toHaveLength(9);
  });
  test('sent again in another language it is the same, and the opening entry names what was imported', async () => {
    const inSpanish = await inSpeech(
      { language: 'es', units: { system: 'metric', temp: 'C' } },
      () => bringIn(post(csv(id))),
    );
    expect(inSpanish.status).toBe(200);
    const { digest } = (await inSpanish.json()) as { digest: string };
    expect((await logRepo(t.app).ofBatch(batchId(id)))[0]).toMatchObject({
      data: { brought: { digest } },
    });
  });
  test('with other content under the same id is refused whole, and what is there stays', async () => {
    const before = await logRepo(t.app).ofBatch(batchId(id));
    const other = csv(id);
    other.brought.rows[1]![2] = '44';
    const answer = await bringIn(post(other));
    expect(answer.status).toBe(409);
    expect(JSON.stringify(await answer.json())).toMatch(/other content\. Nothing was saved/);
    expect(await logRepo(t.app).ofBatch(batchId(id))).toEqual(before);
  });
  test('a zone that is none is refused at the door, by its name', async () => {
    const wrong = csv(newId(), {
      options: { shape: 'long', unit: 'C', timeZone: 'Mars/Olympus', dateOrder: 'dmy' },
    });
    const answer = await bringIn(post(wrong));
    expect(answer.status).toBe(400);
    expect(JSON.stringify(await answer.json())).toMatch(/timeZone/);
  });
});

async function aHeap(more: object = {}): Promise<string> {
  const id = newId();
  expect(
    await door.ingestEntry({
      id,
      batch: id,
      kind: 'opened',
      at: iso(Date.now() - 300 * H),
      by: 'Mo',
      data: {
        code: `X${id.slice(-6)}`,
        method: 'turned',
        points: ['P1', 'P2', 'P3'].map((p) => ({ id: p, label: p })),
        inputs: ['manure'],
        rules: ['us-503-pfrp-turned'],
        ...more,
      },
    }),
  ).toEqual({ ok: true, already: false });
  expect(
    await door.ingestEntry({
      id: newId(),
      batch: id,
      kind: 'built',
      at: iso(Date.now() - 299 * H),
      by: 'Mo',
      data: {},
    }),
  ).toEqual({ ok: true, already: false });
  return id;
}
const say = (batch: string, kind: string, data: object, hoursAgo = 1, id = newId()) =>
  door.ingestEntry({
    id,
    batch,
    kind: kind as 'note',
    at: iso(Date.now() - hoursAgo * H),
    by: 'Mo',
    data: data as Record<string, unknown>,
  });

describe('the chain', () => {
  test('half an emoji and a NUL are refused with the place; letters in two spellings are one; the chain holds', async () => {
    const heap = await aHeap();
    for (const words of ['half \ud83d an emoji', 'a \u0000 in it'])
      expect(await say(heap, 'note', { words })).toMatchObject({
        ok: false,
        problems: [{ path: 'data.words' }],
      });
    expect(await say(heap, 'note', { words: 'Zˇuve\u0307dra 🐦' })).toMatchObject({ ok: true });
    expect(await chainRepo(t.app).checkChain((await siteRepo(t.app).first())!.id)).toMatchObject({
      faults: [],
    });
  });
  test('a clock that was set back writes nothing, and says what to do; two seconds do no harm', async () => {
    const site = (await siteRepo(t.app).first())!;
    const note = (batch: string, at: number) => ({
      id: entryId(newId()),
      batch: batchId(batch),
      at,
      by: 'Mo',
      kind: 'note' as const,
      data: { words: 'here' },
    });
    const heap = await aHeap();
    const last = (await logRepo(t.app).ofBatch(batchId(heap))).at(-1)!.recordedAt;
    await expect(writeEntries(t.app, site, [note(heap, last - 2 * H)], last - H)).rejects.toThrow(
      ClockSetBack,
    );
    await writeEntries(t.app, site, [note(heap, last - 2 * H)], last - 1500);
    const times = (await logRepo(t.app).ofBatch(batchId(heap))).map((e) => e.recordedAt);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });
});

describe('going out', () => {
  test('an unproven, unread heap with manure goes out only by somebody who says that it is known', async () => {
    const heap = await aHeap();
    expect(await say(heap, 'ready', {})).toMatchObject({
      ok: false,
      problems: [
        {
          path: 'data.knowing',
          message: expect.stringMatching(/has not met any rule.*Its temperature was never taken/),
        },
      ],
    });
    expect(await say(heap, 'ended', { reason: 'matured', knowing: ['unproven'] })).toMatchObject({
      ok: false,
    });
    expect(await say(heap, 'ready', { knowing: ['unproven', 'unread'] })).toMatchObject({
      ok: true,
    });
  });
  test('given up is no going out: nobody has to know anything', async () => {
    expect(await say(await aHeap(), 'ended', { reason: 'gave-up' })).toMatchObject({ ok: true });
  });
});

describe('a work that was logged wrongly', () => {
  test('is put right in its time and kind; the log keeps both, the past counts the new one', async () => {
    const heap = await aHeap();
    const turned = newId();
    await say(heap, 'turn', { full: true, words: 'by fork' }, 100, turned);
    const at = Date.now() - 90 * H;
    expect(
      await say(heap, 'correction', {
        target: turned,
        reason: 'it was later, and only the half of it',
        instead: { at: iso(at), data: { full: false, words: 'by fork' } },
      }),
    ).toMatchObject({ ok: true });
    const state = foldBatch(await logRepo(t.app).ofBatch(batchId(heap)));
    const turns = state.own.filter((e) => e.kind === 'turn');
    expect(turns).toMatchObject([{ at, data: { full: false } }]);
    expect(
      (await logRepo(t.app).ofBatch(batchId(heap))).find((e) => e.id === turned),
    ).toMatchObject({
      data: { full: true },
    });
  });
  test('a round or an opening is not put right that way', async () => {
    const heap = await aHeap();
    expect(
      await say(heap, 'correction', {
        target: heap,
        reason: 'another code',
        instead: { data: { code: 'Y' } },
      }),
    ).toMatchObject({ ok: false });
  });
});
