import { SITE_KINDS, STORE_KINDS, type NewEntry } from '@/core/log/entry';
import type { Db } from './client';
import { logRepo, type Appended } from './repositories/log';
import { snapshotRepo } from './repositories/snapshots';
import type { Site } from './repositories/site';

/** Work that reads the log and then writes to it, while nobody else of the site writes; all of it or nothing. */
export const inTurn = <T>(db: Db, site: Site, work: (trx: Db) => Promise<T>): Promise<T> =>
  db.transaction().execute(async (trx) => { await logRepo(trx).takeTurn(site.id); return work(trx); });

/**
 * The one way in for every write, within the site's turn: entries and the snapshots they change.
 * @param recordedAt when the server took each entry: now, but for a demo that is laid up after the fact
 */
export async function writeInTurn(trx: Db, site: Site, entries: readonly NewEntry[], now: number, recordedAt: (entry: NewEntry) => number = () => now): Promise<Appended> {
  const appended = await logRepo(trx).append(site.id, entries, recordedAt);
  const wholeSite = appended.entries.some((e) => (SITE_KINDS.includes(e.kind) && !STORE_KINDS.includes(e.kind)) || (e.batch === null && e.kind === 'correction'));
  const touched = wholeSite ? await logRepo(trx).batchIds(site.id) : [...new Set(appended.entries.flatMap((e) => (e.batch === null ? [] : [e.batch])))];
  await snapshotRepo(trx).refresh(site, touched, now);
  return appended;
}
/** The same where nothing is to be read before it. */
export const writeEntries = (db: Db, site: Site, entries: readonly NewEntry[], now: number, recordedAt?: (entry: NewEntry) => number): Promise<Appended> =>
  inTurn(db, site, (trx) => writeInTurn(trx, site, entries, now, recordedAt));

/** Drops the snapshots and folds them anew from the log. */
export async function rebuildSnapshots(db: Db, site: Site, now: number): Promise<number> {
  return db.transaction().execute(async (trx) => {
    await snapshotRepo(trx).dropAll(site.id);
    const ids = await logRepo(trx).batchIds(site.id);
    await snapshotRepo(trx).refresh(site, ids, now);
    return ids.length;
  });
}
