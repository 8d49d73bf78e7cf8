import type { Instant } from '../quantity/instant';
import { TEMP_TOLERANCE_C, toCelsius } from '../units/units';
import type { Round } from './rounds';
import type { Prepared } from './verdict';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/** A temperature at a normalised depth: 0 at the surface, 1 at the core. */
type Depth = { readonly lambda: number; readonly c: number };

/** The latest complete round as temperatures at depths, and the air at the surface. */
export type Profile = {
  readonly at: Instant;
  readonly airC: number;
  /** By depth, each once. */
  readonly depths: readonly Depth[];
  /** Exponent of the volume within a depth. */
  readonly k: 2 | 3;
};

/**
 * What is taken above the shallowest point, where nobody read (contract, section 12): low, a straight line to
 * the air at the surface; high, the shallowest value up to the surface.
 */
export type Surface = 'low' | 'high';

/** Two bounds, the lesser first. */
export type ShareRange = readonly [low: number, high: number];

/** Against this the hot share is told, °C (contract, section 12). */
export const HOT_SHARE_FLOOR_C = 55;

/** Above this width of the two bounds the hot share cannot be told (contract, section 12). */
const WIDEST_HOT_SHARE = 0.5;

/**
 * The coldest corrected value of each normalised depth of a round, by depth. A depth beyond the core counts as
 * the core. The guard band is for verdicts and is not taken off.
 */
function coldestByDepth(round: Round, prepared: Prepared, coreDepthM: number): Depth[] {
  const depthOf = new Map(prepared.evidence.points.map((p) => [p.id, p.depthM]));
  const coldest = new Map<number, number>();
  for (const r of round.readings) {
    const depthM = depthOf.get(r.point);
    if (depthM === undefined) continue;
    const lambda = Math.min(1, Math.max(0, depthM / coreDepthM));
    coldest.set(lambda, Math.min(prepared.corrector.correct(r), coldest.get(lambda) ?? Infinity));
  }
  return [...coldest].sort(([a], [b]) => a - b).map(([lambda, c]) => ({ lambda, c }));
}

/**
 * Null where it is not known: no complete round, no air temperature, no shape or core depth, or no point with a depth.
 * @param at the round and the air are the latest at or before it
 */
export function profileOf(prepared: Prepared, at: Instant = prepared.asOf): Profile | null {
  const { evidence, rounds } = prepared;
  const { shape, coreDepthM } = evidence;
  const round = rounds.findLast((r) => r.complete && r.time <= at);
  const air = evidence.ambient
    .filter((a) => a.at <= at)
    .reduce<(typeof evidence.ambient)[number] | null>(
      (latest, a) => (latest === null || a.at >= latest.at ? a : latest),
      null,
    );
  if (!round || !air || shape === undefined || coreDepthM === undefined || coreDepthM <= 0)
    return null;
  const depths = coldestByDepth(round, prepared, coreDepthM);
  if (depths.length === 0) return null;
  return {
    at: round.time,
    airC: toCelsius(air.value, air.unit),
    k: shape === 'windrow' ? 2 : 3,
    depths,
  };
}

/** The line of temperatures from the surface to the core; the deepest value holds to the core. */
function knotsOf({ airC, depths }: Profile, surface: Surface): Depth[] {
  const [first, last] = [firstOf(depths), lastOf(depths)];
  return [
    ...(first.lambda > 0 ? [{ lambda: 0, c: surface === 'low' ? airC : first.c }] : []),
    ...depths,
    ...(last.lambda < 1 ? [{ lambda: 1, c: last.c }] : []),
  ];
}

/** Temperature at a normalised depth, °C. */
export function temperatureAt(profile: Profile, lambda: number, surface: Surface): number {
  const knots = knotsOf(profile, surface);
  const i = knots.findIndex((k) => k.lambda >= lambda);
  const [b, a] = [knots[i] ?? lastOf(knots), knots[i - 1]];
  return a ? a.c + ((b.c - a.c) * (lambda - a.lambda)) / (b.lambda - a.lambda) : b.c;
}

/** Share of the volume between two normalised depths; that deeper than λ is (1 − λ)^k. */
const between = (from: number, to: number, k: number): number => (1 - from) ** k - (1 - to) ** k;

/** Spans of normalised depth at or above a floor, from the surface inwards. */
export function hotDepths(
  profile: Profile,
  surface: Surface,
  floorC = HOT_SHARE_FLOOR_C,
): { from: number; to: number }[] {
  const knots = knotsOf(profile, surface);
  const spans = knots.slice(1).flatMap((b, i) => {
    const a = itemAt(knots, i);
    const [hotA, hotB] = [a, b].map(({ c }) => c >= floorC - TEMP_TOLERANCE_C);
    if (!hotA && !hotB) return [];
    const crossing = Math.min(
      b.lambda,
      Math.max(a.lambda, a.lambda + ((floorC - a.c) / (b.c - a.c)) * (b.lambda - a.lambda)),
    );
    return [{ from: hotA ? a.lambda : crossing, to: hotB ? b.lambda : crossing }];
  });
  return spans.reduce<{ from: number; to: number }[]>((joined, span) => {
    const last = joined.at(-1);
    return last?.to === span.from
      ? [...joined.slice(0, -1), { from: last.from, to: span.to }]
      : [...joined, span];
  }, []);
}

/** Share of the volume at or above a floor under each of the two surfaces, the lesser first. */
export function hotShareOf(profile: Profile, floorC = HOT_SHARE_FLOOR_C): ShareRange {
  const shareUnder = (surface: Surface): number =>
    hotDepths(profile, surface, floorC).reduce(
      (sum, { from, to }) => sum + between(from, to, profile.k),
      0,
    );
  const [a, b] = [shareUnder('low'), shareUnder('high')];
  return a <= b ? [a, b] : [b, a];
}

/**
 * Share of the volume at 55 °C or more in the latest complete round, 0 to 1, as two bounds (contract, section 12).
 * Null: not known.
 */
export const hotShare = (prepared: Prepared): ShareRange | null => {
  const profile = profileOf(prepared);
  return profile && hotShareOf(profile);
};

/** Whether the two bounds lie too far apart to say anything (contract, section 12). */
export const isTooWide = ([low, high]: ShareRange): boolean => high - low > WIDEST_HOT_SHARE;

/**
 * The normalised depth at which one more point would tell most: it halves the volume between the surface and
 * the shallowest point, of which nothing was read.
 */
export function mostTellingDepth({ depths, k }: Profile): number {
  const unreadVolume = between(0, firstOf(depths).lambda, k);
  return 1 - (1 - unreadVolume / 2) ** (1 / k);
}
