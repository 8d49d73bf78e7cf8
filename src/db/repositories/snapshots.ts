import { sql } from 'kysely';
import { ASLEEP_CORE_C } from '@/core/advice/stage';
import { getKindDescription, type Entry } from '@/core/log/entry';
import { foldSite, type SiteState } from '@/core/log/fold';
import type { BatchId, EntryId } from '@/core/log/ids';
import { findTouched } from '@/core/log/lineage';
import { applySite, createBatchSnapshot, type BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { assessGrowing } from '@/core/snapshot/growing-assessment';
import { siteConditionsOf } from '@/core/snapshot/site-conditions';
import type { Db } from '../client';
import { createMemory } from '@/platform/memory';
import { present } from '@/core/quantity/present';
import { isAsSealed, sealSnapshot, type SnapshotRow } from '../seal-snapshot';
import { chainCheckRepo } from './chain-checks';
import { logRepo } from './log';
import { readBatchState } from './states';
import type { Site } from './site';

/** All batches of a site, and when the first of them is due to be looked at again; null: never. */
type Board = { readonly snapshots: readonly BatchSnapshot[]; readonly recheckAt: number | null };

const siteStates = createMemory<SiteState>();
const boards = createMemory<Board>();

/** The site as its own entries tell it; read anew only when one has come in. */
async function readSiteState(db: Db, site: string): Promise<SiteState> {
  const hash = await logRepo(db).lastHash(site, 'site');
  return (
    siteStates.recall(site, hash) ??
    siteStates.keep(site, hash, foldSite(await logRepo(db).ofSite(site)))
  );
}

/** JSON has no infinity and would say null: an old entry that is out of all bounds is a very large number, and is shown as one. */
const asFinite = (_key: string, value: unknown): unknown =>
  value === Infinity || value === -Infinity ? Math.sign(value) * Number.MAX_VALUE : value;

/** Makes a batch's snapshot and keeps it, with what says whether an entry of the site can change it. */
async function writeSnapshot(
  db: Db,
  site: Site,
  siteState: SiteState,
  batch: BatchId,
  now: number,
): Promise<BatchSnapshot> {
  const state = present(await readBatchState(db, batch), 'the batch whose snapshot is made');
  const assessment = assessGrowing(state, site, siteState, now);
  const snapshot = createBatchSnapshot(state, site, siteState, now, assessment);
  const facts = {
    digest: JSON.stringify(snapshot, asFinite),
    recheck_at: snapshot.recheckAt === null ? null : new Date(snapshot.recheckAt),
    probes: [...snapshot.own.probes],
    core_c: snapshot.situation.lastRead?.coreC ?? null,
    last_hash: await logRepo(db).lastHashOfBatch(batch),
  };
  const row = { ...facts, mac: sealSnapshot({ ...facts, site: site.id, batch }) };
  await db
    .insertInto('batch_snapshot')
    .values({ batch, site: site.id, ...row })
    .onConflict((c) => c.column('batch').doUpdateSet(row))
    .execute();
  return snapshot;
}

async function readWith(db: Db, site: string, probe: string): Promise<BatchId[]> {
  const rows = await db
    .selectFrom('batch_snapshot')
    .select('batch')
    .where('site', '=', site)
    .where(sql<boolean>`probes @> array[${probe}]::text[]`)
    .execute();
  return rows.map((row) => row.batch);
}

async function nearlyAsleep(db: Db, site: string): Promise<BatchId[]> {
  const rows = await db
    .selectFrom('batch_snapshot')
    .select('batch')
    .where('site', '=', site)
    .where('core_c', '<', ASLEEP_CORE_C)
    .execute();
  return rows.map((row) => row.batch);
}

/** Batches whose snapshots an entry can change, by what its kind says. */
async function touchedByOne(db: Db, site: string, entry: Entry): Promise<BatchId[]> {
  if (entry.batch !== null) {
    const own = { ...entry, batch: entry.batch };
    return (await findTouched(own, (batch) => logRepo(db).heirsOf(batch))).map((t) => t.batch);
  }
  switch (getKindDescription(entry.kind).snapshots) {
    case 'read-with':
      return entry.kind === 'probe-check' ? readWith(db, site, entry.data.probe) : [];
    case 'asleep':
      return nearlyAsleep(db, site);
    case 'target': {
      const target = entry.kind === 'correction' ? await logRepo(db).byId(entry.data.target) : null;
      return target ? touchedByOne(db, site, target) : [];
    }
    default:
      return [];
  }
}

type ReadRow = {
  readonly row: SnapshotRow & { readonly batch: BatchId };
  readonly mac: string | null;
  /** Hash of the entry that the batch ends with now. */ readonly now_hash: string | null;
};
/** The snapshots of a site as they are kept, with where their batches end now. */
async function readRows(db: Db, site: string): Promise<ReadRow[]> {
  const rows = await db
    .selectFrom('batch_snapshot as s')
    .select(['s.batch', 's.site', 's.recheck_at', 's.probes', 's.core_c', 's.last_hash', 's.mac'])
    .select(sql<string>`s.digest::text`.as('digest'))
    .select((w) =>
      w
        .selectFrom('log_entry as e')
        .select('e.hash')
        .whereRef('e.batch', '=', 's.batch')
        .orderBy('e.seq', 'desc')
        .limit(1)
        .as('now_hash'),
    )
    .where('s.site', '=', site)
    .execute();
  return rows.map(({ mac, now_hash, ...row }) => ({ row, mac, now_hash }));
}

/** Tells of a snapshot that was changed in the database: it is folded anew, and named. */
async function nameChanged(
  db: Db,
  site: string,
  { batch }: SnapshotRow,
  now: number,
): Promise<void> {
  const first = await logRepo(db).byId(batch as EntryId);
  if (first)
    await chainCheckRepo(db).add(site, now, {
      ...{ code: 'SNAPSHOT_DIFFERS', seq: first.seq, id: first.id },
    });
}

export const snapshotRepo = (db: Db) => ({
  /** Batches whose snapshots these entries can change. */
  async touchedBy(site: Site, entries: readonly Entry[]): Promise<BatchId[]> {
    const touched = new Set<BatchId>();
    for (const entry of entries)
      for (const batch of await touchedByOne(db, site.id, entry)) touched.add(batch);
    return [...touched];
  },
  /** Folds these batches anew; in the transaction of the entry that made it needful. */
  async refresh(site: Site, batches: readonly BatchId[], now: number): Promise<BatchSnapshot[]> {
    if (batches.length === 0) return [];
    const siteState = await readSiteState(db, site.id);
    const snapshots: BatchSnapshot[] = [];
    for (const batch of batches)
      snapshots.push(await writeSnapshot(db, site, siteState, batch, now));
    return snapshots;
  },
  /** The site as its own entries tell it. */
  siteState: (site: Site): Promise<SiteState> => readSiteState(db, site.id),
  /** All batches of a site as of now, read once for each change of the log. Those whose standing time alone has changed are folded anew first. */
  async board(site: Site, now: number): Promise<BatchSnapshot[]> {
    const hash = await logRepo(db).lastHash(site.id, 'all');
    const known = boards.recall(site.id, hash);
    const isCurrent = known && (known.recheckAt === null || known.recheckAt > now);
    const { snapshots } = isCurrent
      ? known
      : boards.keep(site.id, hash, await this.read(site, now));
    const conditions = siteConditionsOf(await readSiteState(db, site.id), site);
    return snapshots.map((snapshot) => applySite(snapshot, conditions, now));
  },
  /** Reads every snapshot out of the database. */
  async read(site: Site, now: number): Promise<Board> {
    const rows = await readRows(db, site.id);
    const changed = rows.filter(({ row, mac, now_hash }) => !isAsSealed(row, mac, now_hash));
    for (const { row, mac } of changed) if (mac !== null) await nameChanged(db, site.id, row, now);
    const due = rows
      .filter(
        ({ row }) =>
          (row.recheck_at !== null && row.recheck_at.getTime() <= now) ||
          changed.some((c) => c.row.batch === row.batch),
      )
      .map(({ row }) => row.batch);
    const fresh = new Map((await this.refresh(site, due, now)).map((s) => [s.id, s]));
    const snapshots = rows.map(
      ({ row }) => fresh.get(row.batch) ?? (JSON.parse(row.digest) as BatchSnapshot),
    );
    const rechecks = snapshots.flatMap((s) => s.recheckAt ?? []);
    return { snapshots, recheckAt: rechecks.length > 0 ? Math.min(...rechecks) : null };
  },
  /** What a batch is called; null: there is no such batch. */
  async nameOf(batch: string): Promise<string | null> {
    const row = await db
      .selectFrom('batch_snapshot')
      .select(sql<string>`coalesce(digest->>'name', digest->>'code')`.as('name'))
      .where(sql`batch::text`, '=', batch)
      .executeTakeFirst();
    return row?.name ?? null;
  },
  async dropAll(site: string): Promise<void> {
    await db.deleteFrom('batch_snapshot').where('site', '=', site).execute();
  },
});
