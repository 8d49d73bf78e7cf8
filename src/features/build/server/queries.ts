import type { BatchId } from '@/core/log/ids';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { positionText } from '@/core/words/position';
import { builtOf } from '@/core/mix/build';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { buildView, type BuildView } from '../view';

/** The building of a heap; null: there is no such heap. */
export async function buildingOf(
  id: BatchId,
  site: string,
  board: readonly BatchSnapshot[],
  locale: Locale,
): Promise<BuildView | null> {
  const d = board.find((x) => x.id === id);
  if (!d) return null;
  const store = await storeRepo(theDb()).state(site);
  return buildView(
    {
      id,
      kept: d.method,
      noClaim: d.situation.template.noClaim ?? false,
      name: d.name ?? d.code,
      place: d.position ? positionText(d.position) : '',
      openedAt: d.openedAt,
      builtAt: d.builtAt,
      volumeM3: d.volumeM3,
      slot: d.position && 'row' in d.position ? d.position.row : (d.bay ?? null),
    },
    builtOf(store, id, locale.now),
    store,
    locale,
  );
}
