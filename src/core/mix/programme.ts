import { MAX_CARBON_PCT } from './library';
import type { Ingredient } from './ingredient';

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

/** Per kilogram: water, carbon, nitrogen, litres, and of those what takes room in a mix. */
export type KnownOffer = Offer & {
  readonly m: number;
  readonly c: number;
  readonly n: number;
  readonly perL: number;
  readonly room: number;
};

/** Carbon and nitrogen of a kilogram of dry matter; null: not known. */
function carbonOfDry(stuff: Offer['stuff']): { c: number; cn: number } | null {
  const { cn, carbonPct, role } = stuff;
  if (cn === null && (role === 'mineral' || role === 'liquid')) return { c: 0, cn: 0 };
  if (cn === null || carbonPct === null) return null;
  return { c: Math.min(carbonPct, MAX_CARBON_PCT) / 100, cn: cn.usual };
}

/** An offer by the kilogram; null: its figures are not known. */
export function perKilogram(offer: Offer): KnownOffer | null {
  const { moisture, density, particle } = offer.stuff;
  const carbon = carbonOfDry(offer.stuff);
  if (!moisture || !density || !carbon) return null;
  const c = (1 - moisture.usual / 100) * carbon.c;
  const perL = 1000 / density.usual;
  return {
    ...offer,
    m: moisture.usual / 100,
    c,
    n: carbon.cn > 0 ? c / carbon.cn : 0,
    perL,
    room: particle === 'liquid' ? 0 : perL,
  };
}

/** Fine stuff lies between coarse, so that a mix is denser than its parts side by side: the programme is held this much under the limit. */
export const PACKING_FACTOR = 0.85;
/** Weight of a missed bound against everything else, and of keeping to what is there. */
const MISS = 1000;
const MOVE = 0.01;
/**
 * What a mix may miss of what is wanted, and what a unit of each miss costs: carbon is half of a heap's dry weight and nitrogen
 * a fiftieth, so that they are weighed to hurt about alike. The sign says to which side the row is missed.
 */
const MISSES = {
  cnLow: { side: 1, cost: 4 },
  cnHigh: { side: -1, cost: 4 },
  wetLow: { side: 1, cost: 1 },
  wetHigh: { side: -1, cost: 1 },
  dense: { side: -1, cost: 0.3 },
  volume: { side: 1, cost: 1 },
} as const;
export type MissName = keyof typeof MISSES;
const MISS_NAMES = Object.keys(MISSES) as MissName[];
/** The variable that holds how far a bound is missed. */
export const missKey = (name: MissName): string => `miss:${name}`;
/** The variable that holds the kilograms of a material. */
export const amountKey = (key: string): string => `x:${key}`;

/** An end of one material that is lifted, to see whether it is what binds. */
export type Lifted = { readonly key: string; readonly end: 'most' | 'least' | 'fixed' };

type Variable = Linear['variables'][number];
type Row = Linear['rows'][number];
type Block = { readonly variables: readonly Variable[]; readonly rows: readonly Row[] };

/** Least and most of a material, kg, with the end that is lifted left open. */
function endsOf(o: KnownOffer, lifted: Lifted | null): { least: number; most: number | null } {
  const free = lifted?.key === o.stuff.key ? lifted.end : null;
  if (o.fixed && free !== 'fixed') return { least: o.nowKg, most: o.nowKg };
  return { least: free === 'least' ? 0 : o.leastKg, most: free === 'most' ? null : o.mostKg };
}

/** The variables and rows of one material: what it brings, its ends, and what it costs to move it. */
function blockOf(o: KnownOffer, t: Target, lifted: Lifted | null): Block {
  const { key, price } = o.stuff;
  const [leastKey, keepKey] = [`least:${key}`, `keep:${key}`];
  const { least, most } = endsOf(o, lifted);
  const brings: [string, number][] = [
    ['cnLow', o.c - t.cn[0] * o.n],
    ['cnHigh', o.c - t.cn[1] * o.n],
    ['wetLow', o.m - t.moisturePct[0] / 100],
    ['wetHigh', o.m - t.moisturePct[1] / 100],
    ['dense', 1 - ((PACKING_FACTOR * t.densityMost) / 1000) * o.room],
    ['volume', o.room],
  ];
  const amount: Variable = {
    name: amountKey(key),
    cost: price ?? 0,
    max: most,
    in: [
      ...brings,
      ...(least > 0 ? [[leastKey, 1] as const] : []),
      ...(t.keep ? [[keepKey, 1] as const] : []),
    ],
  };
  const leastRow: Row[] = least > 0 ? [{ name: leastKey, min: least }] : [];
  if (!t.keep) return { variables: [amount], rows: leastRow };
  // A litre moved costs the same whatever it is.
  const cost = MOVE * o.perL;
  return {
    variables: [
      amount,
      { name: `up:${key}`, cost, max: null, in: [[keepKey, -1]] },
      { name: `down:${key}`, cost, max: null, in: [[keepKey, 1]] },
    ],
    rows: [...leastRow, { name: keepKey, equal: o.nowKg }],
  };
}

/** The programme of a target, with one end of one material lifted, or none. */
export function buildMixProgramme(
  offers: readonly KnownOffer[],
  t: Target,
  lifted: Lifted | null,
): Linear {
  const blocks = offers.map((o) => blockOf(o, t, lifted));
  // Water weighs a kilogram a litre; it is cheap, and fills pores rather than room.
  const water: Variable = {
    name: 'water',
    cost: MOVE / 10,
    max: null,
    in: [
      ['wetLow', 1 - t.moisturePct[0] / 100],
      ['wetHigh', 1 - t.moisturePct[1] / 100],
      ['dense', 1],
    ],
  };
  const misses = MISS_NAMES.map((name): Variable => {
    const { side, cost } = MISSES[name];
    return { name: missKey(name), cost: cost * MISS, max: null, in: [[name, side]] };
  });
  return {
    variables: [...blocks.flatMap((b) => b.variables), water, ...misses],
    rows: [
      { name: 'cnLow', min: 0 },
      { name: 'cnHigh', max: 0 },
      { name: 'wetLow', min: 0 },
      { name: 'wetHigh', max: 0 },
      { name: 'dense', max: 0 },
      { name: 'volume', min: t.litres ?? 0 },
      ...blocks.flatMap((b) => b.rows),
    ],
  };
}

/** How much of the target the values miss in all. */
export const missSum = (values: ReadonlyMap<string, number>): number =>
  MISS_NAMES.reduce((sum, name) => sum + (values.get(missKey(name)) ?? 0), 0);
