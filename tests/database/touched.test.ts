import type { NewEntry } from '@/core/log/entry';
import { applySite } from '@/core/snapshot/batch-snapshot';
import { siteConditionsOf } from '@/core/snapshot/site-conditions';
import { checkLog } from '@/db/check-log';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { rebuildSnapshots, writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';
import { batchId, entryId } from '../support/ids';

/** What an entry folds anew, and that what it leaves alone is still what it would be if all were folded anew. */
const NOW = Date.UTC(2026, 10, 23, 12);
const H = 3_600_000;
const PLACES = ['a', 'b', 'c'];
const [HOT, OTHER, COLD] = ['hot', 'other', 'cold'].map(() => newId()) as [string, string, string];

let t: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  t = await freshDatabase();
  site = await aSite(t.app);
  for (const id of [HOT, OTHER, COLD]) await write(opened(id), of(id, 'built', {}, NOW - 90 * H));
  await write(
    roundOf(HOT, 'T1', 62, NOW - 20 * H),
    roundOf(OTHER, 'T2', 60, NOW - 20 * H),
    roundOf(COLD, 'T2', 2, NOW - 20 * H),
  );
}, 60_000);
afterAll(() => t.drop());

/** Entries as they come in, all in one minute: what time alone changes is another test’s. */
async function write(...entries: NewEntry[]): Promise<number[]> {
  const { entries: written } = await writeEntries(t.app, site, entries, NOW);
  const touched = await snapshotRepo(t.app).touchedBy(site, written);
  return touched.map((id) => [HOT, OTHER, COLD].indexOf(id)).sort();
}
const of = <K extends NewEntry['kind']>(
  batch: string | null,
  kind: K,
  data: Extract<NewEntry, { kind: K }>['data'],
  at = NOW,
): NewEntry =>
  ({
    id: entryId(newId()),
    batch: batch && batchId(batch),
    at,
    by: 'Mo',
    kind,
    data,
  }) as unknown as NewEntry;
const opened = (id: string): NewEntry => ({
  ...of(
    id,
    'opened',
    {
      code: id.slice(-4),
      name: 'Egret',
      method: 'static',
      points: PLACES.map((p) => ({ id: p })),
      policy: {},
      rules: ['us-503-pfrp-static'],
      ownRules: [],
    },
    NOW - 96 * H,
  ),
  id: entryId(id),
});
function roundOf(batch: string, probe: string, value: number, at: number): NewEntry {
  const round = newId();
  return of(
    batch,
    'round',
    {
      source: 'hand',
      readings: PLACES.map((point) => ({
        id: `${round}.${point}`,
        at: new Date(at).toISOString(),
        point,
        value,
        unit: 'C' as const,
        probe,
        round,
      })),
    },
    at,
  );
}

/** What the board shows, and what it would show if every snapshot were dropped and made anew. */
async function boards() {
  const repo = snapshotRepo(t.app);
  const conditions = siteConditionsOf(await repo.siteState(site), site);
  const byId = <T extends { id: string }>(list: readonly T[]): T[] =>
    [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
  const shown = byId(await repo.board(site, NOW));
  await rebuildSnapshots(t.app, site, NOW);
  const { snapshots } = await repo.read(site, NOW);
  return { shown, anew: byId(snapshots.map((s) => applySite(s, conditions, NOW))) };
}
async function expectRight(): Promise<void> {
  const { shown, anew } = await boards();
  expect(shown).toEqual(anew);
}

test('a round folds its own batch', async () => {
  expect(await write(roundOf(HOT, 'T1', 61, NOW - 8 * H))).toEqual([0]);
  await expectRight();
});
test('the air folds a batch so cold that it may sleep, and every other shows it all the same', async () => {
  expect(await write(of(null, 'ambient', { value: -4, unit: 'C' }))).toEqual([2]);
  const { shown, anew } = await boards();
  expect(shown).toEqual(anew);
  expect(shown.map((s) => s.situation.airC)).toEqual([-4, -4, -4]);
  expect(shown.find((s) => s.id === batchId(COLD))?.situation.stage.code).toBe('dormant');
});
test('a thermometer check folds what was read with it; put right, the same again', async () => {
  const check = of(null, 'probe-check', { probe: 'T2', referenceC: 0, readC: 4 });
  expect(await write(check)).toEqual([1, 2]);
  await expectRight();
  expect(await write(of(null, 'correction', { target: check.id, reason: 'that was T1' }))).toEqual([
    1, 2,
  ]);
  await expectRight();
});
test('a thermometer that nothing was read with, and an order of the walk, fold nothing', async () => {
  expect(await write(of(null, 'probe-check', { probe: 'T9', referenceC: 0, readC: 1 }))).toEqual(
    [],
  );
  expect(await write(of(null, 'walk-order', { batches: [] }))).toEqual([]);
  await expectRight();
});
test('another process sees what this one wrote: the board goes by the log’s last entry', async () => {
  const before = await snapshotRepo(t.app).board(site, NOW);
  expect(await logRepo(t.app).lastHash(site.id, 'all')).not.toBe('');
  await write(roundOf(OTHER, 'T2', 66, NOW - 2 * H));
  const after = await snapshotRepo(t.admin).board(site, NOW);
  expect(after).not.toEqual(before);
  expect(after.find((s) => s.id === batchId(OTHER))?.latest?.valueC).toBe(66);
});
test('a round of before a split that a phone brings late: what the part shows is what the log folds to, and no fault', async () => {
  const part = newId();
  const [splitAt, born] = [NOW - 12 * H, opened(part)];
  const carried = {
    ...born,
    at: splitAt,
    data: { ...born.data, splitFrom: { batch: batchId(HOT), at: splitAt, share: 0.4 } },
  } as NewEntry;
  await writeEntries(t.app, site, [carried], NOW);
  const late = roundOf(HOT, 'T1', 71, NOW - 15 * H);
  const { entries } = await writeEntries(t.app, site, [late], NOW);
  expect(await snapshotRepo(t.app).touchedBy(site, entries)).toEqual([batchId(HOT), batchId(part)]);
  expect((await checkLog(t.app, site, NOW)).faults).toEqual([]);
  await expectRight();
  // Of after the split it is the parent's own.
  const after = await writeEntries(t.app, site, [roundOf(HOT, 'T1', 58, NOW - 3 * H)], NOW);
  expect(await snapshotRepo(t.app).touchedBy(site, after.entries)).toEqual([batchId(HOT)]);
  // Put right in the past that they share, both change.
  const wrong = of(HOT, 'correction', { target: late.id, reason: 'another heap' });
  const right = await writeEntries(t.app, site, [wrong], NOW);
  expect(await snapshotRepo(t.app).touchedBy(site, right.entries)).toContain(batchId(part));
  expect((await checkLog(t.app, site, NOW)).faults).toEqual([]);
  await expectRight();
});
