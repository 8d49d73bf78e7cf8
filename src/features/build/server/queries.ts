import type { Digest } from '@/core/digest/digest';
import { positionText } from '@/core/heap/row';
import { builtOf } from '@/core/mix/build';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { buildView, sourcesOf, type BuildView, type Source } from '../view';
import type { OwnMeasure } from '@/core/log/store-shapes';

/** The building of a heap; null: there is no such heap. */
export async function buildingOf(id: string, site: string, board: readonly Digest[], locale: Locale): Promise<BuildView | null> {
  const d = board.find((x) => x.id === id);
  if (!d) return null;
  const store = await storeRepo(theDb()).state(site);
  return buildView({ id, kept: d.method as 'turned' | 'static' | 'vessel', name: d.name ?? d.code, place: d.position ? positionText(d.position) : '', openedAt: d.openedAt, builtAt: d.builtAt, slot: d.position && 'row' in d.position ? d.position.row : (d.bay ?? null) }, builtOf(store, id, locale.now), store, locale);
}

/** What may be put into a heap, and in which measures it is counted. */
export async function putIn(site: string, now: number): Promise<{ sources: readonly Source[]; measures: readonly OwnMeasure[]; risks: Readonly<Record<string, { raw: boolean; seeds: boolean }>> }> {
  const store = await storeRepo(theDb()).state(site);
  const risks = Object.fromEntries([...store.materials.values()].map((m) => [m.id, { raw: m.risks.some((r) => r !== 'seeds' && r !== 'sharps' && r !== 'chemical'), seeds: m.risks.includes('seeds') }]));
  return { sources: sourcesOf(store, null, now), measures: store.measures, risks };
}
