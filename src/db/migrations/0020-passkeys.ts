import { sql, type Kysely } from 'kysely';

/** Passkeys of accounts (W3C, Web Authentication): the public half; the secret one never leaves the device that made it. */
const STATEMENTS = [
  `create table passkey (
    id text primary key, person text not null references "user" (id) on delete cascade, name text not null,
    public_key bytea not null, counter bigint not null, transports jsonb not null,
    made_at timestamptz not null, used_at timestamptz)`,
  `create index passkey_person on passkey (person)`,
  `do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert, update, delete on passkey to zealous_app;
    end if; end $$`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
