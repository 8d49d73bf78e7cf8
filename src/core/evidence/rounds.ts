import { MS, minutesToMs, type Instant } from '../quantity/instant';
import { TEMP_TOLERANCE_C } from '../units/units';
import type { Corrector } from './calibration';
import type { Policy, Point, Reading } from './types';
import { firstOf, itemAt, lastOf, valueAt } from '../quantity/present';

/** One walk round the heap, or one sweep of a set of wireless probes (contract, section 4). */
export type Round = {
  /** Time of its last reading. */
  readonly time: Instant;
  /** Time of its first reading. */
  readonly first: Instant;
  /** Smallest reading id, to break ties. */
  readonly key: string;
  readonly readings: readonly Reading[];
  /** Distinct points. */
  readonly points: number;
  /** Those of them that somebody still has to check: they may hurt and cannot help. */
  readonly pointsToCheck: number;
  readonly complete: boolean;
  /** Value compared with a floor, °C: combined as the policy says when complete, else the coldest point; less the guard band. */
  readonly value: number;
  /** Highest corrected value of any of its readings, °C. */
  readonly peak: number;
  /** Opened because an earlier reading of the same round id lay more than 6 hours back. */
  readonly long: boolean;
};

export type Heat = 'hot' | 'cold' | 'over' | 'thin';

/** Longest time within one named round. */
export const NAMED_ROUND_MS = 6 * MS.hour;

const byTimeThenId = (x: Reading, y: Reading): number =>
  x.at - y.at || (x.id < y.id ? -1 : x.id > y.id ? 1 : 0);

function inOrder(readings: readonly Reading[]): boolean {
  let before: Reading | null = null;
  for (const r of readings) {
    if (before && byTimeThenId(before, r) > 0) return false;
    before = r;
  }
  return true;
}

/** Readings of a round that is being grouped: a stretch of all readings by time, and only where others lie between a list of its own. */
type OpenRound = {
  readonly first: Reading;
  readonly from: number;
  /** Behind the last of the stretch. */ to: number;
  scattered: Reading[] | null;
  /** See {@link Round.long}. */ readonly long: boolean;
};

const openAt = (from: number, first: Reading, long: boolean): OpenRound => ({
  first,
  from,
  to: from + 1,
  scattered: null,
  long,
});

/**
 * Groups readings into rounds, ordered by time.
 * @param readings those that take part: not excluded, at or before asOf, of points in the policy's zones
 */
export function roundsOf(
  readings: readonly Reading[],
  points: readonly Point[],
  policy: Policy,
  corrector: Corrector,
): Round[] {
  const sorted = inOrder(readings) ? readings : [...readings].sort(byTimeThenId);
  const places = placeFinder(points);
  const finish = roundMaker(places, points.length, policy, corrector);
  const rounds: Round[] = [];
  const close = ({ from, to, scattered, long }: OpenRound): void => {
    rounds.push(
      scattered ? finish(scattered, 0, scattered.length, long) : finish(sorted, from, to, long),
    );
  };
  const take = (group: OpenRound, i: number, r: Reading): void => {
    if (group.scattered) group.scattered.push(r);
    else if (i === group.to) group.to += 1;
    else group.scattered = [...sorted.slice(group.from, group.to), r];
  };
  const named = new Map<string, OpenRound>();
  let open: OpenRound | null = null;
  /** By point: the serial number of the unnamed round that it was last read in. */
  const readIn = new Int32Array(points.length).fill(-1);
  let serial = 0;
  const spanMs = minutesToMs(policy.roundMinutes);
  let i = -1;
  for (const r of sorted) {
    i += 1;
    if (r.round !== undefined) {
      const group = named.get(r.round);
      if (group && r.at - group.first.at <= NAMED_ROUND_MS) {
        take(group, i, r);
        continue;
      }
      if (group) close(group);
      named.set(r.round, openAt(i, r, group !== undefined));
      continue;
    }
    const place = places(r.point);
    if (open && (r.at - open.first.at > spanMs || readIn[place] === serial)) {
      close(open);
      open = null;
      serial += 1;
    }
    if (open) take(open, i, r);
    else open = openAt(i, r, false);
    readIn[place] = serial;
  }
  if (open) close(open);
  for (const group of named.values()) close(group);
  return rounds.sort((x, y) => x.time - y.time || (x.key < y.key ? -1 : 1));
}

