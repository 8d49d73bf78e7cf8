import { sql, type Kysely } from 'kysely';

/**
 * Each audit event has a number in its site's sequence and a code over itself and the event before it, so that one that is changed,
 * added or deleted in the database is detected. Older events are numbered once, at the upgrade.
 */
const STATEMENTS = [
  `alter table audit_event add column n bigint, add column code text`,
  // What happened where no site was known is a sequence like any other.
  `create unique index audit_event_n on audit_event (site, n) nulls not distinct where n is not null`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
