import { MS, minutesToMs, type Instant } from '../quantity/instant';
import { TEMP_TOLERANCE_C } from '../quantity/units';
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
  for (let i = 1; i < readings.length; i += 1)
    if (byTimeThenId(itemAt(readings, i - 1), itemAt(readings, i)) > 0) return false;
  return true;
}

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
  const finish = roundMaker(points, policy, corrector);
  const rounds: Round[] = [];
  const named = new Map<string, { members: Reading[]; long: boolean }>();
  let open: Reading[] = [];
  const openPoints = new Set<string>();
  const spanMs = minutesToMs(policy.roundMinutes);
  for (const r of sorted) {
    if (r.round !== undefined) {
      const group = named.get(r.round);
      if (group && r.at - firstOf(group.members).at <= NAMED_ROUND_MS) {
        group.members.push(r);
        continue;
      }
      if (group) rounds.push(finish(group.members, group.long));
      named.set(r.round, { members: [r], long: group !== undefined });
      continue;
    }
    if (open.length > 0 && (r.at - firstOf(open).at > spanMs || openPoints.has(r.point))) {
      rounds.push(finish(open, false));
      open = [];
      openPoints.clear();
    }
    open.push(r);
    openPoints.add(r.point);
  }
  if (open.length > 0) rounds.push(finish(open, false));
  for (const group of named.values()) rounds.push(finish(group.members, group.long));
  return rounds.sort((x, y) => x.time - y.time || (x.key < y.key ? -1 : 1));
}

/** One maker for all rounds, so that its scratch space is made once: half a million readings pass through here. */
function roundMaker(points: readonly Point[], policy: Policy, corrector: Corrector) {
  const index = new Map(points.map((p, i) => [p.id, i]));
  const coldest = new Float64Array(points.length);
  const seenIn = new Int32Array(points.length).fill(-1);
  let serial = 0;
  return (members: readonly Reading[], long: boolean): Round => {
    const seen: number[] = [];
    let peak = -Infinity;
    let key = firstOf(members).id;
    for (const r of members) {
      const value = corrector.correct(r);
      const i = valueAt(index, r.point);
      if (seenIn[i] !== serial) {
        seenIn[i] = serial;
        coldest[i] = value;
        seen.push(i);
      } else if (value < itemAt(coldest, i)) coldest[i] = value; // a point read twice counts with its colder value
      if (value > peak) peak = value;
      if (r.id < key) key = r.id;
    }
    serial += 1;
    const values = seen.map((i) => itemAt(coldest, i));
    const complete = seen.length >= policy.minPoints;
    const value =
      (complete ? combined(values, policy.combine) : combined(values, 'coldest')) -
      policy.guardBandC;
    return {
      time: lastOf(members).at,
      first: firstOf(members).at,
      key,
      readings: members,
      points: seen.length,
      complete,
      value,
      peak,
      long,
    };
  };
}

/** Coldest, mean or median; the median of an even number is the mean of the middle two. */
function combined(values: readonly number[], how: Policy['combine']): number {
  if (how === 'coldest') return values.reduce((a, b) => Math.min(a, b));
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
