import { sql, type Kysely } from 'kysely';

/**
 * A connection says for which site it was taken together with a code of that site, which the role of the accounts alone can ask for:
 * whoever comes by the application's role cannot step over to another site by naming it. With a database of one's own that has no such
 * role, the application's role asks for it.
 */
const STATEMENTS = [
  `create table site_code (site uuid primary key, code text not null
    default encode(sha256(uuid_send(gen_random_uuid()) || uuid_send(gen_random_uuid())), 'hex'))`,
  // Made when it is first asked for, so that there is one before the site itself is written.
  `create function code_of_site(which uuid) returns text language plpgsql security definer set search_path = public as $$
    declare found_code text;
    begin
      insert into site_code (site) values (which) on conflict do nothing;
      select code into found_code from site_code where site = which;
      return found_code;
    end $$`,
  `revoke all on function code_of_site(uuid) from public`,
  `create or replace function current_site() returns uuid language sql stable parallel safe security definer set search_path = public as $$
    select c.site from site_code c
      where c.site = nullif(split_part(current_setting('app.site', true), ':', 1), '')::uuid
        and c.code = split_part(current_setting('app.site', true), ':', 2) $$`,
  `do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_accounts') then
      grant execute on function code_of_site(uuid) to zealous_accounts;
    elsif exists (select from pg_roles where rolname = 'zealous_app') then
      grant execute on function code_of_site(uuid) to zealous_app;
    end if; end $$`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
