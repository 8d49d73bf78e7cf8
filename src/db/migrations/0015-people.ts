import { sql, type Kysely } from 'kysely';

/** Accounts as better-auth keeps them: written by its own generator, run here so that one list of migrations stands. */
const ACCOUNTS = [
  `create table "user" ("id" text not null primary key, "name" text not null, "email" text not null unique, "emailVerified" boolean not null, "image" text, "createdAt" timestamptz default CURRENT_TIMESTAMP not null, "updatedAt" timestamptz default CURRENT_TIMESTAMP not null, "username" text unique, "displayUsername" text, "twoFactorEnabled" boolean)`,
  `create table "session" ("id" text not null primary key, "expiresAt" timestamptz not null, "token" text not null unique, "createdAt" timestamptz default CURRENT_TIMESTAMP not null, "updatedAt" timestamptz not null, "ipAddress" text, "userAgent" text, "userId" text not null references "user" ("id") on delete cascade)`,
  `create table "account" ("id" text not null primary key, "accountId" text not null, "providerId" text not null, "userId" text not null references "user" ("id") on delete cascade, "accessToken" text, "refreshToken" text, "idToken" text, "accessTokenExpiresAt" timestamptz, "refreshTokenExpiresAt" timestamptz, "scope" text, "password" text, "createdAt" timestamptz default CURRENT_TIMESTAMP not null, "updatedAt" timestamptz not null)`,
  `create table "verification" ("id" text not null primary key, "identifier" text not null, "value" text not null, "expiresAt" timestamptz not null, "createdAt" timestamptz default CURRENT_TIMESTAMP not null, "updatedAt" timestamptz default CURRENT_TIMESTAMP not null)`,
  `create table "twoFactor" ("id" text not null primary key, "secret" text not null, "backupCodes" text not null, "userId" text not null references "user" ("id") on delete cascade, "verified" boolean, "failedVerificationCount" integer, "lockedUntil" timestamptz)`,
  `create index "session_userId_idx" on "session" ("userId")`,
  `create index "account_userId_idx" on "account" ("userId")`,
  `create index "verification_identifier_idx" on "verification" ("identifier")`,
  `create index "twoFactor_secret_idx" on "twoFactor" ("secret")`,
  `create index "twoFactor_userId_idx" on "twoFactor" ("userId")`,
];

/** What a person may do on a site, how somebody is let in, phones that many share, and what happened at the door. */
const PEOPLE = [
  `create table member (
    site uuid not null references site, person text not null references "user" (id), role text not null,
    partner text, since timestamptz not null, ended timestamptz, primary key (site, person))`,
  // A token is kept as its hash: whoever reads the table can use none.
  `create table invitation (
    id uuid primary key, token_hash text not null unique, site uuid references site,
    lets_in text not null check (lets_in in ('first', 'person', 'device')), role text, name text, partner text,
    made_by text, made_at timestamptz not null, expires_at timestamptz not null, used_at timestamptz, withdrawn_at timestamptz)`,
  `create table device (
    id uuid primary key, site uuid not null references site, name text not null, token_hash text not null unique,
    enrolled_by text not null, enrolled_at timestamptz not null, last_seen_at timestamptz, revoked_at timestamptz, revoked_by text)`,
  `create index device_site on device (site)`,
  `create table audit_event (
    id uuid primary key, site uuid references site, at timestamptz not null, event text not null, who text, about jsonb not null)`,
  `create index audit_event_site on audit_event (site, at)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of [...ACCOUNTS, ...PEOPLE]) await sql.raw(statement).execute(db);
  await sql`do $$ begin
    if exists (select from pg_roles where rolname = 'zealous_app') then
      grant select, insert, update, delete on "user", "session", "account", "verification", "twoFactor" to zealous_app;
      grant select, insert, update on member, invitation, device to zealous_app;
      grant select, insert on audit_event to zealous_app;
    end if; end $$`.execute(db);
}
