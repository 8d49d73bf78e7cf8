import { sql, type Kysely } from 'kysely';

/** Snapshots have grown by what a batch is found alike to others by: each is folded anew when it is next looked at. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
