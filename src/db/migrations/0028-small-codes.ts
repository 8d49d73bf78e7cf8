import { sql, type Kysely } from 'kysely';

/** A small picture bears a code over what it was made of and what it is. One without any is made anew from the whole picture when it is asked for. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table photo add column small_code text`.execute(db);
}
