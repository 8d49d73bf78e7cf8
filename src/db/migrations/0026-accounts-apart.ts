import { sql, type Kysely } from 'kysely';

/** Accounts, what proves them, and what is signed in by them. */
const OF_ACCOUNTS = '"user", "session", "account", "verification", "twoFactor", "passkey"';
/** What the application itself reads of a person. */
const READ_OF_A_PERSON = '"id", "name", "username", "twoFactorEnabled"';

/**
 * Accounts and sessions belong to a database role of their own: a query that is run with the application's role reads no password
 * hash and opens no session. Where that role does not exist, the application's role keeps its rights.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_accounts') then
      grant usage on schema public to zealous_accounts;
      grant select, insert, update, delete on ${sql.raw(OF_ACCOUNTS)} to zealous_accounts;
      if exists (select from pg_roles where rolname = 'zealous_app') then
        revoke all on ${sql.raw(OF_ACCOUNTS)} from zealous_app;
        grant select (${sql.raw(READ_OF_A_PERSON)}) on "user" to zealous_app;
      end if;
    end if; end $$`.execute(db);
}
