import { sql, type Kysely } from 'kysely';

/** Pictures beside the log, each under the hash of its bytes, as little to be changed as the log; snapshots have grown by what a round needs. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create table photo (sha256 text primary key, site uuid not null references site, bytes bytea not null, small bytea not null, width int not null, height int not null, recorded_at timestamptz not null)`.execute(
    db,
  );
  await sql`create trigger photo_append_only before update or delete on photo for each row execute function refuse_change()`.execute(
    db,
  );
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then grant select, insert on photo to zealous_app; end if; end $$`.execute(
    db,
  );
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
