import { MS, type Instant } from '../quantity/instant';
import type { Note } from '../words/note';
import { correctorOf, type Corrector } from './calibration';
import { createSegmentContext, type SegmentContext } from './segment-context';
import { moistureOf } from './moisture';
import { notesOf, noteRounds } from './notes';
import { NAMED_ROUND_MS, roundsOf, type Round } from './rounds';
import type { Rule } from './rule';
import { segmentsOf, type Segments } from './segments';
import {
  proofStatusOf,
  type ProofStatus,
  type RuleEvaluator,
  type RuleProgress,
} from './rule-progress';
import { isWorse, createRuleEvaluator } from './rule-evaluator';
import type { Clock, Evidence, Policy, Reading } from './types';
import { itemAt } from '../quantity/present';

type SegmentSummary = {
  readonly from: Instant;
  readonly to: Instant;
  readonly creditedHours: number;
  readonly turningsCounted: number;
  readonly provenAt: Instant | null;
};

/** What the evidence says of one rule (contract, section 10). Times are instants; hours are not rounded. */
export type Verdict = ProofStatus & {
  readonly rule: string;
  readonly asOf: Instant;
  readonly policy: Policy;
  readonly segmentFrom: Instant;
  readonly segments: readonly SegmentSummary[];
  readonly creditedHours: number;
  readonly requiredHours: number;
  readonly turningsCounted: number;
  readonly turningsRequired: number;
  readonly run: { readonly from: Instant; readonly to: Instant } | null;
  readonly earliestProofAt: Instant | null;
  readonly notes: readonly Note[];
};

/** The evidence on one clock: its segments, what rules on the current one share, and the tallies made so far. */
type ClockEvaluation = {
  readonly segments: Segments;
  readonly context: SegmentContext;
  readonly earlier: readonly SegmentContext[];
  readonly roundNotes: ReturnType<typeof noteRounds>;
  evaluator(rule: Rule): RuleEvaluator;
  earlierProgress(rule: Rule): readonly RuleProgress[];
};

/** Evidence as of a moment, corrected and grouped once for all rules. */
export type Prepared = {
  readonly evidence: Evidence;
  readonly asOf: Instant;
  readonly corrector: Corrector;
  readonly rounds: readonly Round[];
  /** Superseded and rejected readings. */
  readonly excluded: readonly Reading[];
  on(clock: Clock): ClockEvaluation;
  /** The same evidence with some rejected readings in. */
  trial(back: readonly Reading[]): Prepared;
  /**
   * Adds one round that is later than everything so far, without reading the past again.
   * @param readings with one round id that is new
   * @param asOf not before any of them
   * @throws RangeError when they are not later, or are not one new round
   */
  add(readings: readonly Reading[], asOf: Instant): void;
};

/** Latest time in the evidence of any kind: the default of asOf. */
export function latestTime(evidence: Evidence): Instant {
  let latest = evidence.builtAt;
  const see = (at: Instant | undefined): void => {
    if (at !== undefined && at > latest) latest = at;
  };
  for (const r of evidence.readings) {
    see(r.at);
    see(r.recordedAt);
  }
  for (const e of evidence.events) see(e.at);
  for (const p of evidence.probes) for (const c of p.checks) see(c.at);
  for (const a of evidence.ambient) see(a.at);
  return latest;
}

const memo = <K, V>(make: (key: K) => V): ((key: K) => V) => {
  const known = new Map<K, V>();
  return (key) => {
    let value = known.get(key);
    if (value === undefined) {
      value = make(key);
      known.set(key, value);
    }
    return value;
  };
};

