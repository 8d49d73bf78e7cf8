import { MS, type Instant } from '../quantity/instant';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/** A round, short: its combined value (that of the policy) and its hottest place, °C. */
export type RoundHeat = { readonly at: Instant; readonly valueC: number; readonly peakC: number };

/** Where a value is heading: K a day, from so many rounds, as of the last of them. */
export type Trend = {
  readonly perDay: number;
  readonly rounds: number;
  readonly from: Instant;
  readonly to: Instant;
  readonly nowC: number;
};

/** A trend looks this far back: long enough for three rounds of a day apart, short enough to be of now. */
const LOOKS_BACK_MS = 3.5 * MS.day;
/** For so long after a turning a heap climbs back: rounds of that time say nothing of where it is heading. */
export const REBOUND_MS = 20 * MS.hour;
/** Fewer rounds, or a shorter time, and noise would speak. */
const MIN_ROUNDS = 3;
const MIN_SPAN_MS = 20 * MS.hour;

const median = (values: Float64Array): number => {
  const sorted = values.sort();
  const mid = sorted.length >> 1;
  return sorted.length % 2
    ? itemAt(sorted, mid)
    : (itemAt(sorted, mid - 1) + itemAt(sorted, mid)) / 2;
};

/**
 * The slope of a series by Theil and Sen: the median of the slopes of all pairs (Theil 1950, Sen 1968), which a slip or one
 * odd round does not bend. The line goes through the median of what the slope leaves over.
 * @param points times in ms, values in any unit; two at least with different times
 * @returns slope in units a day, and the line's value at the last point's time; null: no two times differ
 */
export function theilSen(
  points: readonly { readonly at: Instant; readonly c: number }[],
): { perDay: number; atEnd: number } | null {
  const slopes = slopesOf(points);
  if (slopes.length === 0) return null;
  const perDay = median(slopes);
  const end = points.reduce((latest, p) => Math.max(latest, p.at), -Infinity);
  return {
    perDay,
    atEnd: median(Float64Array.from(points, (p) => p.c + (perDay * (end - p.at)) / MS.day)),
  };
}

/** Slopes of all pairs of points of different times, units a day. */
function slopesOf(points: readonly { readonly at: Instant; readonly c: number }[]): Float64Array {
  const slopes = new Float64Array((points.length * (points.length - 1)) / 2);
  let n = 0;
  for (let i = 0; i < points.length; i += 1) {
    const p = itemAt(points, i);
    for (let j = i + 1; j < points.length; j += 1) {
      const q = itemAt(points, j);
      if (q.at !== p.at) slopes[n++] = (q.c - p.c) / ((q.at - p.at) / MS.day);
    }
  }
  return slopes.subarray(0, n);
}

type Line = ReturnType<typeof theilSen>;
/** Lines through the rounds of a heap that were worked out before: several schools ask for the same one, and so does each look at the yard until somebody reads the heap again. */
const knownLines = new WeakMap<readonly RoundHeat[], Map<string, Line>>();

