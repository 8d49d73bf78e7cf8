import { sql, type Kysely } from 'kysely';

/** Columns of an entry that are written; its number is the database's to give. */
const WRITTEN =
  'id, site, batch, at, recorded_at, by, kind, data, hash, own_n, own_prev, signature';

/**
 * What the application's role may do is less. What was found in the log cannot be taken back by whoever comes by that role, and nobody
 * uses up the numbers of the log by writing an entry with the last one of them.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create trigger chain_check_append_only before update or delete on chain_check
    for each row execute function refuse_change()`.execute(db);
  await sql`create trigger chain_check_no_truncate before truncate on chain_check
    for each statement execute function refuse_change()`.execute(db);
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      revoke delete on chain_check from zealous_app;
      revoke insert on log_entry from zealous_app;
      grant insert (${sql.raw(WRITTEN)}) on log_entry to zealous_app;
    end if; end $$`.execute(db);
}
