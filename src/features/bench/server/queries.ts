import { statusOfBatch } from '@/core/status/batch-status';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { USUAL_BUCKET, USUAL_FLOW } from '@/core/snapshot/site-conditions';
import { systemOfSite } from '@/core/formats/batch-file-of';
import { leastHotVolume } from '@/core/heap/size';
import { positionText } from '@/core/words/position';
import type { SiteState } from '@/core/log/fold';
import { remainingOf } from '@/core/mix/build';
import { contentsOf } from '@/core/mix/contents';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import type { Site } from '@/db/repositories/site';
import { storeRepo } from '@/db/repositories/store';
import { heapMixes, itemsOf, recipeViews, type BenchHeap, type BenchView } from '../view';

/** Everything that the bench works with. @param heapId the heap in hand, if any */
export async function benchView(
  site: Site,
  board: readonly BatchSnapshot[],
  heapId: string | null,
  { work, instruments }: SiteState,
  locale: Locale,
): Promise<BenchView> {
  const store = await storeRepo(theDb()).state(site.id);
  const stems = [...instruments.values()].flatMap((i) =>
    i?.stemM !== undefined && i.out === undefined ? [i.stemM] : [],
  );
  const heaps = board
    .filter((d) => !statusOfBatch(d, locale.now).isGone)
    .map((d): BenchHeap => ({
      id: d.id,
      building: d.builtAt === null,
      name: d.name ?? d.code,
      place: d.position ? positionText(d.position) : '',
    }));
  const [heap, snapshot] = [heaps.find((h) => h.id === heapId), board.find((d) => d.id === heapId)];
  return {
    items: itemsOf(store, locale),
    measures: store.measures,
    recipes: recipeViews(store, board, locale),
    near: heapMixes(store, board, locale),
    heaps,
    heap:
      heap && snapshot
        ? {
            ...heap,
            ...contentsOf(store, heap.id),
            shape: snapshot.field.shape,
            by: store.layUps.get(heap.id)?.recipe ?? null,
            owed: remainingOf(store, heap.id),
          }
        : null,
    slots: (store.map?.map.slots ?? [])
      .filter((s) => s.kind !== 'store')
      .map(({ name, kind, lengthM, widthM, heightM }) => ({
        name,
        kind,
        lengthM,
        widthM,
        heightM,
      })),
    hose: { flowLPerMin: work?.flowLPerMin ?? USUAL_FLOW, bucketL: work?.bucketL ?? USUAL_BUCKET },
    leastM3: leastHotVolume(work?.leastM3, systemOfSite(site)),
    stemM: stems.length > 0 ? Math.max(...stems) : null,
  };
}
