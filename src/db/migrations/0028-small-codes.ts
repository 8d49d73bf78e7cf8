import { sql, type Kysely } from 'kysely';

/** The code over a small picture and the one it was made of. A small picture without a code is made again from the whole one when requested. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table photo add column small_code text`.execute(db);
}
