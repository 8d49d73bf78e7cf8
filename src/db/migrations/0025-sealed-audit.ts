import { sql, type Kysely } from 'kysely';

/**
 * What happened at the door of a site bears a number in the site's own sequence and a code over it and the one before: a line that is
 * changed, put in or taken out of the middle is seen. Those from before are numbered once, at the upgrade.
 */
const STATEMENTS = [
  `alter table audit_event add column n bigint, add column code text`,
  `create unique index audit_event_n on audit_event (coalesce(site, '00000000-0000-0000-0000-000000000000'::uuid), n)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
