import type { Ingredient } from './ingredient';
import { mixOf, waterToAdd, type Mix } from './mix';
import {
  estOf,
  distanceFromPreferred,
  mixDistanceFromPreferred,
  WINDOW_IDS,
  WINDOWS,
  type WindowId,
} from './window';

/** Adding one material in whole measures, with the water that then brings it to the middle of its window. */
export type Addition = {
  readonly key: string;
  readonly n: number;
  readonly litres: number;
  readonly waterL: number;
  readonly before: Mix;
  readonly after: Mix;
  readonly miss: number;
  /** Figures that it moves further from what is wanted, and by that stay workable. */ readonly costs: readonly WindowId[];
};
/** One material of the stock, and the measure that it is carried in. */
export type Carried = {
  readonly stuff: Omit<Ingredient, 'litres' | 'kg' | 'about'>;
  readonly litresEach: number;
  /** L; null: not known how much there is. */ readonly hasLitres: number | null;
};

/** So many measures of one thing are tried; no more than the mix itself: beyond that it is another mix. */
const MAX_TRIED = 60;
/** A smaller change of a figure than this share of its margin is none. */
const HARDLY = 0.02;
/** More of a change than this is worth it: shares of a window's margin. */
const WORTH = 0.05;

/** How far one figure of a mix lies outside of what is wanted; 0: inside, or not known. */
function missIn(mix: Mix, id: WindowId): number {
  const e = estOf(mix[id]);
  if (!e) return 0;
  const { preferred, reasonable } = WINDOWS[id];
  // Loose and airy does no harm while it still works.
  if (
    (id === 'density' && e.value < preferred[0] && e.value >= reasonable[0]) ||
    (id === 'air' && e.value > preferred[1] && e.value <= reasonable[1])
  )
    return 0;
  return distanceFromPreferred(WINDOWS[id], e.value);
}
/** One that makes nothing worse before one that does; else the nearer one. */
const isBetter = (
  a: Pick<Addition, 'miss' | 'costs'>,
  b: Pick<Addition, 'miss' | 'costs'>,
): boolean =>
  a.costs.length > 0 !== b.costs.length > 0 ? a.costs.length === 0 : a.miss < b.miss - 1e-9;

/** A mix as it lies, to which something is to be added. */
type Base = {
  readonly parts: readonly Ingredient[];
  readonly waterL: number;
  readonly before: Mix;
};
/** Where water is added at all, it brings a mix to the middle of its window. */
const MIDDLE_PCT = (WINDOWS.moisture.preferred[0] + WINDOWS.moisture.preferred[1]) / 2;

/** So many measures of one thing added; null: the mix cannot be worked out with it. */
function addMeasures({ parts, waterL, before }: Base, s: Carried, n: number): Addition | null {
  const { density } = s.stuff;
  const litres = n * s.litresEach;
  const kgEach = density === null ? 0 : (s.litresEach * density.usual) / 1000;
  const together = [...parts, { ...s.stuff, litres, kg: kgEach * n, about: false }];
  const dry = mixOf(together, waterL, false);
  const wet = estOf(dry.moisture);
  if (!wet || dry.massKg === null) return null;
  const isDry = wet.value < WINDOWS.moisture.preferred[0];
  const more = isDry ? waterToAdd(dry.massKg, wet.value, MIDDLE_PCT) : 0;
  const after = more > 0 ? mixOf(together, waterL + more, false) : dry;
  const miss = mixDistanceFromPreferred(after);
  if (miss === null) return null;
  const costs = WINDOW_IDS.filter((id) => missIn(after, id) > missIn(before, id) + HARDLY);
  return { costs, key: s.stuff.key, n, litres, waterL: more, before, after, miss };
}

/** The best number of measures of one thing; null: none can be worked out. */
function bestOf(base: Base, s: Carried): Addition | null {
  const loose = base.before.litresLoose ?? 0;
  const most = Math.min(MAX_TRIED, Math.max(1, Math.floor(loose / s.litresEach)));
  const has = (n: number): boolean =>
    s.hasLitres === null || n * s.litresEach <= s.hasLitres + 1e-9;
  let best: Addition | null = null;
  for (let n = 1; n <= most && has(n); n += 1) {
    const addition = addMeasures(base, s, n);
    if (addition === null) break;
    // What leaves the workable window on the way to another is no help.
    if (addition.costs.some((id) => missIn(addition.after, id) > 1)) continue;
    if (best === null || isBetter(addition, best)) best = addition;
  }
  return best;
}

/**
 * What to add to a mix now: each material of the stock alone, in whole measures, the best number of each; best first. Empty
 * where nothing makes it better, or where the mix cannot be worked out.
 */
export function additionsTo(
  parts: readonly Ingredient[],
  waterL: number,
  stock: readonly Carried[],
): Addition[] {
  const before = mixOf(parts, waterL);
  const was = mixDistanceFromPreferred(before);
  if (was === null) return [];
  const found = stock.flatMap((s) => {
    const best = bestOf({ parts, waterL, before }, s);
    return best && best.miss < was - WORTH ? [best] : [];
  });
  return found.sort(
    (a, b) =>
      Number(a.costs.length > 0) - Number(b.costs.length > 0) ||
      Math.round((a.miss - b.miss) * 10) ||
      a.litres - b.litres,
  );
}
