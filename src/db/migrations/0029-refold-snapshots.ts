import { sql, type Kysely } from 'kysely';

/**
 * A snapshot keeps its turnings, which rule was met with a rim unread, and what checks of thermometers put in doubt. Without a code it is folded anew when it is next
 * looked at, and nobody is told that somebody changed it.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`update batch_snapshot set recheck_at = 'epoch', mac = null`.execute(db);
}