/** The line through some rounds, consecutive ones of all that are known of a heap. */
function lineThrough(
  all: readonly RoundHeat[],
  recent: readonly RoundHeat[],
  of: 'valueC' | 'peakC',
): Line {
  const known = knownLines.get(all) ?? new Map<string, Line>();
  knownLines.set(all, known);
  const key = `${of} ${firstOf(recent).at} ${lastOf(recent).at} ${recent.length}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  const line = theilSen(recent.map((r) => ({ at: r.at, c: r[of] })));
  known.set(key, line);
  return line;
}

/** Where a heap is heading: over the last days, since it came back from its last turning. Null: too few rounds to say. */
export function trendOf(
  rounds: readonly RoundHeat[],
  turns: readonly Instant[],
  now: Instant,
  of: 'valueC' | 'peakC' = 'valueC',
): Trend | null {
  const turned = turns.findLast((t) => t <= now) ?? -Infinity;
  const recent = rounds.filter(
    (r) => r.at <= now && r.at > now - LOOKS_BACK_MS && r.at >= turned + REBOUND_MS,
  );
  const [first, last] = [recent[0], recent.at(-1)];
  if (!first || !last || recent.length < MIN_ROUNDS || last.at - first.at < MIN_SPAN_MS)
    return null;
  const line = lineThrough(rounds, recent, of);
  return (
    line && {
      perDay: line.perDay,
      rounds: recent.length,
      from: first.at,
      to: last.at,
      nowC: line.atEnd,
    }
  );
}

/** A fall is measured over this many checks since the turning, however far apart they are (common practice). */
const FALL_CHECKS = 4;
/** The least fall over these checks that is more than the scatter of a thermometer, K. */
const FALL_K = 3;
/** Cold water cools what it runs through: checks within this time of a watering do not show a trend (common practice). */
const WATER_COOLS_MS = 12 * MS.hour;

/** Checks without those taken soon after a watering. Returns the same list if there are none to leave out: lines are cached by list. */
export function withoutWatered(
  rounds: readonly RoundHeat[],
  watered: readonly { readonly at: Instant }[],
): readonly RoundHeat[] {
  const isCooled = (r: RoundHeat): boolean =>
    watered.some((w) => r.at >= w.at && r.at < w.at + WATER_COOLS_MS);
  return rounds.some(isCooled) ? rounds.filter((r) => !isCooled(r)) : rounds;
}

/** A steady fall over the last checks since a moment; null: it rose between two of them, fell too little, or was read too seldom. */
export function fallOf(rounds: readonly RoundHeat[], from: Instant): Trend | null {
  const checks = rounds.filter((r) => r.at >= from).slice(-FALL_CHECKS);
  const [first, last] = [checks[0], checks.at(-1)];
  if (!first || !last || checks.length < FALL_CHECKS) return null;
  const falls = checks.every((r, i) => i === 0 || r.valueC <= (checks[i - 1]?.valueC ?? Infinity));
  const days = (last.at - first.at) / MS.day;
  if (!falls || days < 1 || first.valueC - last.valueC < FALL_K) return null;
  return {
    perDay: (last.valueC - first.valueC) / days,
    rounds: checks.length,
    from: first.at,
    to: last.at,
    nowC: last.valueC,
  };
}

/** When a falling value passes a floor, if it goes on as it does; null: it does not fall, or is below it already. */
export function passesBelow(trend: Trend | null, floorC: number): Instant | null {
  if (!trend || trend.perDay >= -0.05 || trend.nowC < floorC) return null;
  return Math.round(trend.to + ((trend.nowC - floorC) / -trend.perDay) * MS.day);
}

/** What a turning did: how low it went, how high it came back within five days and how fast. Null parts: not read. */
export type Rebound = {
  readonly turnedAt: Instant;
  readonly beforeC: number | null;
  readonly lowC: number | null;
  readonly highC: number | null;
  /** Time to within 1 K of that. */ readonly hours: number | null;
};

const AFTER_MS = 5 * MS.day;

/** The pairs of before and after for each turning, of the hottest place; rounds up to the next turning. */
export function reboundsOf(rounds: readonly RoundHeat[], turns: readonly Instant[]): Rebound[] {
  return turns.map((turnedAt, i) => {
    const before = rounds.findLast((r) => r.at <= turnedAt && r.at > turnedAt - 2 * MS.day);
    const after = rounds.filter(
      (r) => r.at > turnedAt && r.at <= Math.min(turnedAt + AFTER_MS, turns[i + 1] ?? Infinity),
    );
    const highC = after.length > 0 ? Math.max(...after.map((r) => r.peakC)) : null;
    const there = highC === null ? undefined : after.find((r) => r.peakC >= highC - 1);
    return {
      turnedAt,
      beforeC: before?.peakC ?? null,
      lowC: after.length > 0 ? Math.min(...after.map((r) => r.peakC)) : null,
      highC,
      hours: there ? (there.at - turnedAt) / MS.hour : null,
    };
  });
}