/** Where a point stands in the list of points. A walk or a sweep reads them in their order: the next one is tried first. */
function placeFinder(points: readonly Point[]): (point: string) => number {
  const index = new Map(points.map((p, i) => [p.id, i]));
  let next = 0;
  return (point) => {
    if (points[next]?.id !== point) next = valueAt(index, point);
    const place = next;
    next = next + 1 < points.length ? next + 1 : 0;
    return place;
  };
}

/**
 * A round as a stretch of readings by time: what is asked of few rounds is looked for when it is asked for. Half a million
 * readings make so many rounds that what each one keeps is most of the work.
 */
class GroupedRound implements Round {
  constructor(
    readonly time: Instant,
    readonly first: Instant,
    readonly points: number,
    readonly pointsToCheck: number,
    readonly complete: boolean,
    readonly value: number,
    readonly peak: number,
    readonly long: boolean,
    private readonly source: readonly Reading[],
    private readonly from: number,
    private readonly to: number,
  ) {}

  get readings(): readonly Reading[] {
    return this.source.slice(this.from, this.to);
  }

  get key(): string {
    return this.readings.reduce(
      (least, { id }) => (id < least ? id : least),
      firstOf(this.readings).id,
    );
  }
}

/** One maker for all rounds, so that its scratch space is made once: half a million readings pass through here. */
function roundMaker(
  places: (point: string) => number,
  points: number,
  policy: Policy,
  corrector: Corrector,
): (source: readonly Reading[], from: number, to: number, long: boolean) => Round {
  const coldest = new Float64Array(points);
  const seenIn = new Int32Array(points).fill(-1);
  const seen = new Int32Array(points);
  let serial = 0;
  return (source, from, to, long) => {
    serial += 1;
    let count = 0;
    let peak = -Infinity;
    let lowest = Infinity;
    const members = source.slice(from, to);
    for (const r of members) {
      const value = corrector.correct(r);
      const i = places(r.point);
      if (seenIn[i] !== serial) {
        seenIn[i] = serial;
        coldest[i] = value;
        seen[count] = i;
        count += 1;
      } else if (value < (coldest[i] ?? Infinity)) coldest[i] = value; // a point read twice counts with its colder value
      if (value > peak) peak = value;
      if (value < lowest) lowest = value;
    }
    const sure = members.some(isToCheck) ? surePoints(members, corrector) : null;
    const toCheck = sure ? count - sure.size : 0;
    const complete = count - toCheck >= policy.minPoints;
    const value =
      complete && policy.combine !== 'coldest'
        ? combined(
            Array.from(seen.subarray(0, count), (i) => itemAt(coldest, i)),
            policy.combine,
            sure && [...sure.values()],
          )
        : lowest;
    return new GroupedRound(
      lastOf(members).at,
      firstOf(members).at,
      count,
      toCheck,
      complete,
      value - policy.guardBandC,
      peak,
      long,
      source,
      from,
      to,
    );
  };
}

const isToCheck = (r: Reading): boolean => r.toCheck === true;

/** Points with readings that need no check any more, each with the coldest of them, °C. */
function surePoints(members: readonly Reading[], corrector: Corrector): Map<string, number> {
  const points = new Map<string, number>();
  for (const r of members.filter((m) => !isToCheck(m)))
    points.set(r.point, Math.min(points.get(r.point) ?? Infinity, corrector.correct(r)));
  return points;
}

/**
 * Mean or median of a round.
 * @param sure values that need no check; with them the colder of both counts, so that the others can only hurt. Null: all of them are
 */
function combined(
  values: readonly number[],
  how: 'mean' | 'median',
  sure: readonly number[] | null,
): number {
  const all = averageOf(values, how);
  return sure ? Math.min(all, averageOf(sure, how)) : all;
}

/** Mean or median; the median of an even number is the mean of the middle two. */
function averageOf(values: readonly number[], how: 'mean' | 'median'): number {
  if (how === 'mean') return values.reduce((a, b) => a + b, 0) / values.length;
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2
    ? itemAt(sorted, half)
    : (itemAt(sorted, half - 1) + itemAt(sorted, half)) / 2;
}

/** A round against one floor and ceiling, °C. */
export function heatOf(round: Round, floorC: number, ceilingC?: number): Heat {
  if (round.value < floorC - TEMP_TOLERANCE_C) return 'cold';
  if (ceilingC !== undefined && round.peak > ceilingC + TEMP_TOLERANCE_C) return 'over';
  return round.complete ? 'hot' : 'thin';
}
