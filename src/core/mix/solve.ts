import {
  amountKey,
  buildMixProgramme,
  missKey,
  missSum,
  perKilogram,
  type KnownOffer,
  type Lifted,
  type MissName,
  type Offer,
  type SolveLinear,
  type Target,
} from './programme';
import type { WindowId } from './window';

/** An end that is lifted: what was allowed and what it would take, kg. */
type EndLimit = {
  readonly code: 'STOCK' | 'MOST' | 'LEAST' | 'FIXED';
  readonly key: string;
  readonly name: string;
  readonly allowedKg: number;
  readonly wantsKg: number;
};
export type Limit =
  | EndLimit
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

/** Less than this of a target is not missed, kg of a small mix. */
const NEAR = 1e-6;

/** Names of what stands in the way: figures that are not known. */
export const unsolvable = (offers: readonly Offer[]): string[] =>
  offers
    .filter((o) => perKilogram(o) === null && (o.fixed ? o.nowKg > 0 : true))
    .map((o) => o.stuff.name);

/** What the solver found, and how far from the target it is. */
type Found = {
  readonly values: ReadonlyMap<string, number>;
  readonly missed: number;
  /** So little is nothing, in this mix. */ readonly near: number;
};
const amountIn = (values: ReadonlyMap<string, number>, o: KnownOffer): number =>
  values.get(amountKey(o.stuff.key)) ?? 0;

function findNearest(usable: readonly KnownOffer[], t: Target, solve: SolveLinear): Found | null {
  const values = solve(buildMixProgramme(usable, t, null));
  if (!values) return null;
  const kg = usable.reduce((s, o) => s + amountIn(values, o), 0);
  return { values, missed: missSum(values), near: NEAR * Math.max(1, kg) };
}

const isMissed = ({ values, near }: Found, ...names: readonly MissName[]): boolean =>
  names.some((name) => (values.get(missKey(name)) ?? 0) > near);

const missesOf = (found: Found): WindowId[] => [
  ...(isMissed(found, 'cnLow', 'cnHigh') ? ['cn' as const] : []),
  ...(isMissed(found, 'wetLow', 'wetHigh') ? ['moisture' as const] : []),
  ...(isMissed(found, 'dense') ? ['density' as const] : []),
];

type TouchedEnd = {
  readonly code: EndLimit['code'];
  readonly end: Lifted['end'];
  readonly allowedKg: number;
};

/** The ends of a material that its amount lies at. */
function touchedEnds(o: KnownOffer, { values, near }: Found): TouchedEnd[] {
  if (o.fixed) return o.inHeap ? [] : [{ code: 'FIXED', end: 'fixed', allowedKg: o.nowKg }];
  const kg = amountIn(values, o);
  const { mostKg, leastKg, wished } = o;
  const most = mostKg !== null && kg >= mostKg - near;
  return [
    ...(most
      ? [
          {
            code: wished ? ('MOST' as const) : ('STOCK' as const),
            end: 'most' as const,
            allowedKg: mostKg,
          },
        ]
      : []),
    ...(leastKg > 0 && kg <= leastKg + near
      ? [{ code: 'LEAST' as const, end: 'least' as const, allowedKg: leastKg }]
      : []),
  ];
}

/** What binds is found by lifting each end that is touched: the one that helps is it. Those least passed come first. */
function bindingEnds(
  usable: readonly KnownOffer[],
  t: Target,
  found: Found,
  solve: SolveLinear,
): EndLimit[] {
  const worth = Math.max(found.near, 0.01 * found.missed);
  const ends = usable.flatMap((o) =>
    touchedEnds(o, found).flatMap(({ code, end, allowedKg }): EndLimit[] => {
      const { key, name } = o.stuff;
      const freed = solve(buildMixProgramme(usable, t, { key, end }));
      return freed && missSum(freed) < found.missed - worth
        ? [{ code, key, name, allowedKg, wantsKg: amountIn(freed, o) }]
        : [];
    }),
  );
  return ends.sort((x, y) => Math.abs(x.wantsKg - x.allowedKg) - Math.abs(y.wantsKg - y.allowedKg));
}

/** What nothing that is offered brings. */
const nothingLike = (found: Found): Limit[] =>
  (
    [
      ['cnLow', 'carbon'],
      ['cnHigh', 'nitrogen'],
      ['wetHigh', 'dry'],
      ['dense', 'structure'],
    ] as const
  ).flatMap(([name, lacks]) =>
    isMissed(found, name) ? [{ code: 'NOTHING_LIKE' as const, lacks }] : [],
  );

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
  const usable = offers.flatMap((o) => perKilogram(o) ?? []);
  const found = findNearest(usable, t, solve);
  if (!found) return null;
  const reached = found.missed < found.near;
  const ends = reached ? [] : bindingEnds(usable, t, found, solve);
  return {
    reached,
    amounts: usable.map((o) => {
      const kg = Math.max(0, amountIn(found.values, o));
      return { key: o.stuff.key, kg, litres: kg * o.perL };
    }),
    waterL: found.values.get('water') ?? 0,
    misses: missesOf(found),
    limits: reached || ends.length > 0 ? ends : nothingLike(found),
  };
}
