import { hoursToMs, MS, type Instant } from '../quantity/instant';
import type { Hold } from './rule';
import type { Segment } from './segments';
import { countedTurns, type CountedTurn } from './turnings';
import type { Policy } from './types';
import { walkHours, type Run, type Walk } from './walk';
import { walkDays } from './walk-days';

export const STATUSES = ['proven', 'waiting', 'running', 'recovering', 'broken'] as const;
export type Status = (typeof STATUSES)[number];

/** What a segment has reached against a hold, at the segment's end. */
export type HoldState = {
  readonly status: Status;
  readonly creditMs: number;
  readonly turningsCounted: number;
  readonly run: { readonly from: Instant; readonly to: Instant } | null;
  readonly provenAt: Instant | null;
  /** From where the missing hours would run on. */
  readonly base: Instant;
  readonly walk: Walk;
  /** The run that was reported, if any: the proving one, or the latest while it lives. */
  readonly reported: Run | null;
  /** Counted turns of the part reported. */
  readonly counted: readonly CountedTurn[];
};

type Proof = { readonly at: Instant; readonly creditMs: number; readonly turnings: number; readonly run: Run };

/**
 * First round time (hours) or local midnight (days) with credit and counted turnings both reached:
 * in one run if consecutive, over all runs so far if not.
 */
function proofOf(walk: Walk, hold: Hold, counts: ReadonlyMap<Run, readonly CountedTurn[]>): Proof | null {
  const need = hoursToMs(hold.hours);
  let [creditBefore, turnsBefore] = [0, 0];
  for (const run of walk.runs) {
    const counted = counts.get(run)!;
    let k = 0;
    for (const step of run.steps) {
      while (k < counted.length && counted[k]!.from <= step.at) k += 1;
      const creditMs = creditBefore + step.creditMs;
      const turnings = turnsBefore + k;
      if (creditMs >= need && turnings >= hold.turnings) return { at: step.at, creditMs, turnings, run };
    }
    if (hold.consecutive) continue;
    creditBefore += run.steps.at(-1)!.creditMs;
    turnsBefore += counted.length;
  }
  return null;
}

function statusOf(walk: Walk): Status {
  if (walk.untouched) return 'waiting';
  if (walk.latest === 'running' || walk.latest === 'recovering') return walk.latest;
  return 'broken';
}

/** Reckons one segment against a hold (contract, sections 6 to 10), as of the segment's end. */
export function evaluateHold(segment: Segment, hold: Hold, policy: Policy, timeZone: string): HoldState {
  const walk = policy.counting === 'days' ? walkDays(segment, hold, policy, timeZone) : walkHours(segment, hold, policy);
  const counts = new Map(walk.runs.map((run) => [run, countedTurns(run, segment.turns)]));
  const proof = proofOf(walk, hold, counts);
  const status = proof ? 'proven' : statusOf(walk);
  const alive = walk.latest === 'running' || walk.latest === 'recovering' ? walk.runs.at(-1)! : null;
  const span = (run: Run | null, to = run?.to): HoldState['run'] => (run && to !== undefined ? { from: run.from, to } : null);
  const base = walk.latest === 'running' ? alive!.to : segment.to;
  if (proof) {
    const own = hold.consecutive ? [proof.run] : walk.runs;
    return {
      status, creditMs: proof.creditMs, turningsCounted: proof.turnings, provenAt: proof.at, base, walk,
      run: hold.consecutive ? span(proof.run, proof.at) : null,
      reported: proof.run,
      counted: own.flatMap((run) => counts.get(run)!).filter(({ from }) => from <= proof.at),
    };
  }
  const part = hold.consecutive ? (alive ? [alive] : []) : walk.runs;
  const counted = part.flatMap((run) => counts.get(run)!);
  return {
    status, creditMs: part.reduce((sum, run) => sum + run.steps.at(-1)!.creditMs, 0), turningsCounted: counted.length,
    run: span(alive), provenAt: null, base, walk, reported: alive, counted,
  };
}

/** Credit in hours. */
export const creditHours = (state: HoldState): number => state.creditMs / MS.hour;
