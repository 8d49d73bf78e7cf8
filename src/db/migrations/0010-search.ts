import { sql, type Kysely } from 'kysely';

/**
 * What people wrote is found by its words, without accents and in any language: the words are taken as they are, since a crew
 * writes in two.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create extension if not exists unaccent`.execute(db);
  await sql`create text search configuration trade (copy = simple)`.execute(db);
  await sql`alter text search configuration trade
    alter mapping for asciiword, word, hword, hword_part, asciihword, hword_asciipart with unaccent, simple`.execute(
    db,
  );
  await sql`create index log_entry_words on log_entry using gin (
    (jsonb_to_tsvector('trade'::regconfig, data, '["string"]') || to_tsvector('trade'::regconfig, by)))`.execute(
    db,
  );
}
