import { reckon } from '@/core/digest/reckon';
import { foldBatch, type SiteState } from '@/core/log/fold';
import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import type { Told } from '../view';

/** So many heaps are looked through for one that is alike: the last opened. */
const MOST_TOLD = 60;

/** Heaps with all that is known of them. */
export async function toldOf(
  ids: readonly string[],
  site: Site,
  siteState: SiteState,
  now: number,
): Promise<Told[]> {
  const told: Told[] = [];
  for (const id of ids.slice(-MOST_TOLD)) {
    const state = foldBatch(await logRepo(theDb()).ofBatch(id));
    told.push({ state, reckoning: reckon(state, site, siteState, now) });
  }
  return told;
}
