import { MAX_CARBON_PCT } from './library';
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
import { itemAt, valueAt } from '../quantity/present';

/**
 * Amounts that reach a target, as a linear programme: the kilograms of each material and of water are its variables. C:N,
 * moisture and density of a mix are ratios of sums, so that a bound on one is linear in the kilograms:
 * ΣCᵢ − t·ΣNᵢ ≥ 0, Σ water − t·Σ mass ≥ 0, Σ mass − t·Σ volume ≤ 0. Each bound may be missed at a cost that stands over
 * every other: so there is always an answer, the nearest, and what it misses is told. Stock is never exceeded. The solver
 * is handed in: the core knows none.
 */
export type Linear = {
  readonly variables: readonly {
    readonly name: string;
    readonly cost: number;
    readonly max: number | null;
    readonly in: readonly (readonly [row: string, k: number])[];
  }[];
  readonly rows: readonly {
    readonly name: string;
    readonly min?: number;
    readonly max?: number;
    readonly equal?: number;
  }[];
};
/** Values of the variables, not negative, by name; null: the solver found none. */
export type SolveLinear = (programme: Linear) => ReadonlyMap<string, number> | null;

/** One material that the solver may use. */
export type Offer = {
  readonly stuff: Omit<Ingredient, 'litres' | 'kg' | 'about'>;
  /** So much is in the mix as it stands, kg; what is fixed stays so, and what a heap holds cannot be taken out of it. */
  readonly nowKg: number;
  readonly fixed: boolean;
  readonly inHeap?: boolean;
  /** No less and no more than this, kg; null: as much as is wanted. */
  readonly leastKg: number;
  readonly mostKg: number | null;
  /** The upper end is what somebody allows, not what there is. */
  readonly wished?: boolean;
};
export type Target = {
  readonly cn: readonly [number, number];
  readonly moisturePct: readonly [number, number];
  readonly densityMost: number;
  /** Loose, L; null: no less than there is now. */ readonly litres: number | null;
  /** Hold to the amounts as they are where nothing else decides. */ readonly keep: boolean;
};

/** An end that is lifted: what was allowed and what it would take, kg. */
export type Limit =
  | {
      readonly code: 'STOCK' | 'MOST' | 'LEAST' | 'FIXED';
      readonly key: string;
      readonly name: string;
      readonly allowedKg: number;
      readonly wantsKg: number;
    }
  | { readonly code: 'NOTHING_LIKE'; readonly lacks: 'carbon' | 'nitrogen' | 'dry' | 'structure' };
export type SolvedMix = {
  readonly reached: boolean;
  readonly amounts: readonly {
    readonly key: string;
    readonly kg: number;
    readonly litres: number;
  }[];
  readonly waterL: number;
  /** What the nearest mix still misses. */
  readonly misses: readonly WindowId[];
  readonly limits: readonly Limit[];
};

/** Per kilogram: water, carbon, nitrogen, litres, and of those what takes room in a mix. */
type Known = Offer & {
  readonly m: number;
  readonly c: number;
  readonly n: number;
  readonly perL: number;
  readonly room: number;
};
const known = (o: Offer): Known | null => {
  const { moisture, density, cn, carbonPct, role } = o.stuff;
  const inert = cn === null && (role === 'mineral' || role === 'liquid');
  if (!moisture || !density || (!inert && (!cn || carbonPct === null))) return null;
  const dry = 1 - moisture.usual / 100;
  const c = inert ? 0 : (dry * Math.min(carbonPct!, MAX_CARBON_PCT)) / 100;
  return {
    ...o,
    m: moisture.usual / 100,
    c,
    n: inert || cn!.usual <= 0 ? 0 : c / cn!.usual,
    perL: 1000 / density.usual,
    room: o.stuff.particle === 'liquid' ? 0 : 1000 / density.usual,
  };
};

/** Fine stuff lies between coarse, so that a mix is denser than its parts side by side: the programme is held this much under the limit. */
export const PACKING_FACTOR = 0.85;
/** Weight of a missed bound against everything else, and of keeping to what is there. */
const MISS = 1000;
/** What a mix may miss of what is wanted. */
const MISSES = ['cnLow', 'cnHigh', 'wetLow', 'wetHigh', 'dense', 'volume'] as const;
type MissName = (typeof MISSES)[number];
const missKey = (name: MissName): string => `miss:${name}`;
const MOVE = 0.01;

