import { Kysely } from 'kysely';
import pg from 'pg';
import { log } from '@/platform/log';
import type { Database } from './schema';
import { SiteDialect, type SiteAsked } from './site-dialect';

export type Db = Kysely<Database>;

/** Nobody waits longer than this for a connection, a statement or a transaction that does nothing, ms. */
const CONNECT_MS = 5000;
const STATEMENT_MS = 120_000;
const IDLE_MS = 60_000;

/** Connections for whoever reads; whoever writes has others. */
const MOST_READING = 10;
const NO_SITE: SiteAsked = { siteOf: () => '', codeOf: () => Promise.resolve('') };

/**
 * Opens a pool on a database. `destroy` ends it.
 * @param staysOpen keeps a connection that nobody uses, for whoever must be answered at once
 * @param asked for which site a connection is taken; the owner of the tables sees all of them whatever it says
 */
export function connect(
  connectionString: string,
  max = MOST_READING,
  asked: SiteAsked = NO_SITE,
  staysOpen = false,
): Db {
  const pool = new pg.Pool({
    connectionString,
    max,
    connectionTimeoutMillis: CONNECT_MS,
    // The package's own usage is to close what was idle for ten seconds.
    ...(staysOpen ? { idleTimeoutMillis: 0 } : {}),
    statement_timeout: STATEMENT_MS,
    idle_in_transaction_session_timeout: IDLE_MS,
    keepAlive: true,
  });
  // A server that goes away must not take the application with it: the next query connects anew.
  pool.on('error', (error) => log.warn({ error: error.message }, 'database connection lost'));
  const db: Db = new Kysely<Database>({ dialect: new SiteDialect({ pool }, asked) });
  sizes.set(db, max);
  return db;
}

const sizes = new WeakMap<Db, number>();
/** How many connections a pool holds at most. */
export const poolSizeOf = (db: Db): number => sizes.get(db) ?? MOST_READING;
