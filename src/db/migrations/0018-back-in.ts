import { sql, type Kysely } from 'kysely';

/**
 * A link may also give somebody who has an account a new password; a name on a shared phone may ask for a PIN, and the phone
 * remembers whose it has seen.
 */
const STATEMENTS = [
  `alter table invitation drop constraint invitation_lets_in_check`,
  `alter table invitation add check (lets_in in ('first', 'person', 'device', 'password'))`,
  `alter table invitation add column person text references "user" (id)`,
  `alter table member add column pin_hash text`,
  `create table device_hand (
    site uuid not null references site, device uuid not null references device, person text not null references "user" (id),
    since timestamptz not null, primary key (device, person))`,
  `alter table device_hand enable row level security`,
  `create policy device_hand_site on device_hand using (site = current_site()) with check (site = current_site())`,
  `do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert, update, delete on device_hand to zealous_app;
    end if; end $$`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
