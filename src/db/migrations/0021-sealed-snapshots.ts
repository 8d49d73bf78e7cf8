import { sql, type Kysely } from 'kysely';

/**
 * A snapshot bears a code over its text and over the entry that it was folded at, by a key that is not in the database: one that was
 * changed there, or put back from before, is folded anew. `json` keeps the text as it was written. Every batch is folded anew when
 * the board is next looked at.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table batch_snapshot alter column digest type json using digest::json, add column last_hash text, add column mac text`.execute(
    db,
  );
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
