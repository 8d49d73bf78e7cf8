import { foldLots, type LotsState } from '@/core/lots/fold';
import type { Entry } from '@/core/log/entry';
import { createMemory } from '@/platform/memory';
import type { Db } from '../client';
import { logRepo } from './log';

/** The entries that lots are read from, with what they tell. */
export type LotsLog = { readonly entries: readonly Entry[]; readonly state: LotsState };
const logs = createMemory<LotsLog>();

/** The lots of a site as its log tells them. */
export const lotsRepo = (db: Db) => ({
  /** Read anew only when the log has grown. @param asOf the hash of its last entry, where that is known */
  async read(site: string, asOf?: string): Promise<LotsLog> {
    const hash = asOf ?? (await logRepo(db).lastHash(site, 'all'));
    const known = logs.recall(site, hash);
    if (known) return known;
    const entries = await logRepo(db).ofLots(site);
    return logs.keep(site, hash, { entries, state: foldLots(entries) });
  },
});
