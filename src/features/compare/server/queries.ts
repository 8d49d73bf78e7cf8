import { readBatchState } from '@/db/repositories/states';
import type { BatchId } from '@/core/log/ids';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { type SiteState } from '@/core/log/fold';
import { theDb } from '@/db/context';
import type { Site } from '@/db/repositories/site';
import type { ComparedBatch } from '../view';

/** The chosen heaps with all that is known of them. */
export async function loadComparedBatches(
  ids: readonly BatchId[],
  site: Site,
  siteState: SiteState,
  now: number,
): Promise<ComparedBatch[]> {
  const batches: ComparedBatch[] = [];
  for (const id of ids) {
    const state = await readBatchState(theDb(), id);
    if (state) batches.push({ state, assessment: assessBatch(state, site, siteState, now) });
  }
  return batches;
}
