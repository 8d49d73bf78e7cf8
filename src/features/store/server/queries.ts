import type { LoadId } from '@/core/log/ids';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { loadsDue, type LoadDue } from '@/core/mix/stock';
import type { StoreState } from '@/core/mix/store';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { loadPage, type LoadPage } from '../view';

export const storeOf = (site: string, asOf?: string): Promise<StoreState> =>
  storeRepo(theDb()).state(site, asOf);
/** Loads that today's list speaks of. */
export const storeDue = async (site: string, now: number, asOf: string): Promise<LoadDue[]> =>
  loadsDue(await storeOf(site, asOf), now);

/** One load; null: there is none of that id. */
export async function loadOf(
  id: LoadId,
  site: string,
  board: readonly BatchSnapshot[],
  locale: Locale,
): Promise<LoadPage | null> {
  const store = await storeOf(site);
  const load = store.loadOf.get(id);
  return load ? loadPage(load, store, board, locale) : null;
}