/** An end of one material that is lifted, to see whether it is what binds. */
type Lifted = { readonly key: string; readonly end: 'most' | 'least' | 'fixed' };

function programme(offers: readonly Known[], t: Target, lifted: Lifted | null): Linear {
  const rows = [
    { name: 'cnLow', min: 0 },
    { name: 'cnHigh', max: 0 },
    { name: 'wetLow', min: 0 },
    { name: 'wetHigh', max: 0 },
    { name: 'dense', max: 0 },
    { name: 'volume', min: t.litres ?? 0 },
  ] as Linear['rows'][number][];
  const variables: Linear['variables'][number][] = [];
  const [wl, wh] = [t.moisturePct[0] / 100, t.moisturePct[1] / 100];
  for (const o of offers) {
    const key = o.stuff.key;
    const into: [string, number][] = [
      ['cnLow', o.c - t.cn[0] * o.n],
      ['cnHigh', o.c - t.cn[1] * o.n],
      ['wetLow', o.m - wl],
      ['wetHigh', o.m - wh],
      ['dense', 1 - ((PACKING_FACTOR * t.densityMost) / 1000) * o.room],
      ['volume', o.room],
    ];
    const price = o.stuff.price ?? 0;
    const free = lifted?.key === key ? lifted.end : null;
    const fixed = o.fixed && free !== 'fixed';
    const most = fixed ? o.nowKg : free === 'most' ? null : o.mostKg;
    const least = fixed ? o.nowKg : free === 'least' ? 0 : o.leastKg;
    variables.push({
      name: `x:${key}`,
      cost: price,
      max: most,
      in: [
        ...into,
        ...(least > 0 ? ([[`least:${key}`, 1]] as [string, number][]) : []),
        ...(t.keep ? ([[`keep:${key}`, 1]] as [string, number][]) : []),
      ],
    });
    if (least > 0) rows.push({ name: `least:${key}`, min: least });
    if (t.keep) {
      rows.push({ name: `keep:${key}`, equal: o.nowKg });
      // A litre moved costs the same whatever it is.
      variables.push(
        { name: `up:${key}`, cost: MOVE * o.perL, max: null, in: [[`keep:${key}`, -1]] },
        { name: `down:${key}`, cost: MOVE * o.perL, max: null, in: [[`keep:${key}`, 1]] },
      );
    }
  }
  // Water weighs a kilogram a litre; it is cheap, and fills pores rather than room.
  variables.push({
    name: 'water',
    cost: MOVE / 10,
    max: null,
    in: [
      ['wetLow', 1 - wl],
      ['wetHigh', 1 - wh],
      ['dense', 1],
    ],
  });
  const miss = (name: MissName, row: string, k: number, cost: number): void => {
    variables.push({ name: missKey(name), cost: cost * MISS, max: null, in: [[row, k]] });
  };
  // Carbon is half of a heap's dry weight and nitrogen a fiftieth: weighed so that a unit of each miss hurts about alike.
  miss('cnLow', 'cnLow', 1, 4);
  miss('cnHigh', 'cnHigh', -1, 4);
  miss('wetLow', 'wetLow', 1, 1);
  miss('wetHigh', 'wetHigh', -1, 1);
  miss('dense', 'dense', -1, 0.3);
  miss('volume', 'volume', 1, 1);
  return { variables, rows };
}

const missSum = (values: ReadonlyMap<string, number>): number =>
  MISSES.reduce((sum, name) => sum + (values.get(missKey(name)) ?? 0), 0);
const NEAR = 1e-6;

/** Names of what stands in the way: figures that are not known. */
export const unsolvable = (offers: readonly Offer[]): string[] =>
  offers
    .filter((o) => known(o) === null && (o.fixed ? o.nowKg > 0 : true))
    .map((o) => o.stuff.name);

/**
 * The amounts that come nearest to a target. Materials whose figures are not known are left out, unless they are fixed: then
 * nothing can be solved.
 * @returns null where the solver found nothing
 */
