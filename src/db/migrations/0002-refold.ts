import { sql, type Kysely } from 'kysely';

/** What a snapshot holds of each rule has grown: every batch is folded anew when the board is next looked at. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
