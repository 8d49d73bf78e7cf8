import { sql, type Kysely } from 'kysely';

/**
 * The log, its guard, and what is derived from it. The guard is twofold: the application's role has no right
 * to change a row, and a trigger refuses it to everybody, the owner included.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table site (
    id uuid primary key, name text not null, time_zone text not null, unit text not null check (unit in ('C', 'F')), demo_until timestamptz)`.execute(
    db,
  );
  await sql`create table log_entry (
    seq bigint generated always as identity primary key, id uuid not null unique, site uuid not null references site, batch uuid,
    at timestamptz not null, recorded_at timestamptz not null, by text not null, kind text not null, data jsonb not null, hash text not null)`.execute(
    db,
  );
  await sql`create index log_entry_batch on log_entry (batch, seq) where batch is not null`.execute(
    db,
  );
  await sql`create index log_entry_site on log_entry (site, seq) where batch is null`.execute(db);
  await sql`create table batch_snapshot (batch uuid primary key, site uuid not null references site, digest jsonb not null, recheck_at timestamptz)`.execute(
    db,
  );
  await sql`create index batch_snapshot_site on batch_snapshot (site)`.execute(db);
  await sql`create function refuse_change() returns trigger language plpgsql as $$
    begin raise exception 'the log is append-only: % is refused; write a correction instead', tg_op using errcode = 'insufficient_privilege'; end $$`.execute(
    db,
  );
  await sql`create trigger log_entry_append_only before update or delete on log_entry for each row execute function refuse_change()`.execute(
    db,
  );
  await sql`create trigger log_entry_no_truncate before truncate on log_entry for each statement execute function refuse_change()`.execute(
    db,
  );
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant usage on schema public to zealous_app;
      grant select, insert on log_entry to zealous_app;
      grant select, insert on site to zealous_app;
      grant select, insert, update, delete on batch_snapshot to zealous_app;
    end if; end $$`.execute(db);
}
