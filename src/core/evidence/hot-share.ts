import type { Instant } from '../quantity/instant';
import { TEMP_TOLERANCE_C, toCelsius } from '../quantity/units';
import type { Round } from './rounds';
import type { Prepared } from './verdict';

/** A temperature at a normalised depth: 0 at the surface, 1 at the core. */
export type Depth = { readonly lambda: number; readonly c: number };

/** The latest complete round as a line of temperatures from the surface inwards. */
export type Profile = { readonly at: Instant; readonly airC: number; readonly depths: readonly Depth[]; /** Exponent of the volume within a depth. */ readonly k: 2 | 3 };

/** Against this the hot share is told, °C (contract, section 12). */
export const HOT_SHARE_FLOOR_C = 55;

/** The coldest corrected value of each depth of a round, by depth in metres; the guard band is for verdicts. */
function coldestByDepth(round: Round, prepared: Prepared): [number, number][] {
  const depthOf = new Map(prepared.evidence.points.map((p) => [p.id, p.depthM]));
  const coldest = new Map<number, number>();
  for (const r of round.readings) {
    const depth = depthOf.get(r.point);
    if (depth === undefined) continue;
    const c = prepared.corrector.correct(r);
    coldest.set(depth, Math.min(c, coldest.get(depth) ?? Infinity));
  }
  return [...coldest].sort(([a], [b]) => a - b);
}

/**
 * Null where it is not known: no complete round, no air temperature, no shape or core depth, or one depth only.
 * @param at the round and the air are the latest at or before it
 */
export function profileOf(prepared: Prepared, at: Instant = prepared.asOf): Profile | null {
  const { evidence, rounds } = prepared;
  const { shape, coreDepthM } = evidence;
  const round = rounds.findLast((r) => r.complete && r.time <= at);
  const air = evidence.ambient.filter((a) => a.at <= at).reduce<(typeof evidence.ambient)[number] | null>((latest, a) => (latest === null || a.at >= latest.at ? a : latest), null);
  if (!round || !air || shape === undefined || coreDepthM === undefined || coreDepthM <= 0) return null;
  const depths = coldestByDepth(round, prepared);
  if (depths.length < 2) return null;
  return { at: round.time, airC: toCelsius(air.value, air.unit), k: shape === 'windrow' ? 2 : 3, depths: depths.map(([m, c]) => ({ lambda: m / coreDepthM, c })) };
}

/** The line of temperatures: from the air at the surface through the depths; the last value holds to the core. */
function knotsOf({ airC, depths }: Profile): Depth[] {
  const inside = depths.filter((d) => d.lambda > 0);
  const last = inside.at(-1);
  return [{ lambda: 0, c: airC }, ...inside, ...(last && last.lambda < 1 ? [{ lambda: 1, c: last.c }] : [])];
}

/** Temperature at a normalised depth, °C. */
export function temperatureAt(profile: Profile, lambda: number): number {
  const knots = knotsOf(profile);
  const i = knots.findIndex((k) => k.lambda >= lambda);
  const [b, a] = [knots[i] ?? knots.at(-1)!, knots[i - 1]];
  return a ? a.c + ((b.c - a.c) * (lambda - a.lambda)) / (b.lambda - a.lambda) : b.c;
}

/** Share of the volume between two normalised depths; that deeper than λ is (1 − λ)^k. */
const between = (from: number, to: number, k: number): number => (1 - Math.min(1, from)) ** k - (1 - Math.min(1, to)) ** k;

/** Spans of normalised depth at or above a floor, from the surface inwards. */
export function hotDepths(profile: Profile, floorC = HOT_SHARE_FLOOR_C): { from: number; to: number }[] {
  const knots = knotsOf(profile);
  const spans = knots.slice(1).flatMap((b, i) => {
    const a = knots[i]!;
    const [hotA, hotB] = [a, b].map(({ c }) => c >= floorC - TEMP_TOLERANCE_C);
    if (!hotA && !hotB) return [];
    const crossing = a.lambda + ((floorC - a.c) / (b.c - a.c)) * (b.lambda - a.lambda);
    return [{ from: hotA ? a.lambda : crossing, to: hotB ? b.lambda : crossing }];
  });
  return spans.reduce<{ from: number; to: number }[]>((joined, span) => {
    const last = joined.at(-1);
    return last && last.to === span.from ? [...joined.slice(0, -1), { from: last.from, to: span.to }] : [...joined, span];
  }, []);
}

/** Share of the volume at or above a floor, 0 to 1. */
export const hotShareOf = (profile: Profile, floorC = HOT_SHARE_FLOOR_C): number =>
  hotDepths(profile, floorC).reduce((sum, { from, to }) => sum + between(from, to, profile.k), 0);

export const hotShare = (prepared: Prepared): number | null => {
  const profile = profileOf(prepared);
  return profile && hotShareOf(profile);
};
