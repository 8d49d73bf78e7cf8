import { hoursToMs, type Instant } from '../../quantity/instant';
import { TEMP_TOLERANCE_C } from '../../units/units';
import type { SegmentContext } from '../segment-context';
import { createOpenRunEvaluator } from './hold-evaluator';
import type { MeanAbove } from '../rule';
import type { ReportedRequirement, RuleProgress, RuleEvaluator } from '../rule-progress';
import { countedTurns } from '../turnings';
import type { Run } from '../run-scan';
import { firstOf, itemAt, lastOf } from '../../quantity/present';

type Proof = { readonly run: Run; readonly from: number; readonly to: number };

/**
 * Hours at a floor with a time-weighted mean above another figure (contract, section 9). Always counts hours.
 *
 * With g the area of the credited gaps over the mean asked for, a stretch from u to t fits when
 * g(t) − g(u) > 0: so the least g among the starts that lie far enough back decides, and one pass finds it.
 */
export function createMeanAboveEvaluator(rule: MeanAbove, context: SegmentContext): RuleEvaluator {
  const scanner = context.scanner(rule, 'hours');
  const open = createOpenRunEvaluator(rule, context);
  const needMs = hoursToMs(rule.hours);
  let runAt = 0;
  /** g after each hot round of the run that is looked at, °C·ms. */
  let excess: number[] = [];
  let [starts, leastStart] = [0, Infinity];
  let proof: Proof | null = null;
  const alongRun = (run: Run): void => {
    for (let i = excess.length; !proof && i < run.steps.length; i += 1) {
      const gapMs = i === 0 ? 0 : itemAt(run.steps, i).creditMs - itemAt(run.steps, i - 1).creditMs;
      // A mean within the tolerance of its bound counts as equal to it, and equal is not above.
      excess.push(
        i === 0
          ? 0
          : itemAt(excess, i - 1) +
              gapMs *
                ((itemAt(run.rounds, i - 1).value + itemAt(run.rounds, i).value) / 2 -
                  rule.meanC -
                  TEMP_TOLERANCE_C),
      );
      const far = itemAt(run.steps, i).creditMs - needMs;
      for (; starts < i && itemAt(run.steps, starts).creditMs <= far; starts += 1)
        leastStart = Math.min(leastStart, itemAt(excess, starts));
      if (leastStart < itemAt(excess, i))
        proof = { run, from: excess.findIndex((g) => g < itemAt(excess, i)), to: i };
    }
  };
  const catchUp = (runs: readonly Run[]): void => {
    for (; !proof && runAt < runs.length; runAt += 1) {
      alongRun(itemAt(runs, runAt));
      // Set by alongRun, which the compiler does not see.
      // eslint-disable-next-line @typescript-eslint/no-unnecessary-condition
      if (proof || runAt === runs.length - 1) return; // the latest run may still grow
      [excess, starts, leastStart] = [[], 0, Infinity];
    }
  };
  const part = (meanC?: number): ReportedRequirement => ({
    of: rule,
    floorC: rule.floorC,
    consecutive: true,
    totalHours: rule.hours,
    meanC,
  });
  const meanOf = (run: Run, from: number, to: number): number | undefined => {
    const creditMs = itemAt(run.steps, to).creditMs - itemAt(run.steps, from).creditMs;
    return creditMs > 0
      ? rule.meanC + TEMP_TOLERANCE_C + (itemAt(excess, to) - itemAt(excess, from)) / creditMs
      : undefined;
  };
  return {
    progress(at: Instant): RuleProgress {
      catchUp(scanner.at(at).runs);
      const progress = open.progress(at);
      if (!proof) {
        const live = progress.reported;
        return {
          ...progress,
          requiredMs: needMs,
          part: part(live ? meanOf(live, 0, live.steps.length - 1) : undefined),
        };
      }
      const { run, from, to } = proof;
      const rounds = run.rounds.slice(from, to + 1);
      const counted = countedTurns(rounds, context.full);
      return {
        ...progress,
        status: 'proven',
        creditMs: itemAt(run.steps, to).creditMs - itemAt(run.steps, from).creditMs,
        requiredMs: needMs,
        provenAt: lastOf(rounds).time,
        run: { from: firstOf(rounds).time, to: lastOf(rounds).time },
        reported: run,
        counted,
        turningsCounted: counted.length,
        part: part(meanOf(run, from, to)),
      };
    },
  };
}
