import { getRequirementDescription } from './requirements';
import { MS, type Instant } from '../quantity/instant';
import type { Policy } from './types';
import type { Run } from './run-scan';
import type { RuleAssessment } from './verdict';
import { creditOf } from './run-scan';
import { itemAt, lastOf } from '../quantity/present';

/** A stretch of a run between two hot rounds, or one hot day: what it earned and its mean value in °C. */
type Stretch = {
  readonly from: Instant;
  readonly to: Instant;
  readonly creditMs: number;
  readonly meanC: number;
};

type SpanKind = 'credited' | 'uncredited' | 'lost';
/** For the bars of the chart: credited, elapsed in a run without credit, or earned and lost. */
export type Span = { readonly from: Instant; readonly to: Instant; readonly kind: SpanKind };

/** One fold of the mound: what one stage between counted turnings earned. */
export type Stratum = {
  readonly hours: number;
  readonly meanC: number;
  readonly lowestC: number;
  /** Share of its time that earned nothing. */ readonly uncredited: number;
};

function stretchesOf(run: Run, counting: Policy['counting']): Stretch[] {
  if (counting === 'days') {
    return run.steps.map(({ at }) => {
      const values = run.rounds
        .filter((r) => r.time < at && r.time >= at - 25 * MS.hour)
        .map((r) => r.value);
      return {
        from: at - MS.day,
        to: at,
        creditMs: MS.day,
        meanC: values.reduce((a, b) => a + b, 0) / (values.length || 1),
      };
    });
  }
  return run.rounds.slice(1).map((r, i) => ({
    from: itemAt(run.rounds, i).time,
    to: r.time,
    creditMs: itemAt(run.steps, i + 1).creditMs - itemAt(run.steps, i).creditMs,
    meanC: (itemAt(run.rounds, i).value + r.value) / 2,
  }));
}

/** The runs that the verdict reports: the proving or latest one, or all of a rule that adds them up. */
function reportedRuns({ progress: { part, reported, scan } }: RuleAssessment): readonly Run[] {
  if (!part.consecutive && !getRequirementDescription(part.of.kind).reportsOneRun) return scan.runs;
  return reported ? [reported] : [];
}

function joined(spans: readonly Span[]): Span[] {
  const out: Span[] = [];
  for (const s of spans) {
    const last = out.at(-1);
    if (last?.kind === s.kind && last.to === s.from) out[out.length - 1] = { ...last, to: s.to };
    else if (s.to > s.from) out.push(s);
  }
  return out;
}

/** All stretches of all segments, by time, for one rule's bar. */
export function spansOf(assessment: RuleAssessment): Span[] {
  const kept = new Set<Run>(reportedRuns(assessment));
  const until = assessment.verdict.provenAt ?? Infinity;
  const walks = [...assessment.earlier.map((s) => s.scan), assessment.progress.scan];
  return joined(
    walks.flatMap((scan) =>
      scan.runs.flatMap((run) =>
        stretchesOf(run, scan.counting)
          .filter((s) => s.from < until)
          .map((s): Span => ({
            from: s.from,
            to: s.to,
            kind: kept.has(run) ? (s.creditMs > 0 ? 'credited' : 'uncredited') : 'lost',
          })),
      ),
    ),
  );
}

/** The strata of the folded mound, from the ground up: one more than there are counted turnings. */
export function strataOf(assessment: RuleAssessment): Stratum[] {
  const runs = reportedRuns(assessment);
  if (runs.length === 0) return [];
  const until = assessment.verdict.provenAt ?? Infinity;
  const folds = assessment.progress.counted.map(({ turn }) => turn.at);
  const stages: Stretch[][] = Array.from({ length: folds.length + 1 }, () => []);
  const stretches = runs
    .flatMap((run) => stretchesOf(run, assessment.progress.scan.counting))
    .filter((s) => s.to <= until);
  for (const s of stretches)
    itemAt(stages, folds.filter((at) => at < (s.from + s.to) / 2).length).push(s);
  const last = lastOf(lastOf(runs).rounds);
  return stages.map((stage) => {
    const credit = stage.reduce((sum, s) => sum + s.creditMs, 0);
    const elapsed = stage.reduce((sum, s) => sum + (s.to - s.from), 0);
    const meanC =
      credit > 0 ? stage.reduce((sum, s) => sum + s.meanC * s.creditMs, 0) / credit : last.value;
    const lowestC =
      stage.length > 0
        ? Math.min(...stage.filter((s) => s.creditMs > 0).map((s) => s.meanC), meanC)
        : last.value;
    return {
      hours: credit / MS.hour,
      meanC,
      lowestC,
      uncredited: elapsed > 0 ? 1 - credit / Math.max(credit, elapsed) : 0,
    };
  });
}

/** Credit of the latest run that was broken or cut off by a restart, in hours; 0 when nothing was lost. */
export function lostHours({ progress, earlier }: RuleAssessment): number {
  if (!progress.part.consecutive || progress.reported) return 0;
  const ended = progress.scan.runs.at(-1);
  if (ended) return creditOf(ended) / MS.hour;
  const before = earlier.at(-1);
  const last = before?.scan.runs.at(-1);
  return (
    (before && before.provenAt !== null ? before.creditMs : last ? creditOf(last) : 0) / MS.hour
  );
}
