import { sql, type Kysely } from 'kysely';

/** A key may be for a phone that logs, or for a calendar that reads what is to be done and nothing else. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table device add column purpose text not null default 'logging' check (purpose in ('logging', 'calendar'))`.execute(
    db,
  );
}
