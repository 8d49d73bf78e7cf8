import type { Db } from '../client';
import type { ChainFault } from '@/core/log/chain';
import type { ChainReport } from './chain';

/** A check of the log, and what did not fit. */
export type ChainCheck = ChainReport & { readonly at: number };

export const chainCheckRepo = (db: Db) => ({
  async keep(site: string, at: number, { entries, faults }: ChainReport): Promise<void> {
    await db
      .insertInto('chain_check')
      .values({ site, at: new Date(at), entries, faults: JSON.stringify(faults) })
      .onConflict((c) => c.doNothing())
      .execute();
  },
  /** Adds something that does not fit to what was found last, unless it is known already. */
  async add(site: string, at: number, fault: ChainFault): Promise<void> {
    const last = await this.last(site);
    const faults = last?.faults ?? [];
    if (faults.some((f) => f.code === fault.code && f.seq === fault.seq)) return;
    await this.keep(site, at, { entries: last?.entries ?? 0, faults: [...faults, fault] });
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
