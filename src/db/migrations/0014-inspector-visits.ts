import { sql, type Kysely } from 'kysely';

/** What an inspector saw at each visit: where the sequences of the batches ended. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table inspector_visit (
    link uuid not null, at timestamptz not null, ends jsonb not null, primary key (link, at))`.execute(
    db,
  );
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert on inspector_visit to zealous_app;
    end if; end $$`.execute(db);
}
