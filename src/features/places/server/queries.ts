import { readBatchState } from '@/db/repositories/states';
import type { BatchId } from '@/core/log/ids';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { bordersOf } from '@/core/heap/row';
import { theDb } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { Site } from '@/db/repositories/site';
import type { PlacesScreen } from '../places-draft';
import { placedHeaps, type PlacedHeap } from '@/entry/placed';

/** Where a heap is read and where it stands. Null: no such heap. */
export async function placesScreen(
  id: BatchId,
  site: Site,
  board: readonly BatchSnapshot[],
): Promise<{ name: string; screen: PlacesScreen; placed: PlacedHeap[] } | null> {
  const state = await readBatchState(theDb(), id);
  if (!state) return null;
  const { instruments, settings } = await snapshotRepo(theDb()).siteState(site);
  const stems = [...instruments.values()].flatMap((i) =>
    i && i.out === undefined && i.stemM !== undefined ? [i.stemM] : [],
  );
  const placed = placedHeaps(board);
  const field = board.find((d) => d.id === id)?.field;
  return {
    name: state.opened.name ?? state.opened.code,
    placed,
    screen: {
      plan: state.plan.map((p) => ({
        id: p.id,
        label: p.label ?? p.id,
        zone: p.zone ?? null,
        side: p.side ?? null,
        depthM: p.depthM ?? null,
        alongM: p.alongM ?? null,
      })),
      taken: state.points.map((p) => p.id),
      withReadings: [...new Set(state.readings.map((r) => r.point))],
      shape: state.opened.shape ?? null,
      coreDepthM: state.opened.coreDepthM ?? null,
      lengthM: field?.lengthM ?? null,
      minPoints: field?.minPoints ?? 3,
      stemM: stems.length > 0 ? Math.max(...stems) : null,
      borders: bordersOf(placed, id),
      settings,
    },
  };
}
