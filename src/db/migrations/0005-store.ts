import { sql, type Kysely } from 'kysely';

/** The store is folded from entries of some kinds over all heaps: they are found by their kind. Snapshots tell how a heap heated: each is folded anew. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create index log_entry_kind on log_entry (site, kind, seq)`.execute(db);
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