function evaluateClock(
  evidence: Evidence,
  rounds: readonly Round[],
  asOf: Instant,
  corrector: Corrector,
  clock: Clock,
): ClockEvaluation {
  const { policy, builtAt, timeZone } = evidence;
  // Before builtAt there is nothing: one empty segment, waiting.
  const segments = segmentsOf(
    asOf < builtAt ? [] : rounds,
    evidence.events.filter((e) => e.at <= asOf),
    builtAt,
    Math.max(asOf, builtAt),
    clock,
  );
  const moisture = moistureOf(evidence.events, asOf);
  const context = createSegmentContext(segments.current, policy, timeZone, moisture);
  const earlier = segments.earlier.map((segment) =>
    createSegmentContext(segment, policy, timeZone, moisture),
  );
  return {
    segments,
    context: context,
    earlier,
    roundNotes: noteRounds(context, corrector),
    evaluator: memo((rule) => createRuleEvaluator(rule.requirement, context)),
    earlierProgress: memo((rule) =>
      earlier.map((g, i) =>
        createRuleEvaluator(rule.requirement, g).progress(itemAt(segments.earlier, i).to),
      ),
    ),
  };
}

/** Corrects and groups what is known at asOf. */
export function prepare(evidence: Evidence, asOf: Instant): Prepared {
  const corrector = correctorOf(evidence.probes, asOf);
  const zones = new Set<string>(evidence.policy.zones);
  const out = new Set(
    evidence.points.filter((p) => p.zone !== undefined && !zones.has(p.zone)).map((p) => p.id),
  );
  const takesPart = (r: Reading): boolean =>
    r.flag === undefined && (out.size === 0 || !out.has(r.point));
  const counts = (r: Reading): boolean => r.at <= asOf && takesPart(r);
  const rounds = roundsOf(
    evidence.readings.every(counts) ? evidence.readings : evidence.readings.filter(counts),
    evidence.points,
    evidence.policy,
    corrector,
  );
  const clocks = new Map<Clock, ClockEvaluation>();
  const trials = new Map<string, Prepared>();
  const added: Reading[] = [];
  let now = asOf;
  const newcomer = memo((_: 'once') => newcomerTest(evidence, asOf));
  return {
    evidence,
    get asOf() {
      return now;
    },
    corrector,
    rounds,
    excluded: evidence.readings.filter((r) => r.flag !== undefined),
    on(clock) {
      let standpoint = clocks.get(clock);
      if (!standpoint) {
        standpoint = evaluateClock(evidence, rounds, now, corrector, clock);
        clocks.set(clock, standpoint);
      }
      return standpoint;
    },
    trial(back) {
      const key = back.map((r) => r.id).join('\n');
      let trial = trials.get(key);
      if (!trial) {
        const again = new Set(back);
        trial = prepare(
          {
            ...evidence,
            readings: [
              ...evidence.readings.map((r) => (again.has(r) ? { ...r, flag: undefined } : r)),
              ...added,
            ],
          },
          now,
        );
        trials.set(key, trial);
      }
      return trial;
    },
    add(readings, at) {
      newcomer('once')(readings, at);
      now = at;
      added.push(...readings);
      for (const round of roundsOf(
        readings.filter(takesPart),
        evidence.points,
        evidence.policy,
        corrector,
      )) {
        rounds.push(round);
        for (const { context } of clocks.values()) context.push(round);
      }
      for (const trial of trials.values()) trial.add(readings, at);
    },
  };
}

/** Refuses what {@link Prepared.add} cannot add: only a round of its own, later than all that is known, leaves the past as it is. */
function newcomerTest(
  evidence: Evidence,
  asOf: Instant,
): (readings: readonly Reading[], at: Instant) => void {
  const used = new Set(evidence.readings.map((r) => r.round));
  const beyond =
    evidence.readings.some((r) => r.at > asOf) ||
    evidence.events.some((e) => e.at > asOf) ||
    evidence.probes.some((p) => p.checks.some((c) => c.at > asOf));
  let last = Math.max(asOf, evidence.builtAt);
  return (readings, at) => {
    const times = readings.map((r) => r.at);
    const id = readings[0]?.round;
    const [first, latest] = [Math.min(...times), Math.max(...times)];
    if (beyond)
      throw new RangeError('add: the evidence holds something later than asOf. Prepare it anew.');
    if (
      id === undefined ||
      used.has(id) ||
      readings.some((r) => r.round !== id) ||
      latest - first > NAMED_ROUND_MS
    )
      throw new RangeError(`add: the readings are not one round with a new id (${id ?? 'none'}).`);
    if (first <= last || at < latest)
      throw new RangeError('add: a reading lies at or before what is known, or after asOf.');
    used.add(id);
    last = at;
  };
}

