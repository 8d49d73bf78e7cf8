import { MS, type Instant } from '../quantity/instant';
import type { Finding } from '../words/grade';
import type { RuleAssessment, Prepared } from './verdict';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/**
 * How good the evidence itself is, apart from what it says: a proof on three readings of one place is a proof
 * by the rule, and thin all the same. Limits are common practice: five places, a round a day, a check each half year.
 */
const GRADES = ['thin', 'fair', 'good', 'strong'] as const;
type Grade = (typeof GRADES)[number];

/** A finding with its own grade. */
type Graded = { readonly finding: Finding; readonly grade: Grade };
export type EvidenceGrade = { readonly grade: Grade; readonly findings: readonly Graded[] };

const gradeBy = (value: number, [fair, good, strong]: readonly [number, number, number]): Grade =>
  value >= strong ? 'strong' : value >= good ? 'good' : value >= fair ? 'fair' : 'thin';
const UNKNOWN_DEPTH: Grade = 'fair';

/** The rounds that a verdict rests on: those of its run, or all of the segment. */
function basis(
  { verdict, progress }: RuleAssessment,
  prepared: Prepared,
): { from: Instant; to: Instant } {
  return {
    from: verdict.run?.from ?? verdict.segmentFrom,
    to: verdict.provenAt ?? progress.run?.to ?? prepared.asOf,
  };
}

/** The time in which a thermometer may have been off: from the check before, or from the start, to the one that found it. */
export type OffSpan = {
  readonly probe: string;
  readonly since: Instant | null;
  readonly at: Instant;
};

/**
 * @param assessment of the leading rule
 * @param off thermometers that were found off, as long as nobody has settled that
 * @returns null where nothing has been read since the clock started
 */
export function gradeOf(
  prepared: Prepared,
  assessment: RuleAssessment,
  off: readonly OffSpan[] = [],
): EvidenceGrade | null {
  const { evidence } = prepared;
  const { from, to } = basis(assessment, prepared);
  const rounds = prepared.rounds.filter((r) => r.time >= from && r.time <= to);
  if (rounds.length === 0) return null;
  const readings = rounds.flatMap((r) => r.readings);
  // From the first round to the last; a single one says nothing of how often.
  const perDay =
    rounds.length < 2
      ? 0
      : (rounds.length - 1) / ((lastOf(rounds).time - firstOf(rounds).time) / MS.day);
  const places = new Set(readings.map((r) => r.point));
  const depths = evidence.points
    .filter((p) => places.has(p.id) && p.depthM !== undefined)
    .map((p) => p.depthM!);
  const deepestM = depths.length > 0 ? Math.max(...depths) : null;
  const coreM = evidence.coreDepthM ?? null;
  const gaps = rounds.slice(1).map((r, i) => (r.time - itemAt(rounds, i).time) / MS.hour);
  // While nothing is met, the time since the last check is a gap like any other once it is longer than the rule allows.
  const since = (prepared.asOf - lastOf(rounds).time) / MS.hour;
  if (assessment.verdict.provenAt === null && since > evidence.policy.maxGapHours) gaps.push(since);
  const hours = gaps.length > 0 ? gaps.reduce((a, b) => Math.max(a, b)) : null;
  const named = readings.filter((r) => r.probe !== undefined);
  const unchecked = named.filter((r) =>
    prepared.corrector.unchecked(r, evidence.policy.calibrationDays ?? 180),
  ).length;
  const late = readings.filter(
    (r) => r.recordedAt !== undefined && r.recordedAt - r.at > MS.day,
  ).length;
  const inDoubt = named.filter((r) =>
    off.some((o) => o.probe === r.probe && r.at > (o.since ?? -Infinity) && r.at < o.at),
  ).length;
  const checkedShare = (named.length - unchecked) / readings.length;
  const findings: Graded[] = [
    {
      finding: { code: 'ROUNDS', count: rounds.length, perDay },
      grade: rounds.length < 3 ? 'thin' : gradeBy(perDay, [0.5, 0.8, 1.5]),
    },
    { finding: { code: 'PLACES', count: places.size }, grade: gradeBy(places.size, [2, 4, 5]) },
    {
      finding: { code: 'DEPTH', deepestM, coreM },
      grade:
        deepestM === null || coreM === null
          ? UNKNOWN_DEPTH
          : gradeBy(deepestM / coreM, [0.5, 0.75, 0.95]),
    },
    {
      finding: { code: 'GAP', hours, maxGapHours: evidence.policy.maxGapHours },
      grade: hours === null ? 'thin' : gradeBy(-hours, [-evidence.policy.maxGapHours, -30, -13]),
    },
    {
      finding: {
        ...{ code: 'INSTRUMENT', unchecked, inDoubt },
        ...{ named: named.length, total: readings.length },
      },
      grade: inDoubt > 0 ? 'thin' : gradeBy(checkedShare, [0.01, 0.9, 1]),
    },
    {
      finding: { code: 'LATE', count: late, total: readings.length },
      grade: gradeBy(-late / readings.length, [-0.5, -0.1, 0]),
    },
  ];
  // As with the heap itself: the weakest part rules, one step of mercy where it stands alone.
  const ranks = findings.map(({ grade }) => GRADES.indexOf(grade)).sort((a, b) => a - b);
  return {
    grade:
      GRADES[
        ranks[0] === ranks[1] ? firstOf(ranks) : Math.min(firstOf(ranks) + 1, itemAt(ranks, 1))
      ]!,
    findings,
  };
}
