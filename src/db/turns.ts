import { sql } from 'kysely';
import { hasTurn, inTurnScope } from '@/platform/turn-scope';
import { poolSizeOf, type Db } from './client';

/**
 * Turns at the logs of sites: one at a time writes to a log, in whatever process. Of those who wait in this process for the same site,
 * only the first takes a connection and waits in PostgreSQL's own queue, and those who wait there hold at most half of the pool:
 * however long one site is busy, others have connections to work with.
 */

/** So long PostgreSQL is waited for; then the connection is given back and asked for again, still first in line, ms. */
const ASK_MS = 2000;
/** Whoever has waited so long is told that the site is busy, ms. */
const PATIENCE_MS = 60_000;
/** SQLSTATE of a lock that was not to be had in time. */
const LOCK_NOT_AVAILABLE = '55P03';

/** Another one has had a site's turn for a minute: nothing was written, and the same may be tried again. */
class SiteBusy extends Error {}

/** Those who wait at the database, and those who wait to wait there. */
type Gate = { waiting: number; readonly queue: (() => void)[] };
type Shared = { readonly lines: Map<string, Promise<void>>; readonly gates: WeakMap<Db, Gate> };
const SHARED = Symbol.for('zealous-heap.turns');
const held = globalThis as { [SHARED]?: Shared };
const shared = (): Shared =>
  (held[SHARED] ??= { lines: new Map<string, Promise<void>>(), gates: new WeakMap<Db, Gate>() });

function gateOf(db: Db): Gate {
  const { gates } = shared();
  const gate = gates.get(db) ?? { waiting: 0, queue: [] };
  gates.set(db, gate);
  return gate;
}
const mostWaiting = (db: Db): number => Math.max(1, Math.floor(poolSizeOf(db) / 2));

async function enter(db: Db): Promise<void> {
  const gate = gateOf(db);
  while (gate.waiting >= mostWaiting(db))
    await new Promise<void>((resume) => {
      gate.queue.push(resume);
    });
  gate.waiting += 1;
}
function leave(db: Db): void {
  const gate = gateOf(db);
  gate.waiting -= 1;
  gate.queue.shift()?.();
}

const isLockTimeout = (error: unknown): boolean =>
  (error as { code?: string } | null)?.code === LOCK_NOT_AVAILABLE;

/** What a transaction is ended with that did not get the turn. */
class TurnTaken extends Error {}

/** Asks for the turn. @param isWaiting whether it waits in PostgreSQL's queue, or takes what is free @throws TurnTaken */
async function ask(trx: Db, site: string, isWaiting: boolean): Promise<void> {
  if (!isWaiting) {
    const { rows } = await sql<{ taken: boolean }>`
      select pg_try_advisory_xact_lock(hashtextextended(${site}, 0)) as taken`.execute(trx);
    if (!rows[0]?.taken) throw new TurnTaken();
    return;
  }
  try {
    await sql`select set_config('lock_timeout', ${`${ASK_MS}ms`}, true)`.execute(trx);
    await sql`select pg_advisory_xact_lock(hashtextextended(${site}, 0))`.execute(trx);
    await sql`select set_config('lock_timeout', '0', true)`.execute(trx);
  } catch (error) {
    throw isLockTimeout(error) ? new TurnTaken() : error;
  }
}

/** One try: the work, or null where somebody else has the turn for longer than is waited. @param asked once the turn is there, or is not */
async function tryTurn<T>(
  db: Db,
  site: string,
  work: (trx: Db) => Promise<T>,
  isWaiting: boolean,
  asked: () => void = () => undefined,
): Promise<{ readonly done: T } | null> {
  try {
    return await db.transaction().execute(async (trx) => {
      await ask(trx, site, isWaiting).finally(asked);
      return { done: await inTurnScope(() => work(trx)) };
    });
  } catch (error) {
    if (error instanceof TurnTaken) return null;
    throw error;
  }
}

/** The same, as one of the few who may wait at the database. */
async function waitForTurn<T>(
  db: Db,
  site: string,
  work: (trx: Db) => Promise<T>,
): Promise<{ readonly done: T } | null> {
  await enter(db);
  let isIn = true;
  const stopWaiting = (): void => {
    if (isIn) leave(db);
    isIn = false;
  };
  try {
    return await tryTurn(db, site, work, true, stopWaiting);
  } finally {
    // No connection was to be had, so that nobody was asked.
    stopWaiting();
  }
}

/**
 * Does work in a transaction while nobody else writes to a site's log; all of it or nothing. It reads and writes by that transaction
 * alone.
 * @throws SiteBusy where somebody else has had the turn for a minute
 */
export async function inTurn<T>(db: Db, site: string, work: (trx: Db) => Promise<T>): Promise<T> {
  if (hasTurn())
    throw new Error('inTurn: whoever has a turn waits for none. Pass its transaction on.');
  const { lines } = shared();
  const until = Date.now() + PATIENCE_MS;
  const before = lines.get(site) ?? Promise.resolve();
  let end: () => void = () => undefined;
  const mine = new Promise<void>((resolve) => {
    end = resolve;
  });
  lines.set(site, mine);
  await before;
  try {
    // What is free is taken past those who wait for other sites.
    let tried = await tryTurn(db, site, work, false);
    while (tried === null && Date.now() < until) tried = await waitForTurn(db, site, work);
    if (tried) return tried.done;
    throw new SiteBusy('Another one has had the turn of this site for a minute.');
  } finally {
    end();
    if (lines.get(site) === mine) lines.delete(site);
  }
}

/** Waits until whoever writes to a site's log now is done. */
export const afterTurn = (db: Db, site: string): Promise<void> =>
  inTurn(db, site, () => Promise.resolve());
