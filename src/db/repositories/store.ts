import { foldStore, type StoreState } from '@/core/mix/store';
import type { Db } from '../client';
import { logRepo } from './log';

/** The store of a site as its log tells it. */
export const storeRepo = (db: Db) => ({
  async state(site: string): Promise<StoreState> {
    return foldStore(await logRepo(db).ofStore(site));
  },
});
