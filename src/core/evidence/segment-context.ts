import { zoneOf } from '../quantity/calendar';
import type { Instant } from '../quantity/instant';
import type { Moisture } from './moisture';
import type { Round } from './rounds';
import type { Segment, Turn } from './segments';
import type { Policy } from './types';
import {
  fullTurns,
  graceWindows,
  createHoursScanner,
  type Floor,
  type GraceWindow,
  type RunScanner,
} from './run-scan';
import { createDaysScanner } from './run-scan-days';

/**
 * What every rule on one segment stands on: its rounds, turnings and grace windows, and the walks over them.
 * Rules with the same floor share a walk, so that twenty rules read the rounds a few times and not twenty.
 */
export type SegmentContext = {
  readonly from: Instant;
  readonly policy: Policy;
  /** By time; grows with {@link SegmentContext.push}. */
  readonly rounds: readonly Round[];
  /** Full and partial, by time then id. */
  readonly turns: readonly Turn[];
  readonly full: readonly Turn[];
  readonly windows: readonly GraceWindow[];
  /** The shared walk against a floor. */
  scanner(floor: Floor, counting: Policy['counting']): RunScanner;
  /** A walk of its own over rounds that the caller chooses, counting hours, with all windows of the segment. */
  freshScanner(floor: Floor): RunScanner;
  /** A round later than all so far. */
  push(round: Round): void;
};

/** What the rules on a segment share. @param timeZone IANA name, for counting days */
export function createSegmentContext(
  segment: Segment,
  policy: Policy,
  timeZone: string,
  moisture: Moisture,
): SegmentContext {
  const rounds = [...segment.rounds];
  const windows = graceWindows(segment.turns, policy);
  const scanners = new Map<string, RunScanner>();
  const make = (floor: Floor, counting: Policy['counting']): RunScanner =>
    counting === 'hours'
      ? createHoursScanner(floor, policy, windows, moisture)
      : createDaysScanner(floor, policy, windows, zoneOf(timeZone), segment.from, moisture);
  return {
    from: segment.from,
    policy,
    rounds,
    turns: segment.turns,
    full: fullTurns(segment.turns),
    windows,
    scanner(floor, counting) {
      const key = `${counting} ${floor.floorC} ${floor.ceilingC} ${floor.moist === true}`;
      let scanner = scanners.get(key);
      if (!scanner) {
        scanner = make(floor, counting);
        for (const r of rounds) scanner.push(r);
        scanners.set(key, scanner);
      }
      return scanner;
    },
    freshScanner: (floor) => make(floor, 'hours'),
    push(round) {
      rounds.push(round);
      for (const scanner of scanners.values()) scanner.push(round);
    },
  };
}
