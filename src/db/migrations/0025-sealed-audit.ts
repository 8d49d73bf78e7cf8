import { sql, type Kysely } from 'kysely';

/**
 * What happened at the door of a site bears a number in the site's own sequence and a code over it and the one before: a line that is
 * changed, put in or taken out of the middle is seen. Those from before are numbered once, at the upgrade.
 */
const STATEMENTS = [
  `alter table audit_event add column n bigint, add column code text`,
  // What happened where no site was known is a sequence like any other.
  `create unique index audit_event_n on audit_event (site, n) nulls not distinct where n is not null`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
