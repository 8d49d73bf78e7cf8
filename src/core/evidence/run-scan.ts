import { hoursToMs, type Instant } from '../quantity/instant';
import type { Moisture } from './moisture';
import { heatOf, type Heat, type Round } from './rounds';
import type { Turn } from './segments';
import type { Policy } from './types';
import { itemAt, lastOf } from '../quantity/present';

/** (at, to]: opened by a full turn, during which a cold round pauses a run instead of breaking it. */
export type GraceWindow = { readonly at: Instant; readonly to: Instant };

export type BreakCode = 'COLD' | 'OVER_CEILING' | 'GAP' | 'SLOW_RECOVERY';

/** A stretch of evidence that holds together (contract, sections 6 and 7). */
export type Run = {
  readonly from: Instant;
  /** Time of the latest hot round; counting days the midnight after the last hot day. */
  readonly to: Instant;
  /** Its hot rounds; counting days those of its hot days and of the paused days between them. */
  readonly rounds: Round[];
  /** Credit after each hot round or hot day, in ms, growing. */
  readonly steps: { readonly at: Instant; readonly creditMs: number }[];
  ended: { readonly code: BreakCode; readonly round: Round } | null;
};

/** A cold round that a turn excuses. */
export type Pause = {
  readonly at: Instant;
  readonly from: Instant;
  readonly value: number;
  readonly until: Instant;
};

export type Floor = {
  readonly floorC: number;
  readonly ceilingC?: number | undefined;
  /** Only moist time earns. */ readonly moist?: boolean | undefined;
};

export type RunScan = {
  readonly floor: Floor;
  readonly runs: readonly Run[];
  readonly windows: readonly GraceWindow[];
  readonly pauses: readonly Pause[];
  /** Rounds hot enough but with too few points: they earn nothing. */
  readonly thin: readonly Round[];
  /** Rounds that would be hot, had the batch not been logged as dry: they earn nothing under a moist rule. */
  readonly dry: readonly Round[];
  readonly hotRounds: readonly Round[];
  /** Neither hot, cold nor over so far: nothing has been judged yet. */
  readonly untouched: boolean;
  /** Of the latest run, at the end of the walk. */
  readonly latest: 'none' | 'ended' | 'running' | 'recovering' | 'stale';
  readonly counting: Policy['counting'];
};

/**
 * Walks rounds as they come, in time order. What it hands out is its own, growing list: a walk asked for later
 * shows more of it.
 */
export type RunScanner = {
  push(round: Round): void;
  /** The walk up to a moment that is not before any round pushed. No earlier round may be pushed after it. */
  at(end: Instant): RunScan;
};

/** Credit of a run so far, ms. */
export const creditOf = (run: Run): number => lastOf(run.steps).creditMs;
const isAlive = (scan: RunScan): boolean =>
  scan.latest === 'running' || scan.latest === 'recovering';
/** The latest run while it runs or recovers. */
export const aliveRun = (scan: RunScan): Run | null => (isAlive(scan) ? lastOf(scan.runs) : null);
/** The run with the most credit, the earliest of several. */
export const greatestRun = (scan: RunScan): Run | null =>
  scan.runs.reduce<Run | null>(
    (best, run) => (best === null || creditOf(run) > creditOf(best) ? run : best),
    null,
  );

/** Turnings that moved the whole heap. */
export const fullTurns = (turns: readonly Turn[]): Turn[] => turns.filter((t) => t.full);

/** A full turn inside an open window opens none, so that a chain of turns cannot keep a cold heap alive. */
export function graceWindows(turns: readonly Turn[], policy: Policy): GraceWindow[] {
  const windows: GraceWindow[] = [];
  for (const { at } of fullTurns(turns)) {
    const open = windows.at(-1);
    if (open && at > open.at && at <= open.to) continue;
    if (open?.at !== at) windows.push({ at, to: at + hoursToMs(policy.turnGraceHours) });
  }
  return windows;
}

