import { readBatchState } from '@/db/repositories/states';
import { requireSite, theDb } from '@/db/context';
import type { AskedReadings } from '../input';
import { readingKey } from '../into';

/** Which readings a batch has already: a table that is imported again brings only what is new. */
export async function listKnownReadings({
  batch,
  from,
  to,
}: AskedReadings): Promise<readonly string[]> {
  await requireSite('import');
  const state = await readBatchState(theDb(), batch);
  if (!state) return [];
  const [first, last] = [Date.parse(from), Date.parse(to)];
  return state.readings.flatMap((r) => {
    const at = Date.parse(r.at);
    return at >= first && at <= last ? [readingKey(r)] : [];
  });
}
