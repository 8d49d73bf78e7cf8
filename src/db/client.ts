import { Kysely, PostgresDialect } from 'kysely';
import pg from 'pg';
import { log } from '@/platform/log';
import type { Database } from './schema';

export type Db = Kysely<Database>;

/** Opens a pool on a database. `destroy` ends it. */
export function connect(connectionString: string, max = 10): Db {
  const pool = new pg.Pool({ connectionString, max });
  // A server that goes away must not take the application with it: the next query connects anew.
  pool.on('error', (error) => log.warn({ error: error.message }, 'database connection lost'));
  return new Kysely<Database>({ dialect: new PostgresDialect({ pool }) });
}
