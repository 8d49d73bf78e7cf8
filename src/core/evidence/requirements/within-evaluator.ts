import { hoursToMs, type Instant } from '../../quantity/instant';
import type { SegmentContext } from '../segment-context';
import { createOpenRunEvaluator, turnCounter } from './hold-evaluator';
import type { Within } from '../rule';
import {
  spanOf,
  type ReportedRequirement,
  type RuleProgress,
  type RuleEvaluator,
} from '../rule-progress';
import { creditOf, type Run, type RunScanner } from '../run-scan';
import { itemAt, lastOf } from '../../quantity/present';

/** Credit of all runs of a walk that grows, added up without reading its past again. */
function totalOf(scanner: RunScanner): (at: Instant) => number {
  let [before, ended] = [0, 0];
  return (at) => {
    const { runs } = scanner.at(at);
    for (; ended < runs.length - 1; ended += 1) before += creditOf(itemAt(runs, ended));
    return runs.length === 0 ? 0 : before + creditOf(lastOf(runs));
  };
}

type Half = {
  readonly which: 'outer' | 'inner';
  readonly creditMs: number;
  readonly metAt: Instant | null;
};

/** A shorter, hotter time inside a longer one (contract, section 9). Always counts hours. */
export function createWithinEvaluator(within: Within, context: SegmentContext): RuleEvaluator {
  const scanner = context.scanner(within.outer, 'hours');
  const open = createOpenRunEvaluator(within.outer, context);
  const countsOf = turnCounter(context);
  const needMs = { outer: hoursToMs(within.outer.hours), inner: hoursToMs(within.inner.hours) };
  let [next, runAt, stepAt] = [0, -1, 0];
  let inner: { scanner: RunScanner; total: (at: Instant) => number } | null = null;
  let halves: { outer: Half; inner: Half } | null = null;
  let proof: { at: Instant; run: Run; outer: Half; inner: Half } | null = null;
  const fresh = () => {
    const own = context.freshScanner(within.inner);
    return { scanner: own, total: totalOf(own) };
  };
  const half = (which: Half['which'], creditMs: number, at: Instant): Half => ({
    which,
    creditMs,
    metAt: halves?.[which].metAt ?? (creditMs >= needMs[which] ? at : null),
  });
  const catchUp = (runs: readonly Run[]): void => {
    for (; !proof && next < context.rounds.length; next += 1) {
      const r = itemAt(context.rounds, next);
      if (runs[runAt + 1]?.rounds[0] === r) {
        runAt += 1;
        stepAt = 0;
        inner = fresh();
        halves = null;
      }
      inner?.scanner.push(r);
      const run = runs[runAt];
      if (run?.rounds[stepAt] !== r) continue;
      halves = {
        outer: half('outer', itemAt(run.steps, stepAt).creditMs, r.time),
        inner: half('inner', inner!.total(r.time), r.time),
      };
      stepAt += 1;
      if (halves.outer.metAt !== null && halves.inner.metAt !== null)
        proof = { at: r.time, run, ...halves };
    }
  };
  const partOf = (which: Half['which']): ReportedRequirement => {
    const { floorC, hours } = within[which];
    return { of: within, floorC, consecutive: which === 'outer', totalHours: hours };
  };
  return {
    progress(at): RuleProgress {
      const scan = scanner.at(at);
      catchUp(scan.runs);
      const progress = open.progress(at);
      if (proof) {
        const { outer, inner: hot, run } = proof;
        const late = hot.metAt! > outer.metAt! ? hot : outer;
        const counted = countsOf(run).filter(({ from }) => from <= proof!.at);
        return {
          ...progress,
          status: 'proven',
          creditMs: late.creditMs,
          requiredMs: needMs[late.which],
          part: partOf(late.which),
          provenAt: proof.at,
          run: spanOf(run, proof.at),
          reported: run,
          counted,
          turningsCounted: counted.length,
        };
      }
      // A run that has ended has no credit left; then both shares are 0 and the outer one is told.
      const alive = progress.reported !== null && halves !== null;
      const [outerMs, innerMs] = alive ? [halves!.outer.creditMs, halves!.inner.creditMs] : [0, 0];
      const innerFurther =
        innerMs < needMs.inner &&
        (outerMs >= needMs.outer || innerMs / needMs.inner < outerMs / needMs.outer);
      const which = innerFurther ? 'inner' : 'outer';
      return {
        ...progress,
        creditMs: innerFurther ? innerMs : outerMs,
        requiredMs: needMs[which],
        part: partOf(which),
      };
    },
  };
}
