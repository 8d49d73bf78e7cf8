import { sql, type Kysely } from 'kysely';

/**
 * Each entry bears its number in the sequence of its own (its batch’s, or the site’s) with the hash of the one before it there, and
 * the installation's signature. Entries that were written before this have neither: what they cannot show is said.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table log_entry add column own_n integer, add column own_prev text, add column signature text`.execute(
    db,
  );
  await sql`alter table site add column sealed text`.execute(db);
  // What was found when the log was checked, and when. A finding is no part of the log; it is shown until a check finds nothing.
  await sql`create table chain_check (
    site uuid not null references site, at timestamptz not null, faults jsonb not null, entries integer not null,
    primary key (site, at))`.execute(db);
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert, delete on chain_check to zealous_app;
    end if; end $$`.execute(db);
}