/** A verdict with what stands behind it, for drawings. */
export type RuleAssessment = {
  readonly verdict: Verdict;
  readonly progress: RuleProgress;
  readonly earlier: readonly RuleProgress[];
};

/** A rule with what the evidence says of it. */
export type AssessedRule = { readonly rule: Rule; readonly assessment: RuleAssessment };

/** The verdict of one rule on prepared evidence. */
export const judge = (prepared: Prepared, rule: Rule): Verdict =>
  assessRule(prepared, rule).verdict;

/** The verdict of one rule with what stands behind it (contract, section 10). */
export function assessRule(prepared: Prepared, rule: Rule): RuleAssessment {
  const { evidence, asOf } = prepared;
  const { policy, builtAt } = evidence;
  const { segments, roundNotes, evaluator, earlierProgress } = prepared.on(rule.clock);
  const progress = evaluator(rule).progress(Math.max(asOf, builtAt));
  const earlier = earlierProgress(rule);
  const summaries = earlier.map((s, i): SegmentSummary => {
    const { from, to } = itemAt(segments.earlier, i);
    return {
      from,
      to,
      creditedHours: s.creditMs / MS.hour,
      turningsCounted: s.turningsCounted,
      provenAt: s.provenAt,
    };
  });
  const notes = notesOf({
    evidence,
    rule,
    segments,
    progress,
    roundNotes: roundNotes(),
    asOf,
    excluded: prepared.excluded,
    lostProofs: summaries.flatMap((s) =>
      s.provenAt === null ? [] : [{ at: s.to, provenAt: s.provenAt }],
    ),
    matters: worseWith(prepared, rule, segments.current.from, progress),
  });
  // The order of a verdict's fields is public: the two of its proof stand where they always stood.
  const fields = {
    rule: rule.id,
    status: progress.status,
    asOf,
    policy,
    segmentFrom: segments.current.from,
    segments: summaries,
    creditedHours: progress.creditMs / MS.hour,
    requiredHours: progress.requiredMs / MS.hour,
    turningsCounted: progress.turningsCounted,
    turningsRequired: progress.turningsRequired,
    run: progress.run,
    provenAt: progress.provenAt,
    earliestProofAt: earliestProof(progress, asOf, builtAt),
    notes,
  };
  const verdict: Verdict = { ...fields, ...proofStatusOf(progress) };
  return { verdict, progress, earlier };
}

/** Never before asOf; missing turnings do not move it (contract, section 10). */
function earliestProof(s: RuleProgress, asOf: Instant, builtAt: Instant): Instant | null {
  if (s.provenAt !== null) return null;
  const base = asOf < builtAt ? asOf : s.base;
  return Math.max(asOf, base + Math.max(0, s.requiredMs - s.creditMs) + s.furtherMs);
}

/** Each trial reads everything anew: above this many readings read in all, the rejected ones are tried together instead of one by one. */
const MAX_READ_ANEW = 5_000_000;

/** Rejected readings of the current segment with which the verdict would be worse (contract, section 3). */
function worseWith(
  prepared: Prepared,
  rule: Rule,
  segmentFrom: Instant,
  progress: RuleProgress,
): Reading[] {
  const { evidence, asOf } = prepared;
  const rejected = prepared.excluded.filter(
    (r) => r.flag === 'rejected' && r.at >= segmentFrom - NAMED_ROUND_MS && r.at <= asOf,
  );
  if (rejected.length === 0 || asOf < evidence.builtAt) return [];
  const trials =
    rejected.length * evidence.readings.length <= MAX_READ_ANEW
      ? rejected.map((r) => [r])
      : [rejected];
  return trials
    .filter((back) =>
      isWorse(progress, prepared.trial(back).on(rule.clock).evaluator(rule).progress(asOf)),
    )
    .flat();
}
