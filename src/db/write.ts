import { say } from '@/messages/say';
import type { Entry, NewEntry } from '@/core/log/entry';
import { log } from '@/platform/log';
import type { Db } from './client';
import { layHead } from './lay-head';
import { chainCheckRepo } from './repositories/chain-checks';
import { chainRepo } from './repositories/chain';
import { logRepo, type Appended } from './repositories/log';
import { snapshotRepo } from './repositories/snapshots';
import { forgetStates } from './repositories/states';
import type { Site } from './repositories/site';
import { keepEnd } from './site-heads';
import { inTurn } from './turns';

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
export async function withSiteLock<T>(
  db: Db,
  site: Site,
  work: (trx: Db) => Promise<T>,
): Promise<T> {
  const turn: Turn = { end: null };
  const done = await inTurn(db, site.id, (trx) => {
    turns.set(trx, turn);
    return work(trx);
  });
  if (turn.end) await rememberEnd(db, site, turn.end);
  return done;
}

/** What a turn has added last. */
type Turn = { end: Entry | null };
const turns = new WeakMap<Db, Turn>();
/** A head is laid at least once in so many entries. */
const HEAD_EVERY = 1000;
const lastLaidAt = new Map<string, number>();

/** What was committed is remembered outside the database; where that cannot be written, the entry stands all the same. */
async function rememberEnd(db: Db, site: Site, { seq, hash, recordedAt }: Entry): Promise<void> {
  try {
    keepEnd({ site: site.id, seq, hash, at: recordedAt });
    const laidAt = lastLaidAt.get(site.id) ?? seq;
    lastLaidAt.set(site.id, seq - laidAt >= HEAD_EVERY ? seq : laidAt);
    if (seq - laidAt >= HEAD_EVERY) await layHead(db, site, recordedAt);
  } catch (error) {
    log.warn(
      { error: error instanceof Error ? error.message : error },
      'the end of the log was not remembered',
    );
  }
}

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
  const turn = turns.get(trx);
  if (turn) turn.end = appended.entries.at(-1) ?? turn.end;
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