/** The window that contains t. Windows are by time and never overlap, so there is one at most. */
export function windowAt(windows: readonly GraceWindow[], t: Instant): GraceWindow | undefined {
  let [low, high] = [0, windows.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (itemAt(windows, middle).at < t) low = middle + 1;
    else high = middle;
  }
  const w = windows[low - 1];
  return w && t <= w.to ? w : undefined;
}

/**
 * Walks rounds against one floor, counting elapsed hours (contract, section 6).
 * Nothing is interpolated: between a hot and a cold round nothing is earned, nor in a gap that a turn bridges.
 */
export function createHoursScanner(
  floor: Floor,
  policy: Policy,
  windows: readonly GraceWindow[],
  moisture: Moisture,
): RunScanner {
  const maxGap = hoursToMs(policy.maxGapHours);
  const runs: Run[] = [];
  const pauses: Pause[] = [];
  const thin: Round[] = [];
  const dry: Round[] = [];
  const hotRounds: Round[] = [];
  let untouched = true;
  let run: Run | null = null;
  let pausedIn: GraceWindow | undefined;
  const moistMs = (from: Instant, to: Instant): number =>
    to - from - (floor.moist ? moisture.dryMs(from, to) : 0);
  const end = (code: BreakCode, round: Round): void => {
    if (run) run.ended = { code, round };
    run = null;
    pausedIn = undefined;
  };
  /** The window that reaches from the run's last hot round s to t, if the cold rounds since s lie in it too. */
  const bridge = (s: Instant, t: Instant): GraceWindow | undefined => {
    const w = windowAt(windows, t);
    return w && w.at - s <= maxGap && (!pausedIn || pausedIn === w) ? w : undefined;
  };
  const cold = (current: Run, r: Round): void => {
    const w = bridge(current.to, r.time);
    if (!w || windowAt(windows, r.first) !== w) {
      end('COLD', r);
      return;
    }
    pausedIn = w;
    pauses.push({ at: r.time, from: current.to, value: r.value, until: w.to });
  };
  const hot = (current: Run | null, r: Round): void => {
    if (current) {
      const credited = !pausedIn && r.time - current.to <= maxGap;
      if (credited || bridge(current.to, r.time)) {
        current.steps.push({
          at: r.time,
          creditMs: creditOf(current) + (credited ? moistMs(current.to, r.time) : 0),
        });
        current.rounds.push(r);
        (current as { to: Instant }).to = r.time;
        pausedIn = undefined;
        return;
      }
      end(pausedIn ? 'SLOW_RECOVERY' : 'GAP', r);
    }
    run = {
      from: r.time,
      to: r.time,
      rounds: [r],
      steps: [{ at: r.time, creditMs: 0 }],
      ended: null,
    };
    runs.push(run);
  };
  const latestAt = (at: Instant): RunScan['latest'] => {
    const last = runs.at(-1);
    if (!last) return 'none';
    if (last.ended) return 'ended';
    if (!pausedIn && at - last.to <= maxGap) return 'running';
    return bridge(last.to, at) ? 'recovering' : 'stale';
  };
  return {
    push(r) {
      const heat: Heat = heatOf(r, floor.floorC, floor.ceilingC);
      if (heat === 'thin') {
        thin.push(r);
        return;
      }
      if (heat === 'hot' && floor.moist && moisture.isDryAt(r.time)) {
        dry.push(r);
        return;
      }
      untouched = false;
      if (heat === 'over') end('OVER_CEILING', r);
      else if (heat === 'hot') {
        hotRounds.push(r);
        hot(run, r);
      } else if (run) cold(run, r);
    },
    at: (at) => ({
      floor,
      runs,
      windows,
      pauses,
      thin,
      dry,
      hotRounds,
      untouched,
      latest: latestAt(at),
      counting: 'hours',
    }),
  };
}
