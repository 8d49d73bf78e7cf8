import { foldBatch } from '@/core/log/fold';
import type { NewEntry } from '@/core/log/entry';
import { logRepo } from '@/db/repositories/log';
import { readBatchState } from '@/db/repositories/states';
import type { Site } from '@/db/repositories/site';
import { appendUnderLock, withSiteLock, writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';
import { batchId, entryId } from '../support/ids';

/** What a process remembers of a batch is what its log says, whatever came in between. */
const NOW = Date.UTC(2026, 10, 23, 12);
const H = 3_600_000;
const HEAP = batchId(newId());

let t: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  t = await freshDatabase();
  site = await aSite(t.app);
  await writeEntries(
    t.app,
    site,
    [
      {
        id: entryId(HEAP),
        batch: HEAP,
        at: NOW - 90 * H,
        by: 'Mo',
        kind: 'opened',
        data: {
          code: 'E',
          method: 'static',
          points: [{ id: 'a' }],
          policy: { minPoints: 1 },
          rules: ['us-503-pfrp-static'],
          ownRules: [],
        },
      },
      { id: entryId(newId()), batch: HEAP, at: NOW - 89 * H, by: 'Mo', kind: 'built', data: {} },
    ],
    NOW,
  );
}, 60_000);
afterAll(() => t.drop());

function roundAt(at: number): NewEntry {
  const round = newId();
  return {
    id: entryId(round),
    batch: HEAP,
    at,
    by: 'Mo',
    kind: 'round',
    data: {
      source: 'hand',
      readings: [
        {
          id: `${round}.a`,
          at: new Date(at).toISOString(),
          point: 'a',
          value: 60,
          unit: 'C',
          round,
        },
      ],
    },
  };
}
const anew = async () => foldBatch(await logRepo(t.app).ofBatch(HEAP));

test('a round that comes in is added to what is remembered, and another kind of entry is taken in', async () => {
  const before = await readBatchState(t.app, HEAP);
  expect(await readBatchState(t.app, HEAP)).toBe(before);
  await writeEntries(t.app, site, [roundAt(NOW - 20 * H), roundAt(NOW - 19 * H)], NOW);
  expect(await readBatchState(t.app, HEAP)).toEqual(await anew());
  const turn = { id: entryId(newId()), batch: HEAP, at: NOW - 18 * H, by: 'Mo' };
  await writeEntries(t.app, site, [{ ...turn, kind: 'turn', data: { full: true } }], NOW);
  expect(await readBatchState(t.app, HEAP)).toEqual(await anew());
});

test('a transaction that comes to nothing leaves nothing in memory', async () => {
  const fallen = withSiteLock(t.app, site, async (trx) => {
    await appendUnderLock(trx, site, [roundAt(NOW - 10 * H)], NOW);
    expect((await readBatchState(trx, HEAP))!.readings).toHaveLength(3);
    throw new Error('broken off');
  });
  await expect(fallen).rejects.toThrow('broken off');
  expect((await readBatchState(t.app, HEAP))!.readings).toHaveLength(2);
  await writeEntries(t.app, site, [roundAt(NOW - 9 * H)], NOW);
  expect(await readBatchState(t.app, HEAP)).toEqual(await anew());
});

test('of no batch nothing is known', async () =>
  expect(await readBatchState(t.app, batchId(newId()))).toBeNull());
