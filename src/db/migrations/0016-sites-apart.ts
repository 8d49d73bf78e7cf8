import { sql, type Kysely } from 'kysely';

/** Tables whose rows belong to a site. */
const OF_A_SITE = [
  ...['log_entry', 'batch_snapshot', 'photo', 'chain_check', 'inspector_visit', 'member'],
  ...['device'],
];

/** What the application's role may ask before a site is known. */
const FUNCTIONS = [
  ...['all_sites()', 'places_of(text)', 'site_of_device(text)', 'site_of_invitation(text)'],
  ...['site_of_public_lot(text)', 'site_of_inspection(text)'],
];

/**
 * The database holds sites apart: whoever asks with the application's role sees rows of the site that the connection was taken
 * for, and writes no other. What has to be known before a site is known (whose sign-in, which phone, which link) is answered by
 * functions that give that one thing.
 */
const STATEMENTS = [
  // What was kept before sites were several belongs to the one there was.
  `alter table inspector_visit add column site uuid references site`,
  `update inspector_visit set site = (select id from site order by id limit 1)`,
  `alter table inspector_visit alter column site set not null`,
  // The same picture may be kept by two sites.
  `alter table photo drop constraint photo_pkey, add primary key (site, sha256)`,
  `create function current_site() returns uuid language sql stable as
    $$ select nullif(current_setting('app.site', true), '')::uuid $$`,
  ...OF_A_SITE.flatMap((table) => [
    `alter table ${table} enable row level security`,
    `create policy ${table}_site on ${table} using (site = current_site()) with check (site = current_site())`,
  ]),
  `alter table site enable row level security`,
  `create policy site_site on site using (id = current_site()) with check (id = current_site())`,
  // The first link is for a site that has no name yet; who tried to sign in and failed is of no site.
  ...['invitation', 'audit_event'].flatMap((table) => [
    `alter table ${table} enable row level security`,
    `create policy ${table}_site on ${table} using (site = current_site() or site is null)
      with check (site = current_site() or site is null)`,
  ]),
  `create function all_sites() returns setof uuid language sql stable security definer set search_path = public as
    $$ select id from site order by id $$`,
  `create function places_of(whose text) returns table (site uuid, role text, partner text)
    language sql stable security definer set search_path = public as
    $$ select m.site, m.role, m.partner from member m where m.person = whose and m.ended is null order by m.since, m.site $$`,
  `create function site_of_device(token text) returns uuid language sql stable security definer set search_path = public as
    $$ select d.site from device d where d.token_hash = token $$`,
  `create function site_of_invitation(token text) returns uuid language sql stable security definer set search_path = public as
    $$ select i.site from invitation i where i.token_hash = token $$`,
  `create function site_of_public_lot(lot text) returns uuid language sql stable security definer set search_path = public as
    $$ select e.site from log_entry e where e.kind = 'lot-page' and e.data->>'lot' = lot limit 1 $$`,
  `create function site_of_inspection(token text) returns uuid language sql stable security definer set search_path = public as
    $$ select e.site from log_entry e where e.kind = 'inspection' and e.data->>'tokenHash' = token limit 1 $$`,
  ...FUNCTIONS.map((name) => `revoke all on function ${name} from public`),
  `create index log_entry_lot_page on log_entry ((data->>'lot')) where kind = 'lot-page'`,
  `create index log_entry_inspection on log_entry ((data->>'tokenHash')) where kind = 'inspection'`,
  `do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant execute on function ${FUNCTIONS.join(', ')} to zealous_app;
    end if; end $$`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
