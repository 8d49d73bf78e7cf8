import { sql, type Kysely } from 'kysely';

/** Parts of a batch are looked for with each of its entries: what comes late to its past is theirs too. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`create index log_entry_heirs on log_entry ((data->'splitFrom'->>'batch'))
    where kind = 'opened' and data->'splitFrom'->>'batch' is not null`.execute(db);
  // Those that were folded before a late entry of their past are wrong until they are folded anew.
  await sql`update batch_snapshot set recheck_at = 'epoch'`.execute(db);
}
