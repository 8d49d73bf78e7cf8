import { sql, type Kysely } from 'kysely';

/** The ends of one act are found by it; snapshots have grown by what advice looks at: each is folded anew when it is next looked at. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create index log_entry_act on log_entry ((data->>'act')) where data ? 'act'`.execute(
    db,
  );
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
