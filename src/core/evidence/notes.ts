import { MS, type Instant } from '../quantity/instant';
import { toCelsius } from '../units/units';
import { noteText, type Locale, type Note, type NoteFact } from '../words/note';
import type { Corrector } from './calibration';
import type { SegmentContext } from './segment-context';
import type { Round } from './rounds';
import { asksMoist, getRequirementDescription } from './requirements';
import type { Rule } from './rule';
import type { Segments } from './segments';
import type { RuleProgress } from './rule-progress';
import type { Evidence, Policy, Reading } from './types';
import { aliveRun, creditOf, type Run } from './run-scan';
import { firstOf, itemAt, lastOf } from '../quantity/present';

/** Above this many the ids are left out of a note; its text and span still name them. */
const MAX_IDS = 50;

type Draft = {
  readonly fact: NoteFact;
  readonly at: Instant;
  readonly from?: Instant;
  readonly to?: Instant;
  readonly readings?: readonly string[];
};

const idsOf = (readings: readonly Reading[]): { readings?: readonly string[] } =>
  readings.length <= MAX_IDS ? { readings: readings.map((r) => r.id) } : {};

/** Whether the hours of a run that broke are lost to the requirement. */
const losesRuns = ({ part }: RuleProgress): boolean =>
  getRequirementDescription(part.of.kind).losesBrokenRuns(part.of);

function breakNotes(progress: RuleProgress, policy: Policy, asOf: Instant): Draft[] {
  const { scan } = progress;
  const { floorC, ceilingC } = scan.floor;
  // What follows a proof takes nothing from it.
  const lostOf = (run: Run, at: Instant): number =>
    losesRuns(progress) && at <= (progress.provenAt ?? Infinity) ? creditOf(run) : 0;
  const drafts: Draft[] = scan.runs.flatMap((run): Draft[] => {
    if (!run.ended) return [];
    const { code, round } = run.ended;
    const lostMs = lostOf(run, round.time);
    const fact: NoteFact =
      code === 'COLD'
        ? { code, valueC: round.value, floorC, lostMs }
        : code === 'OVER_CEILING'
          ? { code, peakC: round.peak, ceilingC: ceilingC!, lostMs }
          : code === 'GAP'
            ? { code, gapMs: round.time - run.to, maxGapHours: policy.maxGapHours, lostMs }
            : { code, lostMs };
    return [{ fact, at: round.time, from: run.to, ...idsOf(round.readings) }];
  });
  const last = scan.runs.at(-1);
  if (last && scan.latest === 'stale')
    drafts.push({
      fact: { code: 'STALE', since: last.to, lostMs: lostOf(last, asOf) },
      at: asOf,
      from: last.to,
    });
  for (const p of scan.pauses)
    drafts.push({
      fact: { code: 'RECOVERING', valueC: p.value, floorC, until: p.until },
      at: p.at,
      from: p.from,
    });
  for (const r of scan.dry)
    drafts.push({ fact: { code: 'DRY_ROUND' }, at: r.time, ...idsOf(r.readings) });
  for (const r of scan.thin)
    drafts.push({
      fact: thinFact(r, policy.minPoints),
      at: r.time,
      ...idsOf(r.readings),
    });
  return drafts;
}

/** Why a round does not count: it was read at few points, or somebody is still to check it. */
const thinFact = ({ points, pointsToCheck }: Round, minPoints: number): NoteFact =>
  points >= minPoints && pointsToCheck > 0
    ? { code: 'ROUND_TO_CHECK' }
    : { code: 'THIN_ROUND', points, minPoints };

/** Whether it was entered more than a day after it was measured. */
const isLate = ({ recordedAt, at }: Reading): boolean =>
  recordedAt !== undefined && recordedAt - at > MS.day;

