import type { Ingredient } from './ingredient';
import { mixOf, type Mix } from './mix';
import type { Offer, Target } from './programme';
import type { SolvedMix } from './solve';
import { estOf, type WindowId } from './window';
import { itemAt, valueAt } from '../quantity/present';

/** Less than this of a target is not missed. */
const NEAR = 1e-6;
/** A figure that nothing in the mix gives is further off than any other. */
const NOWHERE = 1e6;
/** What of a target a mix lies outside of, and how far in all: 1 is about where it would be noticed. Volume counts, and has no window. */
function outside(
  mix: Mix,
  t: Target,
): { readonly misses: readonly WindowId[]; readonly by: number } {
  const over = (
    id: WindowId,
    [low, high]: readonly [number, number],
    noticed: number,
  ): readonly [WindowId, number] => {
    const e = estOf(mix[id]);
    return [id, e === null ? NOWHERE : Math.max(0, low - e.value, e.value - high) / noticed];
  };
  const by = [
    over('cn', t.cn, 1),
    over('moisture', t.moisturePct, 1),
    over('density', [0, t.densityMost], 20),
  ];
  const room =
    t.litres === null || mix.litresLoose === null
      ? 0
      : Math.max(0, t.litres - mix.litresLoose) / (0.05 * t.litres);
  return {
    misses: by.flatMap(([id, x]) => (x > NEAR ? [id] : [])),
    by: by.reduce((s, [, x]) => s + x, room),
  };
}

/** By key, kg; `misses` is what of the target the rounding lost or nothing could reach. */
export type InSteps = {
  readonly amounts: ReadonlyMap<string, number>;
  readonly waterL: number;
  readonly mix: Mix;
  readonly misses: readonly WindowId[];
  /** Of what is put in and priced; null: nothing is. */ readonly cost: number | null;
};
const WATER_STEP_L = 5;
/** Where the water stands among the things that are moved: before all materials. */
const WATER = -1;
/** So often at most the mix is bettered by a step; of so many things two at a time are tried as well. */
const MAX_STEPS = 200;
const FEW_INGREDIENTS = 12;

/** A material whose amount may be changed, in steps of its measure; all counts are steps. */
type Moved = {
  readonly offer: Offer;
  /** Kilograms of one step. */ readonly step: number;
  readonly least: number;
  readonly most: number;
  /** As it was solved. */ readonly start: number;
};

function movedOf(
  offers: readonly Offer[],
  solved: SolvedMix,
  steps: ReadonlyMap<string, number>,
): Moved[] {
  const kgOf = new Map(solved.amounts.map((a) => [a.key, a.kg]));
  return offers.flatMap((offer) => {
    const kg = kgOf.get(offer.stuff.key);
    if (kg === undefined || offer.fixed) return [];
    const step = steps.get(offer.stuff.key) ?? 1;
    const most = offer.mostKg === null ? Infinity : Math.floor(offer.mostKg / step + NEAR);
    const least = Math.min(most, Math.ceil(offer.leastKg / step - NEAR));
    const start = Math.min(most, Math.max(least, Math.round(kg / step)));
    return [{ offer, step, least, most, start }];
  });
}

/** So many steps of each material that is moved, and of water. */
type Counts = { readonly n: readonly number[]; readonly water: number };
type Step = { readonly i: number; readonly d: 1 | -1 };

/** One step of one thing; of few things, of two at a time as well. */
function movesOf(things: number): Step[][] {
  const single = [...Array(things).keys(), WATER].flatMap((i): Step[] => [
    { i, d: 1 },
    { i, d: -1 },
  ]);
  const pairs =
    things > FEW_INGREDIENTS
      ? []
      : single.flatMap((m) => single.filter((o) => o.i > m.i).map((o) => [m, o]));
  return [...single.map((m) => [m]), ...pairs];
}

const applyMove = ({ n, water }: Counts, move: readonly Step[]): Counts => {
  const change = (i: number): number => move.reduce((sum, m) => sum + (m.i === i ? m.d : 0), 0);
  return { n: n.map((x, i) => x + change(i)), water: water + change(WATER) };
};
const isAllowed = (moved: readonly Moved[], { n, water }: Counts): boolean =>
  water >= 0 && moved.every(({ least, most }, i) => itemAt(n, i) >= least && itemAt(n, i) <= most);

/** Betters the counts by the best move again and again, until none brings the mix nearer to the target. */
function bestCounts(
  moved: readonly Moved[],
  start: Counts,
  missBy: (counts: Counts) => number,
): Counts {
  const moves = movesOf(moved.length);
  let best = { counts: start, by: missBy(start) };
  for (let k = 0; k < MAX_STEPS && best.by > NEAR; k += 1) {
    const from = best;
    const next = moves
      .map((move) => applyMove(from.counts, move))
      .filter((counts) => isAllowed(moved, counts))
      .map((counts) => ({ counts, by: missBy(counts) }))
      .reduce((a, b) => (b.by < a.by ? b : a), from);
    if (next.by >= from.by - NEAR) break;
    best = next;
  }
  return best.counts;
}

/** Cost of what is put in and priced; null: nothing is. */
function costOf(offers: readonly Offer[], amounts: ReadonlyMap<string, number>): number | null {
  const priced = offers.flatMap(({ inHeap, stuff: { key, price } }) =>
    !inHeap && price !== null && (amounts.get(key) ?? 0) > 0 ? [{ key, price }] : [],
  );
  return priced.length === 0
    ? null
    : priced.reduce((sum, { key, price }) => sum + price * valueAt(amounts, key), 0);
}

/**
 * What was solved, in the amounts in which people carry it: the nearest ones, then one step of one thing or of two at a time
 * (a material, or water) as long as that brings the mix nearer to the target. What is fixed stays, and no limit is passed.
 * @param steps kilograms of one step of each, by key
 */
export function inSteps(
  offers: readonly Offer[],
  s: SolvedMix,
  t: Target,
  steps: ReadonlyMap<string, number>,
): InSteps {
  const moved = movedOf(offers, s, steps);
  const held = offers.filter((o) => o.fixed && o.nowKg > 0).map((o) => withKg(o, o.nowKg));
  const mixAt = ({ n, water }: Counts): Mix =>
    mixOf(
      [...held, ...moved.map(({ offer, step }, i) => withKg(offer, itemAt(n, i) * step))],
      water * WATER_STEP_L,
      false,
    );
  const start = { n: moved.map((m) => m.start), water: Math.round(s.waterL / WATER_STEP_L) };
  const counts = bestCounts(moved, start, (c) => outside(mixAt(c), t).by);
  const mix = mixAt(counts);
  const amounts = new Map([
    ...offers.filter((o) => o.fixed).map((o) => [o.stuff.key, o.nowKg] as const),
    ...moved.map(({ offer, step }, i) => [offer.stuff.key, itemAt(counts.n, i) * step] as const),
  ]);
  return {
    amounts,
    waterL: counts.water * WATER_STEP_L,
    mix,
    misses: outside(mix, t).misses,
    cost: costOf(offers, amounts),
  };
}
const withKg = (o: Offer, kg: number): Ingredient => ({
  ...o.stuff,
  kg,
  litres: o.stuff.density ? (kg / o.stuff.density.usual) * 1000 : null,
  about: false,
});
