import { isGone } from '@/core/advice/situation';
import type { Digest } from '@/core/digest/digest';
import { USUAL_BUCKET, USUAL_FLOW } from '@/core/digest/situation';
import { LEAST_HOT_M3 } from '@/core/heap/size';
import { positionText } from '@/core/heap/row';
import type { SiteState } from '@/core/log/fold';
import { remainingOf } from '@/core/mix/build';
import { contentsOf } from '@/core/mix/store';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { heapMixes, itemsOf, recipeViews, type BenchView } from '../view';

/** Everything that the bench works with. */
export async function benchView(site: string, board: readonly Digest[], { work, instruments }: SiteState, locale: Locale): Promise<BenchView> {
  const store = await storeRepo(theDb()).state(site);
  const stems = [...instruments.values()].flatMap((i) => (i?.stemM !== undefined && i.out === undefined ? [i.stemM] : []));
  return {
    items: itemsOf(store, locale), measures: store.measures, recipes: recipeViews(store, board, locale), near: heapMixes(store, board, locale),
    heaps: board.filter((d) => !isGone(d.situation)).map((d) => ({ id: d.id, building: d.builtAt === null, name: d.name ?? d.code, place: d.position ? positionText(d.position) : '', volumeM3: d.volumeM3, shape: d.field.shape, by: store.layUps.get(d.id)?.recipe.name ?? null, owed: remainingOf(store, d.id), ...contentsOf(store, d.id) })),
    slots: (store.map?.map.slots ?? []).filter((s) => s.kind !== 'store').map(({ name, kind, lengthM, widthM, heightM }) => ({ name, kind, lengthM, widthM, heightM })),
    hose: { flowLPerMin: work?.flowLPerMin ?? USUAL_FLOW, bucketL: work?.bucketL ?? USUAL_BUCKET }, leastM3: work?.leastM3 ?? LEAST_HOT_M3, stemM: stems.length > 0 ? Math.max(...stems) : null,
  };
}
