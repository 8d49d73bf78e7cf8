import type { ChainFault } from '@/core/log/chain';
import { canonicalJson } from '@/core/log/entry';
import { foldBatch } from '@/core/log/fold';
import { findLostHeads } from '@/core/log/heads';
import type { BatchId } from '@/core/log/ids';
import { applySite, createBatchSnapshot, type BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { siteConditionsOf } from '@/core/snapshot/site-conditions';
import { firstOf } from '@/core/quantity/present';
import type { Db } from './client';
import { auditFaults } from './check-audit';
import { rememberFaults } from './known-faults';
import { chainCheckRepo } from './repositories/chain-checks';
import { chainRepo, type ChainReport } from './repositories/chain';
import { logRepo } from './repositories/log';
import { photoRepo } from './repositories/photos';
import { siteRepo, type Site } from './repositories/site';
import { snapshotRepo } from './repositories/snapshots';
import { hasMemory, readMemory } from './site-heads';

/** How a batch is taken for a look at its snapshot: as many as this each time, another part each day. */
const SNAPSHOTS_AT_ONCE = 20;
const DAY_MS = 86_400_000;

/** What the site calls itself was sealed when it was named. */
async function siteFaults(db: Db, site: Site): Promise<ChainFault[]> {
  const isAsSealed = await siteRepo(db).isAsSealed(site);
  if (isAsSealed === true || !hasMemory()) return [];
  return [{ code: isAsSealed === null ? 'SITE_UNSEALED' : 'SITE_CHANGED', seq: 0, id: site.id }];
}

/** Nothing is remembered of a log that holds entries: each time that it is gone is a fault of its own. */
async function memoryGone(db: Db, site: Site): Promise<ChainFault[]> {
  if ((await chainRepo(db).head(site.id)) === null) return [];
  const before = (await chainRepo(db).signedOfKind(site.id, 'fault-noted')).filter((e) =>
    e.data.faults.some((f) => f.code === 'MEMORY_GONE'),
  );
  return [{ code: 'MEMORY_GONE', seq: 0, id: `${site.id}:${before.length}` }];
}

/** What the installation remembers outside the database and the log does not bear out. */
export async function memoryFaults(db: Db, site: Site): Promise<ChainFault[]> {
  if (!hasMemory()) return [];
  const { signedFrom, heads, end } = readMemory(site.id);
  if (signedFrom === null) return memoryGone(db, site);
  const ends = [...heads, ...(end === null ? [] : [end])];
  const there = await chainRepo(db).hashesAt(
    site.id,
    ends.map((h) => h.seq),
  );
  const restores = (await chainRepo(db).signedOfKind(site.id, 'restored')).map((e) => ({
    ...{ after: e.data.after, upTo: e.data.upTo, at: e.recordedAt },
  }));
  const lost = findLostHeads(ends, there, restores);
  // The last end is often one that was laid as well.
  return [...new Map(lost.map((h) => [h.hash, h])).values()].map(({ seq, hash }) => ({
    ...{ code: 'HEAD_LOST' as const, seq, id: hash },
  }));
}

/** Pictures that entries speak of: whether each is there, and is what it was. */
async function photoFaults(db: Db, site: string): Promise<ChainFault[]> {
  const faults: ChainFault[] = [];
  for (const { seq, id, sha256 } of await chainRepo(db).photosNamed(site)) {
    const [found, small] = [await photoRepo(db).hashOf(sha256), await photoRepo(db).small(sha256)];
    if (found === sha256 && small?.isAsMade !== false) continue;
    faults.push({ code: found === null ? 'PHOTO_MISSING' : 'PHOTO_CHANGED', seq, id });
  }
  return faults;
}

/** What may still come was worked out from the moment of folding, and is another at each; so is when a note is of now. */
const OUTLOOK = new Set(['recheckAt', 'earliestProofAt']);
function withoutOutlook(key: string, value: unknown): unknown {
  if (OUTLOOK.has(key)) return undefined;
  return key === 'notes' && Array.isArray(value)
    ? (value as readonly { readonly code?: string }[]).map((n) => n.code)
    : value;
}

/** Batches whose stored snapshots are not what the log folds to now. */
async function differingSnapshots(
  db: Db,
  site: Site,
  batches: readonly BatchId[],
  now: number,
): Promise<BatchId[]> {
  const siteState = await snapshotRepo(db).siteState(site);
  const conditions = siteConditionsOf(siteState, site);
  const { snapshots } = await snapshotRepo(db).read(site, now);
  const textOf = (s: BatchSnapshot): string =>
    canonicalJson(JSON.parse(JSON.stringify(applySite(s, conditions, now), withoutOutlook)));
  const stored = new Map(snapshots.map((s) => [s.id, textOf(s)]));
  const found: BatchId[] = [];
  for (const batch of batches) {
    const state = foldBatch(await logRepo(db).ofBatch(batch));
    const fresh = createBatchSnapshot(state, site, siteState, now);
    if (stored.get(batch) !== textOf(fresh)) found.push(batch);
  }
  return found;
}

/** Some batches each day: whether their snapshots are what the log folds to. */
async function snapshotFaults(db: Db, site: Site, now: number): Promise<ChainFault[]> {
  const ids = await logRepo(db).batchIds(site.id);
  if (ids.length === 0) return [];
  const parts = Math.ceil(ids.length / SNAPSHOTS_AT_ONCE);
  const part = Math.floor(now / DAY_MS) % parts;
  const some = ids.slice(part * SNAPSHOTS_AT_ONCE, (part + 1) * SNAPSHOTS_AT_ONCE);
  const differing = await differingSnapshots(db, site, some, now);
  const faults: ChainFault[] = [];
  for (const batch of differing) {
    const { seq, id } = firstOf(await logRepo(db).ofBatch(batch));
    faults.push({ code: 'SNAPSHOT_DIFFERS', seq, id });
  }
  return faults;
}

/** Checks a whole log: its chain, sequences and signatures, the pictures that it speaks of, and some of what was folded from it. */
export async function checkLog(db: Db, site: Site, now: number): Promise<ChainReport> {
  const { entries, faults } = await chainRepo(db).checkChain(site.id);
  return {
    entries,
    faults: [
      ...(await siteFaults(db, site)),
      ...(await auditFaults(db, site.id)),
      ...(await memoryFaults(db, site)),
      ...faults,
      ...(await photoFaults(db, site.id)),
      ...(await snapshotFaults(db, site, now)),
    ],
  };
}

/** The same, and keeps what was found, so that pages and records can say so. */
export async function checkLogAndKeep(db: Db, site: Site, now: number): Promise<ChainReport> {
  const report = await checkLog(db, site, now);
  rememberFaults(site.id, report.faults);
  await chainCheckRepo(db).keep(site.id, now, report);
  return report;
}
