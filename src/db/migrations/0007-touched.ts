import { sql, type Kysely } from 'kysely';

/**
 * What says whether an entry of the site can change a batch's snapshot stands beside it: the thermometers that the batch was
 * read with, and how warm its core was read last. Every batch is folded anew when the board is next looked at.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table batch_snapshot add column probes text[] not null default '{}', add column core_c double precision`.execute(
    db,
  );
  await sql`create index batch_snapshot_probes on batch_snapshot using gin (probes)`.execute(db);
  await sql`create index log_entry_last on log_entry (site, seq desc)`.execute(db);
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
