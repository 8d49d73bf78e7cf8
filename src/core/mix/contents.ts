import { say } from '../../messages/say';
import type { BatchId } from '../log/ids';
import type { Part } from '../log/store-shapes';
import type { Instant } from '../quantity/instant';
import { ingredientOf, resolveMaterialProperties, type Ingredient } from './ingredient';
import { resolvePartProperties, type StoreState } from './store';

/** What a heap holds as it was put together: what it lost, took up or burnt since is not in it. */
export type Contents = {
  /** In the order in which they went in. What nobody logged is among them under its name, with no figure. */
  readonly ingredients: readonly Ingredient[];
  readonly waterL: number;
  /** When the first thing went in that was logged here; null: nothing was. */
  readonly from: Instant | null;
  /** Names of what is in it and was not logged. */
  readonly unlogged: readonly string[];
};

type Held = { readonly list: readonly Ingredient[]; readonly waterL: number };
const NOTHING: Held = { list: [], waterL: 0 };

/** Something of which nothing is known but that it is in it. */
const unlogged = (name: string): Ingredient => ({
  ...ingredientOf(
    '',
    { amount: { in: 'unknown' } },
    resolveMaterialProperties(
      {
        id: UNLOGGED,
        name,
        role: 'green',
        n: null,
        cn: null,
        moisture: null,
        density: null,
        particle: 'medium',
        risks: [],
        sources: {},
      },
      'fresh',
    ),
  ),
});
const UNLOGGED = 'not-logged';
/** A share of everything; null: nobody measured it, so that how much it is cannot be told. */
const shareOf = (h: Held, share: number | null): Held => ({
  list: h.list.map((i) => ({
    ...i,
    litres: share === null || i.litres === null ? null : i.litres * share,
    kg: share === null || i.kg === null ? null : i.kg * share,
  })),
  waterL: h.waterL * (share ?? 0),
});

/** Parts as ingredients, with the figures that their loads had at a moment; null: have now. */
export const asIngredients = (
  store: StoreState,
  parts: readonly Part[],
  at: Instant,
): Ingredient[] =>
  parts.map((part) => {
    const { stuff: properties, price } = resolvePartProperties(store, part, at);
    return {
      ...ingredientOf('', part, properties, price),
      name: (part.load && store.loadOf.get(part.load)?.load.what) ?? properties.name,
    };
  });

/**
 * What a heap held at a moment, by time: its own layers and additions, all of a heap that was joined to it, its share of the
 * one that it was carried off from, less what was carried off from it.
 * What is carried off at that very moment is still in it.
 * @param within heaps and moments that are being looked into: heaps that were joined to each other in the same instant end there
 */
function heldBy(
  store: StoreState,
  batch: BatchId,
  until: Instant,
  within: readonly string[],
): Held {
  const heap = store.heaps.get(batch);
  const went = (store.went.get(batch) ?? []).filter((w) => w.at <= until);
  const here = `${batch} ${until}`;
  if (within.includes(here)) return NOTHING;
  const inside = [...within, here];
  const steps: { readonly at: Instant; readonly then: (h: Held) => Held }[] = [];
  const and = (at: Instant, more: () => Held): void => {
    if (at <= until)
      steps.push({
        at,
        then: (h) => {
          const m = more();
          return { list: [...h.list, ...m.list], waterL: h.waterL + m.waterL };
        },
      });
  };
  const origin = heap?.origin;
  if (origin)
    and(origin.at, () => shareOf(heldBy(store, origin.from, origin.at, inside), origin.share));
  const logged = went.some((w) => w.kind === 'charge' && w.charge.parts.length > 0);
  if (
    heap &&
    (heap.adopted || (heap.builtAt !== null && heap.builtAt <= until && !logged && !origin))
  )
    steps.push({
      at: -Infinity,
      then: (h) => ({
        ...h,
        list: [...h.list, unlogged(say('mix.whatWasBuiltOf', { name: heap.name }))],
      }),
    });
  for (const w of went)
    and(w.at, () => ({
      list: asIngredients(store, w.charge.parts, w.at),
      waterL: w.charge.waterL ?? 0,
    }));
  for (const a of heap?.others ?? [])
    and(a.at, () =>
      a.part !== null
        ? { list: asIngredients(store, [a.part], a.at), waterL: 0 }
        : a.waterL === null
          ? { list: [unlogged(a.what)], waterL: 0 }
          : { list: [], waterL: a.waterL },
    );
  for (const j of heap?.joins ?? []) and(j.at, () => heldBy(store, j.from, j.at, inside));
  for (const g of heap?.given ?? [])
    if (g.at < until)
      steps.push({ at: g.at, then: (h) => shareOf(h, g.share === null ? null : 1 - g.share) });
  return steps.sort((a, b) => a.at - b.at).reduce((h, s) => s.then(h), NOTHING);
}

/** What is in a heap, as far as the log tells. */
export const contentsOf = (store: StoreState, batch: BatchId): Contents =>
  contentsAt(store, batch, Infinity);

/** What was in a heap at a moment, as far as the log tells. */
export function contentsAt(store: StoreState, batch: BatchId, until: Instant): Contents {
  const { list, waterL } = heldBy(store, batch, until, []);
  return {
    ingredients: list.map((i, k) => ({ ...i, key: `in:${k}` })),
    waterL,
    from: store.went.get(batch)?.[0]?.at ?? null,
    unlogged: list.filter((i) => i.material === UNLOGGED).map((i) => i.name),
  };
}
