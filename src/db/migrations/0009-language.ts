import { sql, type Kysely } from 'kysely';

/** A site has a language of its own: that of its records, and of devices that ask for none. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table site add column language text not null default 'en'`.execute(db);
}