/** Remarks on rounds and thermometers, the same for every rule of a clock. Goes on where it stopped when rounds are added. */
export function noteRounds(context: SegmentContext, corrector: Corrector): () => Draft[] {
  const { policy } = context;
  const drafts: Draft[] = [];
  const unchecked = new Map<string, Reading[]>();
  const poor = new Map<unknown, Draft>();
  let next = 0;
  const onProbe = (r: Reading, probe: string): void => {
    if (policy.calibrationDays !== null && corrector.unchecked(r, policy.calibrationDays)) {
      const list = unchecked.get(probe);
      if (list) list.push(r);
      else unchecked.set(probe, [r]);
    }
    const calibration = corrector.calibrationFor(r);
    if (calibration?.poor && !poor.has(calibration))
      poor.set(calibration, {
        fact: { code: 'CALIBRATION_POOR', probe },
        at: calibration.at,
      });
  };
  const onRound = (r: Round): void => {
    if (r.long)
      drafts.push({
        fact: { code: 'LONG_ROUND' },
        at: r.time,
        from: r.first,
        ...idsOf(r.readings),
      });
    if (r.readings.some(isLate)) {
      const late = r.readings.filter(isLate);
      const hours = late.reduce((most, x) => Math.max(most, (x.recordedAt! - x.at) / MS.hour), 0);
      drafts.push({
        fact: { code: 'LATE_ENTRY', count: late.length, hours },
        at: r.time,
        ...idsOf(late),
      });
    }
    for (const x of r.readings) if (x.probe !== undefined) onProbe(x, x.probe);
  };
  return () => {
    for (; next < context.rounds.length; next += 1) onRound(itemAt(context.rounds, next));
    const probes = [...unchecked].map(([probe, list]): Draft => ({
      fact: { code: 'UNCHECKED_PROBE', probe, count: list.length, days: policy.calibrationDays! },
      at: firstOf(list).at,
      from: firstOf(list).at,
      to: lastOf(list).at,
      ...idsOf(list),
    }));
    return [...drafts, ...probes, ...poor.values()];
  };
}

function turnNotes(progress: RuleProgress): Draft[] {
  const alive = aliveRun(progress.scan);
  return progress.uncounted().map(({ turn, code }): Draft => ({
    // After the last hot round of a living run: the next one is all that is missing.
    fact:
      code === 'TURN_OUTSIDE_RUN'
        ? { code, mayStill: alive !== null && turn.at > lastOf(alive.rounds).time }
        : { code },
    at: turn.at,
  }));
}

export type NoteInput = {
  readonly evidence: Evidence;
  readonly rule: Rule;
  readonly segments: Segments;
  readonly progress: RuleProgress;
  readonly lostProofs: readonly { readonly at: Instant; readonly provenAt: Instant }[];
  /** Of rounds and thermometers: {@link noteRounds}. */
  readonly roundNotes: readonly Draft[];
  readonly asOf: Instant;
  /** Readings that take no part. */
  readonly excluded: readonly Reading[];
  /** Rejected readings with which the verdict would be worse. */
  readonly matters: readonly Reading[];
};

/** Every remark that section 10 asks for, on the current segment, by time. */
export function notesOf(input: NoteInput): Note[] {
  const { evidence, rule, segments, progress, asOf } = input;
  const { current } = segments;
  const point = (id: string): string => evidence.points.find((p) => p.id === id)?.label ?? id;
  // A reading at the very time of a restart belongs to the segment before it.
  const excluded = input.excluded.filter(
    (r) =>
      (segments.earlier.length > 0 ? r.at > current.from : r.at >= current.from) && r.at <= asOf,
  );
  const drafts: Draft[] = [
    ...segments.restarts.map((e): Draft => ({
      fact: { code: 'RESTART', what: e.type as 'add' | 'water' | 'merge', clock: rule.clock },
      at: e.at,
    })),
    ...input.lostProofs.map(({ at, provenAt }): Draft => ({
      fact: { code: 'PROOF_LOST', provenAt },
      at,
    })),
    ...segments.straddling.map((r): Draft => ({
      fact: { code: 'STRADDLES_RESTART' },
      at: r.time,
      from: r.first,
      ...idsOf(r.readings),
    })),
    ...breakNotes(progress, evidence.policy, asOf),
    ...input.roundNotes,
    ...(progress.turningsRequired > 0 ? turnNotes(progress) : []),
    ...excluded.map((r): Draft => ({
      fact: {
        code: 'EXCLUDED_READING',
        flag: r.flag!,
        valueC: toCelsius(r.value, r.unit),
        point: point(r.point),
      },
      at: r.at,
      readings: [r.id],
    })),
    ...input.matters.map((r): Draft => ({
      fact: { code: 'EXCLUDED_MATTERS', valueC: toCelsius(r.value, r.unit), point: point(r.point) },
      at: r.at,
      readings: [r.id],
    })),
    ...(rule.methods.includes(evidence.method)
      ? []
      : [{ fact: { code: 'METHOD_MISMATCH', method: evidence.method }, at: asOf } satisfies Draft]),
    ...((rule.clock === 'seeds' || asksMoist(rule.requirement)) &&
    !evidence.events.some((e) => e.type === 'moisture' && e.at <= asOf)
      ? [{ fact: { code: 'MOISTURE_UNKNOWN' }, at: asOf } satisfies Draft]
      : []),
  ];
  const locale: Locale = { timeZone: evidence.timeZone, unit: evidence.unit, now: asOf };
  return drafts
    .sort((x, y) => x.at - y.at)
    .map(({ fact, ...rest }) => ({
      code: fact.code,
      fact,
      ...rest,
      text: noteText(fact, rest.at, locale),
    }));
}
