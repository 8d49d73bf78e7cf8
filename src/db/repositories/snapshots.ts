import type { BatchId } from '@/core/log/ids';
import { createBatchSnapshot, type BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { foldBatch, foldSite, type SiteState } from '@/core/log/fold';
import type { Db } from '../client';
import { logRepo } from './log';
import type { Site } from './site';

export const snapshotRepo = (db: Db) => {
  const write = async (
    site: Site,
    siteState: SiteState,
    batch: BatchId,
    now: number,
  ): Promise<BatchSnapshot> => {
    const snapshot = createBatchSnapshot(
      foldBatch(await logRepo(db).ofBatch(batch)),
      site,
      siteState,
      now,
    );
    const row = {
      digest: JSON.stringify(snapshot),
      recheck_at: snapshot.recheckAt === null ? null : new Date(snapshot.recheckAt),
    };
    await db
      .insertInto('batch_snapshot')
      .values({ batch, site: site.id, ...row })
      .onConflict((c) => c.column('batch').doUpdateSet(row))
      .execute();
    return snapshot;
  };
  return {
    /** Folds these batches anew; in the transaction of the entry that made it needful. */
    async refresh(site: Site, batches: readonly BatchId[], now: number): Promise<BatchSnapshot[]> {
      const siteState = foldSite(await logRepo(db).ofSite(site.id));
      const snapshots: BatchSnapshot[] = [];
      for (const batch of batches) snapshots.push(await write(site, siteState, batch, now));
      return snapshots;
    },
    /** All batches of a site as of now. Those whose standing time alone has changed are folded anew first. */
    async board(site: Site, now: number): Promise<BatchSnapshot[]> {
      const rows = await db
        .selectFrom('batch_snapshot')
        .select(['batch', 'digest', 'recheck_at'])
        .where('site', '=', site.id)
        .execute();
      const due = rows
        .filter((row) => row.recheck_at !== null && row.recheck_at.getTime() <= now)
        .map((row) => row.batch);
      const fresh = due.length > 0 ? await this.refresh(site, due, now) : [];
      const byId = new Map(fresh.map((d) => [d.id, d]));
      return rows.map((row) => byId.get(row.batch) ?? row.digest);
    },
    async all(site: string): Promise<BatchSnapshot[]> {
      return (
        await db
          .selectFrom('batch_snapshot')
          .select('digest')
          .where('site', '=', site)
          .orderBy('batch')
          .execute()
      ).map((row) => row.digest);
    },
    async dropAll(site: string): Promise<void> {
      await db.deleteFrom('batch_snapshot').where('site', '=', site).execute();
    },
  };
};
