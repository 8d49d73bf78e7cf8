import type { Db } from '../client';
import type { ChainReport } from './chain';

/** A check of the log, and what did not fit. */
export type ChainCheck = ChainReport & { readonly at: number };
const KEEP_MS = 90 * 86_400_000;

export const chainCheckRepo = (db: Db) => ({
  async keep(site: string, at: number, { entries, faults }: ChainReport): Promise<void> {
    await db
      .insertInto('chain_check')
      .values({ site, at: new Date(at), entries, faults: JSON.stringify(faults) })
      .onConflict((c) => c.doNothing())
      .execute();
    await db
      .deleteFrom('chain_check')
      .where('site', '=', site)
      .where('at', '<', new Date(at - KEEP_MS))
      .execute();
  },
  /** The last check; null: the log was never checked. */
  async last(site: string): Promise<ChainCheck | null> {
    const row = await db
      .selectFrom('chain_check')
      .selectAll()
      .where('site', '=', site)
      .orderBy('at', 'desc')
      .limit(1)
      .executeTakeFirst();
    return row
      ? {
          at: row.at.getTime(),
          entries: row.entries,
          faults: row.faults,
        }
      : null;
  },
});
