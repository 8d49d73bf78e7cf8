import { sql, type Kysely } from 'kysely';

/** A site has a system of units; one whose thermometers read in °F measures in the units that go with them. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table site add column units text not null default 'metric'`.execute(db);
  await sql`update site set units = 'us' where unit = 'F'`.execute(db);
}
