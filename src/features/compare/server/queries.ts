import type { BatchId } from '@/core/log/ids';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldBatch, type SiteState } from '@/core/log/fold';
import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import type { ComparedBatch } from '../view';

/** So many heaps are looked through for one that is alike: the last opened. */
const MAX_TOLD = 60;

/** Heaps with all that is known of them. */
export async function toldOf(
  ids: readonly BatchId[],
  site: Site,
  siteState: SiteState,
  now: number,
): Promise<ComparedBatch[]> {
  const told: ComparedBatch[] = [];
  for (const id of ids.slice(-MAX_TOLD)) {
    const state = foldBatch(await logRepo(theDb()).ofBatch(id));
    told.push({ state, reckoning: assessBatch(state, site, siteState, now) });
  }
  return told;
}
