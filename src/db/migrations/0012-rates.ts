import { sql, type Kysely } from 'kysely';

/** How often a door was used from an address in a span of time. Counts are no record: the application may change and delete them. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table rate_count (
    door text not null, address text not null, since timestamptz not null, n integer not null,
    primary key (door, address, since))`.execute(db);
  await sql`create index rate_count_since on rate_count (since)`.execute(db);
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert, update, delete on rate_count to zealous_app;
    end if; end $$`.execute(db);
}
