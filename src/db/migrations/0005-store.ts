import { sql, type Kysely } from 'kysely';

/** The store is folded from entries of some kinds over all heaps: they are found by their kind. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create index log_entry_kind on log_entry (site, kind, seq)`.execute(db);
}
