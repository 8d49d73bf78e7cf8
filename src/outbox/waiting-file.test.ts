import type { OutboxItem } from './item';
import { readWaitingFile, waitingFileText } from './waiting-file';

/** What waits on a device, saved to a file and given back. */
const item = (n: number, more: Partial<OutboxItem> = {}): OutboxItem => ({
  ...{ id: `id-${n}`, what: 'Avocet, note', order: n, state: 'waiting', problems: [] },
  form: {
    ...{ id: `id-${n}`, batch: 'b', kind: 'note', at: '2026-05-18T10:00:00.000Z', by: 'Jo' },
    data: { words: 'läuft – 55 °C' },
  },
  ...more,
});

test('what was saved comes back: entries, whose they are, and pictures to the byte', async () => {
  const photo = new Blob([Uint8Array.from({ length: 70_000 }, (_, i) => i % 256)]);
  const refused = item(2, {
    state: 'refused',
    problems: [{ path: 'at', message: 'in the future' }],
  });
  const text = await waitingFileText([item(1), refused, item(3, { photo })], 0);
  const back = readWaitingFile(text)!;
  expect(back.map((i) => i.form)).toEqual([item(1), refused, item(3)].map((i) => i.form));
  // What was refused there is asked for anew.
  expect(back.map((i) => [i.state, i.problems])).toEqual(Array(3).fill(['waiting', []]));
  expect(back[0]).not.toHaveProperty('photo');
  const bytes = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());
  expect(await bytes(back[2]!.photo!)).toEqual(await bytes(photo));
});

test.each([
  ['no JSON', '{'],
  ['another file', '{"format":"zealous-heap/batch","items":[]}'],
  ['no list', '{"format":"zealous-heap/waiting","items":{}}'],
  [
    'an entry without its form',
    '{"format":"zealous-heap/waiting","items":[{"id":"a","what":"b"}]}',
  ],
  ['nothing', 'null'],
])('%s is none', (_what, text) => {
  expect(readWaitingFile(text)).toBeNull();
});