export function solveMix(
  offers: readonly Offer[],
  t: Target,
  solve: SolveLinear,
): SolvedMix | null {
  const usable = offers.flatMap((o) => known(o) ?? []);
  const values = solve(programme(usable, t, null));
  if (!values) return null;
  const missed = missSum(values);
  const scale = Math.max(
    1,
    usable.reduce((s, o) => s + (values.get(`x:${o.stuff.key}`) ?? 0), 0),
  );
  const reached = missed < NEAR * scale;
  const amounts = usable.map((o) => {
    const kg = Math.max(0, values.get(`x:${o.stuff.key}`) ?? 0);
    return { key: o.stuff.key, kg, litres: kg * o.perL };
  });
  const off = (...names: string[]): boolean =>
    names.some((n) => (values.get(`miss:${n}`) ?? 0) > NEAR * scale);
  const misses: WindowId[] = [
    ...(off('cnLow', 'cnHigh') ? ['cn' as const] : []),
    ...(off('wetLow', 'wetHigh') ? ['moisture' as const] : []),
    ...(off('dense') ? ['density' as const] : []),
  ];
  let limits: Limit[] = [];
  if (!reached) {
    const ends: Exclude<Limit, { code: 'NOTHING_LIKE' }>[] = [];
    // What binds is found by lifting each end that is touched: the one that helps is it.
    const tell = (
      o: Known,
      code: (typeof ends)[number]['code'],
      end: Lifted['end'],
      allowedKg: number,
    ): void => {
      const freed = solve(programme(usable, t, { key: o.stuff.key, end }));
      if (freed && missSum(freed) < missed - Math.max(NEAR * scale, 0.01 * missed))
        ends.push({
          code,
          key: o.stuff.key,
          name: o.stuff.name,
          allowedKg,
          wantsKg: freed.get(`x:${o.stuff.key}`) ?? 0,
        });
    };
    for (const o of usable) {
      const kg = values.get(`x:${o.stuff.key}`) ?? 0;
      if (o.fixed) {
        if (!o.inHeap) tell(o, 'FIXED', 'fixed', o.nowKg);
        continue;
      }
      if (o.mostKg !== null && kg >= o.mostKg - NEAR * scale)
        tell(o, o.wished ? 'MOST' : 'STOCK', 'most', o.mostKg);
      if (o.leastKg > 0 && kg <= o.leastKg + NEAR * scale) tell(o, 'LEAST', 'least', o.leastKg);
    }
    limits = ends.sort(
      (x, y) => Math.abs(x.wantsKg - x.allowedKg) - Math.abs(y.wantsKg - y.allowedKg),
    );
    if (limits.length === 0) {
      if (off('cnLow')) limits.push({ code: 'NOTHING_LIKE', lacks: 'carbon' });
      if (off('cnHigh')) limits.push({ code: 'NOTHING_LIKE', lacks: 'nitrogen' });
      if (off('wetHigh')) limits.push({ code: 'NOTHING_LIKE', lacks: 'dry' });
      if (off('dense')) limits.push({ code: 'NOTHING_LIKE', lacks: 'structure' });
    }
  }
  return { reached, amounts, waterL: values.get('water') ?? 0, misses, limits };
}

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
  const moved = offers.flatMap((o) => {
    const a = s.amounts.find((x) => x.key === o.stuff.key);
    return a && !o.fixed ? [{ o, kg: a.kg, step: steps.get(o.stuff.key) ?? 1 }] : [];
  });
  const held = offers.filter((o) => o.fixed && o.nowKg > 0).map((o) => withKg(o, o.nowKg));
  const most = moved.map(({ o, step }) =>
    o.mostKg === null ? Infinity : Math.floor(o.mostKg / step + NEAR),
  );
  const least = moved.map(({ o, step }, i) =>
    Math.min(itemAt(most, i), Math.ceil(o.leastKg / step - NEAR)),
  );
  const mixAt = (n: readonly number[], water: number): Mix =>
    mixOf(
      [...held, ...moved.map(({ o, step }, i) => withKg(o, itemAt(n, i) * step))],
      water * WATER_STEP_L,
      false,
    );
  let n = moved.map(({ kg, step }, i) =>
    Math.min(itemAt(most, i), Math.max(itemAt(least, i), Math.round(kg / step))),
  );
  let water = Math.round(s.waterL / WATER_STEP_L);
  let by = outside(mixAt(n, water), t).by;
  for (let k = 0; k < MAX_STEPS && by > NEAR; k += 1) {
    const single = [...moved.map((_, i) => i), WATER].flatMap((i) => [
      { i, d: 1 },
      { i, d: -1 },
    ]);
    const moves = [
      ...single.map((m) => [m]),
      ...(moved.length > FEW_INGREDIENTS
        ? []
        : single.flatMap((m) => single.filter((o) => o.i > m.i).map((o) => [m, o]))),
    ];
    const best = moves
      .flatMap((ms) => {
        const next = n.map((x, i) => x + ms.reduce((sum, m) => sum + (m.i === i ? m.d : 0), 0));
        const wet = water + ms.reduce((sum, m) => sum + (m.i === WATER ? m.d : 0), 0);
        return wet >= 0 && next.every((x, i) => x >= itemAt(least, i) && x <= itemAt(most, i))
          ? [{ n: next, water: wet, by: outside(mixAt(next, wet), t).by }]
          : [];
      })
      .reduce((a, b) => (b.by < a.by ? b : a), { n, water, by });
    if (best.by >= by - NEAR) break;
    ({ n, water, by } = best);
  }
  const mix = mixAt(n, water);
  const amounts = new Map([
    ...offers.filter((o) => o.fixed).map((o) => [o.stuff.key, o.nowKg] as const),
    ...moved.map(({ o, step }, i) => [o.stuff.key, itemAt(n, i) * step] as const),
  ]);
  const priced = offers.filter(
    (o) => !o.inHeap && o.stuff.price !== null && (amounts.get(o.stuff.key) ?? 0) > 0,
  );
  return {
    amounts,
    waterL: water * WATER_STEP_L,
    mix,
    misses: outside(mix, t).misses,
    cost:
      priced.length === 0
        ? null
        : priced.reduce((sum, o) => sum + o.stuff.price! * valueAt(amounts, o.stuff.key), 0),
  };
}
const withKg = (o: Offer, kg: number): Ingredient => ({
  ...o.stuff,
  kg,
  litres: o.stuff.density ? (kg / o.stuff.density.usual) * 1000 : null,
  about: false,
});

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
  const target = (WINDOWS.moisture.preferred[0] + WINDOWS.moisture.preferred[1]) / 2;
  const loose = before.litresLoose ?? 0;
  const found = stock.flatMap((s): Addition[] => {
    const most = Math.min(MAX_TRIED, Math.max(1, Math.floor(loose / s.litresEach)));
    let best: Addition | null = null;
    const each = s.stuff.density === null ? 0 : (s.litresEach * s.stuff.density.usual) / 1000;
    for (
      let n = 1;
      n <= most && (s.hasLitres === null || n * s.litresEach <= s.hasLitres + 1e-9);
      n += 1
    ) {
      const added: Ingredient = {
        ...s.stuff,
        litres: n * s.litresEach,
        kg: each * n,
        about: false,
      };
      const dry = mixOf([...parts, added], waterL, false);
      const wet = estOf(dry.moisture);
      if (!wet || dry.massKg === null) break;
      const more =
        wet.value < WINDOWS.moisture.preferred[0] ? waterToAdd(dry.massKg, wet.value, target) : 0;
      const after = more > 0 ? mixOf([...parts, added], waterL + more, false) : dry;
      const miss = mixDistanceFromPreferred(after);
      if (miss === null) break;
      const worse = WINDOW_IDS.filter((id) => missIn(after, id) > missIn(before, id) + HARDLY);
      // What leaves the workable window on the way to another is no help.
      if (worse.some((id) => missIn(after, id) > 1)) continue;
      if (best === null || isBetter({ miss, costs: worse }, best))
        best = {
          costs: worse,
          key: s.stuff.key,
          n,
          litres: n * s.litresEach,
          waterL: more,
          before,
          after,
          miss,
        };
    }
    return best && best.miss < was - WORTH ? [best] : [];
  });
  return found.sort(
    (a, b) =>
      Number(a.costs.length > 0) - Number(b.costs.length > 0) ||
      Math.round((a.miss - b.miss) * 10) ||
      a.litres - b.litres,
  );
}
