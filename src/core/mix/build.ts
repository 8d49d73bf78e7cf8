import type { BatchId, LoadId } from '../log/ids';
import { measuresFor } from '../heap/form';
import type { Amount, OwnMeasure, Part } from '../log/store-shapes';
import type { Instant } from '../quantity/instant';
import { amountOf } from './amount';
import type { Ingredient } from './ingredient';
import { planLayers, type Layer } from './layers';
import { mixOf, type Mix } from './mix';
import { asIngredients, contentsOf } from './contents';
import {
  ingredientsOf,
  inStock,
  measured,
  resolvePartProperties,
  type BuildPlan,
  type StockLoad,
  type StoreState,
  type FeedstockAdded,
} from './store';
import { firstOf, valueAt } from '../quantity/present';

/** Building a heap: what is to go in, what is in, and what comes next. */

/** A part of a layer as it is to be put in: from which load, and how much, in the measure of the crew. */
type ToPutIn = {
  readonly material: string;
  readonly name: string;
  readonly load: LoadId | null;
  readonly litres: number;
  readonly amount: Amount;
};
type GuideLayer = Layer & {
  readonly n: number;
  readonly done: boolean;
  readonly put: readonly ToPutIn[];
};
type Guide = {
  readonly layers: readonly GuideLayer[];
  /** From 1; null: all are in. */ readonly next: number | null;
  readonly plan: Mix;
  readonly planParts: readonly Ingredient[];
  readonly heightM: number;
  readonly widthM: number;
};
export type Built = {
  readonly since: Instant | null;
  readonly went: readonly FeedstockAdded[];
  readonly mix: Mix;
  readonly parts: readonly Ingredient[];
  readonly guide: Guide | null;
  readonly people: number;
};

/** Barrows where the site has them, the smaller measure where there is too little for half a barrow. */
export function inCrewMeasure(litres: number, measures: readonly OwnMeasure[]): Amount {
  const sorted = [...measures].sort((a, b) => a.litres - b.litres);
  const barrow =
    sorted.find((m) => m.id === 'barrow') ??
    sorted.find((m) => m.litres >= 40 && m.litres <= 150) ??
    sorted[0];
  const fit =
    barrow && litres >= barrow.litres / 2
      ? barrow
      : (sorted.findLast((m) => m.litres <= Math.max(litres * 2, firstOf(sorted).litres)) ??
        sorted[0]);
  if (!fit) return { in: 'litres', n: Math.max(1, Math.round(litres)) };
  const n = Math.round((litres / fit.litres) * 2) / 2;
  return n > 0 ? measured(n, fit) : { in: 'litres', n: Math.max(1, Math.round(litres)) };
}

/** The load of the store that so much of a material is taken from: the oldest that is ripe, taken in, and has enough left; else the fullest. */
function loadFor(
  store: StoreState,
  material: string,
  litres: number,
  now: Instant,
): StockLoad | null {
  const ripe = inStock(store)
    .filter(
      (l) =>
        l.material.id === material &&
        l.answer === 'accept' &&
        (l.readyFrom === null || l.readyFrom <= now) &&
        (l.leftLitres === null || l.leftLitres > 1),
    )
    .sort((a, b) => a.at - b.at);
  return (
    ripe.find((l) => l.leftLitres === null || l.leftLitres >= litres) ??
    ripe.sort((a, b) => (b.leftLitres ?? 0) - (a.leftLitres ?? 0))[0] ??
    null
  );
}

/** A heap that is building: what is in it, and the layers of what it is built by. */
export function builtOf(store: StoreState, batch: BatchId, now: Instant): Built {
  const went = store.went.get(batch) ?? [];
  const { ingredients, waterL, from } = contentsOf(store, batch);
  const layUp = store.layUps.get(batch);
  return {
    since: from,
    went,
    mix: mixOf(ingredients, waterL),
    parts: ingredients,
    guide: layUp ? guideOf(store, batch, layUp, now) : null,
    people: new Set(went.map((w) => w.by)).size,
  };
}

/**
 * What went in by a lay-up, and what lay under it. What was laid up is what goes in from then on: what was logged before fills
 * none of its layers. By the order of the log: a layer may be logged with an hour at which nobody had laid it up here yet.
 */
function wentBy(
  store: StoreState,
  batch: BatchId,
  layUp: BuildPlan,
): { readonly since: readonly FeedstockAdded[]; readonly under: readonly FeedstockAdded[] } {
  const went = store.went.get(batch) ?? [];
  return {
    since: went.filter((w) => w.seq > layUp.seq),
    under: went.filter((w) => w.seq < layUp.seq),
  };
}

function guideOf(store: StoreState, batch: BatchId, layUp: BuildPlan, now: Instant): Guide {
  const { parts, waterL = 0, shape = 'dome' } = layUp.recipe;
  const planParts = ingredientsOf(store, parts);
  const { since, under } = wentBy(store, batch, layUp);
  const plan = mixOf(
    [...under.flatMap((w) => asIngredients(store, w.charge.parts, w.at)), ...planParts],
    under.reduce((s, w) => s + (w.charge.waterL ?? 0), waterL),
  );
  const size = measuresFor(shape, Math.max(0.05, (plan.litresMixed ?? 1000) / 1000), null);
  const logged = new Set(since.flatMap((w) => w.charge.layer ?? []));
  const byKey = new Map(planParts.map((p) => [p.key, p]));
  const layers = planLayers(planParts, waterL, size.heightM).map((l, i): GuideLayer => ({
    ...l,
    n: i + 1,
    done: logged.has(i + 1),
    put: l.parts.map((p) => {
      const { material, name } = valueAt(byKey, p.key);
      const told = parts[Number(p.key.split(':')[0])]?.load;
      const load =
        told !== undefined && store.loadOf.get(told)?.gone === null
          ? told
          : (loadFor(store, material, p.litres, now)?.id ?? null);
      return {
        material,
        name: (load === null ? undefined : store.loadOf.get(load)?.load.what) ?? name,
        load,
        litres: p.litres,
        amount: inCrewMeasure(p.litres, store.measures),
      };
    }),
  }));
  return {
    layers,
    next: layers.find((l) => !l.done)?.n ?? null,
    plan,
    planParts,
    heightM: size.heightM,
    widthM: size.widthM,
  };
}

/** What of a recipe is not in yet, by material; what went in beyond it is left out. */
export function remainingOf(store: StoreState, batch: BatchId): readonly Part[] {
  const layUp = store.layUps.get(batch);
  if (!layUp) return [];
  const inLitres = new Map<string, number>();
  for (const w of wentBy(store, batch, layUp).since)
    for (const p of w.charge.parts)
      inLitres.set(
        p.material,
        (inLitres.get(p.material) ?? 0) +
          (amountOf(p.amount, resolvePartProperties(store, p, w.at).stuff.density).litres ?? 0),
      );
  return layUp.recipe.parts.flatMap((p): Part[] => {
    const { litres } = amountOf(p.amount, resolvePartProperties(store, p).stuff.density);
    if (litres === null) return [p];
    const used = Math.min(litres, inLitres.get(p.material) ?? 0);
    inLitres.set(p.material, (inLitres.get(p.material) ?? 0) - used);
    const left = litres - used;
    return left < 5
      ? []
      : [{ ...p, amount: left === litres ? p.amount : inCrewMeasure(left, store.measures) }];
  });
}
