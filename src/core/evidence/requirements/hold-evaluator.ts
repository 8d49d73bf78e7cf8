import { hoursToMs, type Instant } from '../../quantity/instant';
import type { SegmentContext } from '../segment-context';
import type { Hold } from '../rule';
import {
  spanOf,
  statusOf,
  type ReportedRequirement,
  type RuleProgress,
  type RuleEvaluator,
} from '../rule-progress';
import { countedTurns, uncountedTurns, type CountedTurn } from '../turnings';
import { aliveRun, creditOf, type Floor, type Run, type RunScan } from '../run-scan';
import { itemAt } from '../../quantity/present';

type Proof = {
  readonly at: Instant;
  readonly creditMs: number;
  readonly turnings: number;
  readonly run: Run;
};

/** Counted turns of the runs of a segment; those of a run that has ended are reckoned once. */
export function turnCounter(context: SegmentContext): (run: Run) => readonly CountedTurn[] {
  const done = new Map<Run, readonly CountedTurn[]>();
  return (run) => {
    const known = done.get(run);
    if (known) return known;
    const counted = countedTurns(run.rounds, context.full);
    if (run.ended) done.set(run, counted);
    return counted;
  };
}

/**
 * Looks for the first round time (hours) or local midnight (days) with credit and counted turnings both
 * reached: in one run if consecutive, over all runs so far if not. Goes on where it stopped.
 */
function proofSeeker(
  hold: Hold,
  countsOf: (run: Run) => readonly CountedTurn[],
): (scan: RunScan) => Proof | null {
  const need = hoursToMs(hold.hours);
  let [runAt, stepAt, creditBefore, turnsBefore] = [0, 0, 0, 0];
  let proof: Proof | null = null;
  const alongRun = (run: Run, counted: readonly CountedTurn[]): void => {
    let turns = 0;
    for (; !proof && stepAt < run.steps.length; stepAt += 1) {
      const { at, creditMs: own } = itemAt(run.steps, stepAt);
      while (turns < counted.length && itemAt(counted, turns).from <= at) turns += 1;
      const [creditMs, turnings] = [creditBefore + own, turnsBefore + turns];
      if (creditMs >= need && turnings >= hold.turnings) proof = { at, creditMs, turnings, run };
    }
  };
  return ({ runs }) => {
    while (!proof && runAt < runs.length) {
      const run = itemAt(runs, runAt);
      const counted = countsOf(run);
      alongRun(run, counted);
      // Set by alongRun, which the compiler does not see.
      // eslint-disable-next-line @typescript-eslint/no-unnecessary-condition
      if (proof || runAt === runs.length - 1) break; // the latest run may still grow
      if (!hold.consecutive) {
        creditBefore += creditOf(run);
        turnsBefore += counted.length;
      }
      runAt += 1;
      stepAt = 0;
    }
    return proof;
  };
}

/** A hold on a segment (contract, sections 6 to 10). */
export function createHoldEvaluator(
  hold: Hold,
  context: SegmentContext,
  counting = context.policy.counting,
): RuleEvaluator {
  const scanner = context.scanner(hold, counting);
  const countsOf = turnCounter(context);
  const seek = proofSeeker(hold, countsOf);
  const requiredMs = hoursToMs(hold.hours);
  const part: ReportedRequirement = {
    of: hold,
    floorC: hold.floorC,
    consecutive: hold.consecutive,
    totalHours: hold.hours,
  };
  return {
    progress(at): RuleProgress {
      const scan = scanner.at(at);
      const proof = seek(scan);
      const alive = aliveRun(scan);
      const shared = {
        requiredMs,
        turningsRequired: hold.turnings,
        base: scan.latest === 'running' ? alive!.to : at,
        furtherMs: 0,
        part,
        scan,
        uncounted: () => uncountedTurns(scan, countsOf, context.turns),
      };
      if (proof) {
        const own = hold.consecutive ? [proof.run] : scan.runs;
        return {
          ...shared,
          status: 'proven',
          creditMs: proof.creditMs,
          turningsCounted: proof.turnings,
          provenAt: proof.at,
          run: hold.consecutive ? spanOf(proof.run, proof.at) : null,
          reported: proof.run,
          counted: own.flatMap(countsOf).filter(({ from }) => from <= proof.at),
        };
      }
      const runs = hold.consecutive ? (alive ? [alive] : []) : scan.runs;
      const counted = runs.flatMap(countsOf);
      return {
        ...shared,
        status: statusOf(scan),
        creditMs: runs.reduce((sum, run) => sum + creditOf(run), 0),
        turningsCounted: counted.length,
        run: spanOf(alive),
        provenAt: null,
        reported: alive,
        counted,
      };
    },
  };
}

/** The standing of the latest run as if nothing could be proven: what requirements with a proof of their own report until then. */
export const createOpenRunEvaluator = (floor: Floor, context: SegmentContext): RuleEvaluator =>
  createHoldEvaluator(
    {
      kind: 'hold',
      floorC: floor.floorC,
      ceilingC: floor.ceilingC,
      moist: floor.moist,
      hours: Infinity,
      consecutive: true,
      turnings: 0,
    },
    context,
    'hours',
  );
