import { say } from '@/messages/say';
import type { NewEntry } from '@/core/log/entry';
import type { Db } from './client';
import { chainCheckRepo } from './repositories/chain-checks';
import { chainRepo } from './repositories/chain';
import { logRepo, type Appended } from './repositories/log';
import { snapshotRepo } from './repositories/snapshots';
import { forgetStates } from './repositories/states';
import type { Site } from './repositories/site';

/** The server's clock shows a time before the last entry: nothing is written until it is put right. */
export class ClockSetBack extends Error {}

/** Whether the database refuses an entry by what is in it (SQLSTATE classes 22 and 23), so that sending it again cannot help. */
export const isImpossible = (error: unknown): boolean =>
  /^2[23]/.test((error as { code?: string } | null)?.code ?? '');

/** Clocks are set by a little now and then; within this the log's time simply does not run back, ms. */
const CLOCK_SLACK_MS = 2000;

/** When the log takes an entry: never before the entry in front of it. @throws ClockSetBack where the clock was set back */
async function takenAt(trx: Db, site: Site, now: number): Promise<number> {
  const last = await logRepo(trx).lastRecordedAt(site.id);
  if (last === null || now >= last) return now;
  if (last - now <= CLOCK_SLACK_MS) return last;
  throw new ClockSetBack(
    say('entry.theServersClockShowsUtc', {
      replace: new Date(now).toISOString().slice(0, 16).replace('T', ' '),
      replace2: new Date(last).toISOString().slice(0, 16).replace('T', ' '),
    }),
  );
}

/** Work that reads the log and then writes to it, while nobody else of the site writes; all of it or nothing. */
export const withSiteLock = <T>(db: Db, site: Site, work: (trx: Db) => Promise<T>): Promise<T> =>
  db.transaction().execute(async (trx) => {
    await logRepo(trx).takeTurn(site.id);
    return work(trx);
  });

/**
 * The one way in for every write, within the site's turn: entries and the snapshots they change.
 * @param recordedAt when the server took each entry: now, but for a demo that is laid up after the fact
 */
export async function appendUnderLock(
  trx: Db,
  site: Site,
  entries: readonly NewEntry[],
  now: number,
  recordedAt?: (entry: NewEntry) => number,
): Promise<Appended> {
  const taken = recordedAt === undefined ? await takenAt(trx, site, now) : now;
  // What was changed beside the log is told, and what people log now is kept all the same.
  const fault = await chainRepo(trx).checkEnd(site.id);
  if (fault) await chainCheckRepo(trx).add(site.id, now, fault);
  const appended = await logRepo(trx).append(site.id, entries, recordedAt ?? (() => taken));
  const touched = await snapshotRepo(trx).touchedBy(site, appended.entries);
  await snapshotRepo(trx).refresh(site, touched, now);
  return appended;
}
/** The same where nothing is to be read before it. */
export const writeEntries = (
  db: Db,
  site: Site,
  entries: readonly NewEntry[],
  now: number,
  recordedAt?: (entry: NewEntry) => number,
): Promise<Appended> =>
  withSiteLock(db, site, (trx) => appendUnderLock(trx, site, entries, now, recordedAt));

/** Drops the snapshots and folds them anew from the log. */
export async function rebuildSnapshots(db: Db, site: Site, now: number): Promise<number> {
  return db.transaction().execute(async (trx) => {
    forgetStates();
    await snapshotRepo(trx).dropAll(site.id);
    const ids = await logRepo(trx).batchIds(site.id);
    await snapshotRepo(trx).refresh(site, ids, now);
    return ids.length;
  });
}
