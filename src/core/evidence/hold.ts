import { hoursToMs, type Instant } from '../quantity/instant';
import type { Ground } from './ground';
import type { Hold } from './rule';
import { spanOf, statusOf, type Part, type Standing, type Tally } from './standing';
import { countedTurns, uncountedTurns, type CountedTurn } from './turnings';
import { aliveRun, creditOf, type Floor, type Run, type Walk } from './walk';

type Proof = {
  readonly at: Instant;
  readonly creditMs: number;
  readonly turnings: number;
  readonly run: Run;
};

/** Counted turns of the runs of a segment; those of a run that has ended are reckoned once. */
export function turnCounter(ground: Ground): (run: Run) => readonly CountedTurn[] {
  const done = new Map<Run, readonly CountedTurn[]>();
  return (run) => {
    const known = done.get(run);
    if (known) return known;
    const counted = countedTurns(run.rounds, ground.full);
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
): (walk: Walk) => Proof | null {
  const need = hoursToMs(hold.hours);
  let [runAt, stepAt, creditBefore, turnsBefore] = [0, 0, 0, 0];
  let proof: Proof | null = null;
  const alongRun = (run: Run, counted: readonly CountedTurn[]): void => {
    let turns = 0;
    for (; !proof && stepAt < run.steps.length; stepAt += 1) {
      const { at, creditMs: own } = run.steps[stepAt]!;
      while (turns < counted.length && counted[turns]!.from <= at) turns += 1;
      const [creditMs, turnings] = [creditBefore + own, turnsBefore + turns];
      if (creditMs >= need && turnings >= hold.turnings) proof = { at, creditMs, turnings, run };
    }
  };
  return ({ runs }) => {
    while (!proof && runAt < runs.length) {
      const run = runs[runAt]!;
      const counted = countsOf(run);
      alongRun(run, counted);
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
export function holdTally(hold: Hold, ground: Ground, counting = ground.policy.counting): Tally {
  const walker = ground.walker(hold, counting);
  const countsOf = turnCounter(ground);
  const seek = proofSeeker(hold, countsOf);
  const requiredMs = hoursToMs(hold.hours);
  const part: Part = {
    of: hold,
    floorC: hold.floorC,
    consecutive: hold.consecutive,
    totalHours: hold.hours,
  };
  return {
    standing(at): Standing {
      const walk = walker.at(at);
      const proof = seek(walk);
      const alive = aliveRun(walk);
      const shared = {
        requiredMs,
        turningsRequired: hold.turnings,
        base: walk.latest === 'running' ? alive!.to : at,
        furtherMs: 0,
        part,
        walk,
        uncounted: () => uncountedTurns(walk, countsOf, ground.turns),
      };
      if (proof) {
        const own = hold.consecutive ? [proof.run] : walk.runs;
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
      const runs = hold.consecutive ? (alive ? [alive] : []) : walk.runs;
      const counted = runs.flatMap(countsOf);
      return {
        ...shared,
        status: statusOf(walk),
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
export const openTally = (floor: Floor, ground: Ground): Tally =>
  holdTally(
    {
      kind: 'hold',
      floorC: floor.floorC,
      ceilingC: floor.ceilingC,
      moist: floor.moist,
      hours: Infinity,
      consecutive: true,
      turnings: 0,
    },
    ground,
    'hours',
  );
