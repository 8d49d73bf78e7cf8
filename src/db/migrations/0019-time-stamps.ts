import { sql, type Kysely } from 'kysely';

/** Ends of the log that a service of RFC 3161 has vouched for; added and read, never changed. */
const STATEMENTS = [
  `create table time_stamp (
    site uuid not null references site, seq bigint not null, hash text not null, at timestamptz not null,
    service text not null, token bytea not null, primary key (site, seq))`,
  `alter table time_stamp enable row level security`,
  `create policy time_stamp_site on time_stamp using (site = current_site()) with check (site = current_site())`,
  `do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert on time_stamp to zealous_app;
    end if; end $$`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
