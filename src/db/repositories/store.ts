import { foldStore, type StoreState } from '@/core/mix/store';
import { createMemory } from '@/platform/memory';
import type { Db } from '../client';
import { logRepo } from './log';

const stores = createMemory<StoreState>();

/** The store of a site as its log tells it. */
export const storeRepo = (db: Db) => ({
  /** Read anew only when the log has grown. @param asOf the hash of its last entry, where that is known */
  async state(site: string, asOf?: string): Promise<StoreState> {
    const hash = asOf ?? (await logRepo(db).lastHash(site, 'all'));
    return (
      stores.recall(site, hash) ??
      stores.keep(site, hash, foldStore(await logRepo(db).ofStore(site)))
    );
  },
});
