import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { may } from '@/core/access/roles';
import type { MemberRole } from '@/core/log/entered-by';
import type { DataOf, NewEntry } from '@/core/log/entry';
import type { BatchState } from '@/core/log/fold';
import type { Part } from '@/core/log/store-shapes';
import { answerToLoad, foldStore, type StockLoad, type StoreState } from '@/core/mix/store';
import { whenText } from '@/core/quantity/format';
import { FILE_PROBLEM } from '@/core/words/file-problem';
import { DOOR_PROBLEM } from '@/core/words/door-problem';
import type { Problem } from '@/core/words/problem';
import type { Db } from '@/db/client';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { now } from '@/platform/clock';
import { itemAt } from '@/core/quantity/present';

const wrong = (path: string, message: string): Problem => ({ path, message });

const KINDS = new Set<NewEntry['kind']>([
  'charge',
  'addition',
  'lay-up',
  'built',
  'load',
  'load-change',
  'load-heat',
  'recipe',
  'site-map',
  'acceptance',
]);

/** What of an entry about the store, or about building, does not fit what the log holds; null: it fits. @param given the batch that it speaks of, and the role of whoever brings it */
export async function validateStoreReferences(
  db: Db,
  site: Site,
  entry: NewEntry,
  { heap, role }: { readonly heap: BatchState | null; readonly role: MemberRole },
): Promise<Problem | null> {
  if (!KINDS.has(entry.kind) || (entry.kind === 'addition' && !entry.data.parts)) return null;
  const when = (at: number): string => whenText(site.timeZone, at, now());
  if (entry.kind === 'built' && heap) {
    const last = heap.own
      .filter((e) => e.kind === 'charge')
      .reduce((a, e) => Math.max(a, e.at), -Infinity);
    return last > entry.at ? wrong('at', DOOR_PROBLEM.chargedLater(when(last))) : null;
  }
  const store = foldStore(await logRepo(db).ofStore(site.id));
  switch (entry.kind) {
    case 'charge': {
      if (heap?.builtAt != null && entry.at > heap.builtAt)
        return wrong('(form)', DOOR_PROBLEM.closedAlready);
      return wrongParts(entry.data.parts, store, 'data.parts');
    }
    case 'addition':
      return wrongParts(entry.data.parts ?? [], store, 'data.parts');
    case 'lay-up':
      return wrongParts(entry.data.recipe.parts, store, 'data.recipe.parts');
    case 'load':
      return store.materials.has(entry.data.material)
        ? wrongGateAnswer(store, entry, role)
        : wrong('data.material', DOOR_PROBLEM.noMaterial(entry.data.material));
    case 'load-change':
      return store.loadOf.has(entry.data.load)
        ? wrongGateAnswer(store, entry, role)
        : wrong('data.load', DOOR_PROBLEM.noLoad);
    case 'load-heat':
      return store.loadOf.has(entry.data.load) ? null : wrong('data.load', DOOR_PROBLEM.noLoad);
    case 'acceptance': {
      const i = entry.data.lines.findIndex(
        (l) => l.material !== undefined && !store.materials.has(l.material),
      );
      return i < 0
        ? null
        : wrong(
            `data.lines[${i}].material`,
            DOOR_PROBLEM.noMaterial(itemAt(entry.data.lines, i).material!),
          );
    }
    case 'recipe': {
      const latest = store.recipes.get(entry.data.recipe.id)?.at(-1);
      if ((latest?.entry ?? null) !== entry.data.from)
        return latest
          ? wrong(
              'changed',
              DOOR_PROBLEM.changedMeanwhile(`‘${latest.recipe.name}’`, latest.by, when(latest.at)),
            )
          : wrong(
              'data.from',
              FILE_PROBLEM.unlisted(say('entry.versionOfTheRecipe'), entry.data.from!),
            );
      return wrongParts(entry.data.recipe.parts, store, 'data.recipe.parts');
    }
    case 'site-map': {
      if ((store.map?.entry ?? null) !== entry.data.from)
        return wrong(
          'changed',
          DOOR_PROBLEM.changedMeanwhile(
            say('entry.theMap'),
            store.map?.by ?? say('entry.somebody'),
            when(store.map?.at ?? entry.at),
          ),
        );
      return wrongMap(entry.data.map);
    }
    default:
      return null;
  }
}

/** The material of an entry that accepts what the site asks about or refuses; null: it accepts nothing of the kind. */
function acceptedOver(store: StoreState, entry: NewEntry): StockLoad['material'] | null {
  if (entry.kind === 'load' && entry.data.answer === 'accept') {
    const material = store.materials.get(entry.data.material);
    const { supplier } = entry.data;
    return material && answerToLoad(material, supplier, store.acceptance, entry.at) !== 'accept'
      ? material
      : null;
  }
  if (entry.kind !== 'load-change' || entry.data.answer !== 'accept') return null;
  const load = store.loadOf.get(entry.data.load);
  return load && load.answer !== 'accept' ? load.material : null;
}

/** Whether whoever takes in what the site asks about or refuses may, and says why; null: they may. */
function wrongGateAnswer(store: StoreState, entry: NewEntry, role: MemberRole): Problem | null {
  const material = acceptedOver(store, entry);
  if (material === null) return null;
  const name = libraryText(material.name);
  if (!may(role, 'accept-exceptions'))
    return wrong('data.answer', say('store.acceptedByOthers', { name }));
  const isExplained = 'because' in entry.data && entry.data.because !== undefined;
  return isExplained ? null : wrong('data.because', say('store.acceptedWithoutReason', { name }));
}

function wrongParts(parts: readonly Part[], store: StoreState, path: string): Problem | null {
  for (const [i, p] of parts.entries()) {
    if (!store.materials.has(p.material))
      return wrong(`${path}[${i}].material`, DOOR_PROBLEM.noMaterial(p.material));
    if (p.load !== undefined && !store.loadOf.has(p.load))
      return wrong(`${path}[${i}].load`, DOOR_PROBLEM.noLoad);
  }
  return null;
}

function wrongMap(map: DataOf<'site-map'>['map']): Problem | null {
  const ids = map.slots.map((s) => s.id);
  const again = ids.find((id, i) => ids.indexOf(id) !== i);
  if (again !== undefined) return wrong('data.map.slots', FILE_PROBLEM.twice(again));
  const out = map.slots.find(
    (s) => s.xM + s.lengthM > map.widthM + 1e-6 || s.yM + s.widthM > map.depthM + 1e-6,
  );
  return out ? wrong('data.map.slots', DOOR_PROBLEM.slotOut(out.name)) : null;
}
