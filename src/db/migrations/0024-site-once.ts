import { sql, type Kysely } from 'kysely';

/** Policies ask for which site a connection was taken once for each statement, not once for each row that it reads. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`do $$ declare p record; begin
    for p in select tablename, policyname, qual, with_check from pg_policies
      where schemaname = 'public' and qual like '%current_site()%'
    loop
      execute format('alter policy %I on %I using (%s) with check (%s)', p.policyname, p.tablename,
        replace(p.qual, 'current_site()', '(select current_site())'),
        replace(p.with_check, 'current_site()', '(select current_site())'));
    end loop; end $$`.execute(db);
}
