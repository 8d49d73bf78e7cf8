import { hoursToMs, type Instant } from '../quantity/instant';
import { heatOf, type Heat, type Round } from './rounds';
import type { Segment, Turn } from './segments';
import type { Policy } from './types';

/** (at, to]: opened by a full turn, during which a cold round pauses a run instead of breaking it. */
export type GraceWindow = { readonly at: Instant; readonly to: Instant };

export type BreakCode = 'COLD' | 'OVER_CEILING' | 'GAP' | 'SLOW_RECOVERY';

/** A stretch of evidence that holds together (contract, sections 6 and 7). */
export type Run = {
  readonly from: Instant;
  /** Time of the latest hot round; counting days the midnight after the last hot day. */
  to: Instant;
  /** Its hot rounds; counting days those of its hot days and of the paused days between them. */
  readonly rounds: Round[];
  /** Credit after each hot round or hot day, in ms, growing. */
  readonly steps: { readonly at: Instant; readonly creditMs: number }[];
  ended: { readonly code: BreakCode; readonly at: Instant } | null;
};

/** A cold round that a turn excuses. */
export type Pause = { readonly at: Instant; readonly from: Instant; readonly value: number; readonly until: Instant };

export type Walk = {
  readonly runs: readonly Run[];
  readonly windows: readonly GraceWindow[];
  readonly pauses: readonly Pause[];
  /** Neither hot, cold nor over so far: nothing has been judged yet. */
  readonly untouched: boolean;
  /** Of the latest run, at the end of the walk. */
  readonly latest: 'none' | 'ended' | 'running' | 'recovering' | 'stale';
  readonly heats: readonly Heat[];
};

export type Floor = { readonly floorC: number; readonly ceilingC?: number | undefined };

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

/** Windows never overlap, so an instant lies in one at most. */
export const windowAt = (windows: readonly GraceWindow[], t: Instant): GraceWindow | undefined =>
  windows.findLast((w) => w.at < t && t <= w.to);

/**
 * Walks the rounds of a segment against one floor, counting elapsed hours (contract, section 6).
 * Nothing is interpolated: between a hot and a cold round nothing is earned, nor in a gap that a turn bridges.
 */
export function walkHours(segment: Segment, floor: Floor, policy: Policy): Walk {
  const maxGap = hoursToMs(policy.maxGapHours);
  const windows = graceWindows(segment.turns, policy);
  const heats = segment.rounds.map((r) => heatOf(r, floor.floorC, floor.ceilingC));
  const runs: Run[] = [];
  const pauses: Pause[] = [];
  let run: Run | null = null;
  let pausedIn: GraceWindow | undefined;
  const end = (code: BreakCode, at: Instant): void => {
    if (run) run.ended = { code, at };
    run = null;
    pausedIn = undefined;
  };
  /** The window that reaches from the run's last hot round s to t, if the cold rounds since s lie in it too. */
  const bridge = (s: Instant, t: Instant): GraceWindow | undefined => {
    const w = windowAt(windows, t);
    return w && w.at - s <= maxGap && (!pausedIn || pausedIn === w) ? w : undefined;
  };
  for (let i = 0; i < segment.rounds.length; i += 1) {
    const r = segment.rounds[i]!;
    const heat = heats[i]!;
    if (heat === 'thin') continue;
    if (heat === 'over') end('OVER_CEILING', r.time);
    else if (heat === 'cold') {
      if (!run) continue;
      const w = bridge(run.to, r.time);
      if (w && windowAt(windows, r.first) === w) {
        pausedIn = w;
        pauses.push({ at: r.time, from: run.to, value: r.value, until: w.to });
      } else end('COLD', r.time);
    } else {
      const current: Run | null = run; // the compiler does not follow `end` through the closure
      if (current) {
        const credited = !pausedIn && r.time - current.to <= maxGap;
        if (credited || bridge(current.to, r.time)) {
          const before = current.steps.at(-1)!.creditMs;
          current.steps.push({ at: r.time, creditMs: before + (credited ? r.time - current.to : 0) });
          current.rounds.push(r);
          current.to = r.time;
          pausedIn = undefined;
          continue;
        }
        end(pausedIn ? 'SLOW_RECOVERY' : 'GAP', r.time);
      }
      run = { from: r.time, to: r.time, rounds: [r], steps: [{ at: r.time, creditMs: 0 }], ended: null };
      runs.push(run);
    }
  }
  return { runs, windows, pauses, heats, untouched: heats.every((h) => h === 'thin'), latest: latestState() };

  function latestState(): Walk['latest'] {
    const last = runs.at(-1);
    if (!last) return 'none';
    if (last.ended) return 'ended';
    if (!pausedIn && segment.to - last.to <= maxGap) return 'running';
    return bridge(last.to, segment.to) ? 'recovering' : 'stale';
  }
}
