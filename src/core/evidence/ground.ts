import { zoneOf } from '../quantity/calendar';
import type { Instant } from '../quantity/instant';
import type { Moisture } from './moisture';
import type { Round } from './rounds';
import type { Segment, Turn } from './segments';
import type { Policy } from './types';
import {
  fullTurns,
  graceWindows,
  hoursWalker,
  type Floor,
  type GraceWindow,
  type Walker,
} from './walk';
import { daysWalker } from './walk-days';

/**
 * What every rule on one segment stands on: its rounds, turnings and grace windows, and the walks over them.
 * Rules with the same floor share a walk, so that twenty rules read the rounds a few times and not twenty.
 */
export type Ground = {
  readonly from: Instant;
  readonly policy: Policy;
  /** By time; grows with {@link Ground.push}. */
  readonly rounds: readonly Round[];
  /** Full and partial, by time then id. */
  readonly turns: readonly Turn[];
  readonly full: readonly Turn[];
  readonly windows: readonly GraceWindow[];
  /** The shared walk against a floor. */
  walker(floor: Floor, counting: Policy['counting']): Walker;
  /** A walk of its own over rounds that the caller chooses, counting hours, with all windows of the segment. */
  freshWalker(floor: Floor): Walker;
  /** A round later than all so far. */
  push(round: Round): void;
};

export function groundOf(
  segment: Segment,
  policy: Policy,
  timeZone: string,
  moisture: Moisture,
): Ground {
  const rounds = [...segment.rounds];
  const windows = graceWindows(segment.turns, policy);
  const walkers = new Map<string, Walker>();
  const make = (floor: Floor, counting: Policy['counting']): Walker =>
    counting === 'hours'
      ? hoursWalker(floor, policy, windows, moisture)
      : daysWalker(floor, policy, windows, zoneOf(timeZone), segment.from, moisture);
  return {
    from: segment.from,
    policy,
    rounds,
    turns: segment.turns,
    full: fullTurns(segment.turns),
    windows,
    walker(floor, counting) {
      const key = `${counting} ${floor.floorC} ${floor.ceilingC} ${floor.moist === true}`;
      let walker = walkers.get(key);
      if (!walker) {
        walker = make(floor, counting);
        for (const r of rounds) walker.push(r);
        walkers.set(key, walker);
      }
      return walker;
    },
    freshWalker: (floor) => make(floor, 'hours'),
    push(round) {
      rounds.push(round);
      for (const walker of walkers.values()) walker.push(round);
    },
  };
}
