import { hoursToMs, type Instant } from '../quantity/instant';
import type { Note } from '../words/note';
import { correctorOf, type Corrector } from './calibration';
import { creditHours, evaluateHold, type HoldState, type Status } from './hold';
import { notesOf } from './notes';
import { NAMED_ROUND_MS, roundsOf, type Round } from './rounds';
import type { SupportedRule } from './rule';
import { segmentsOf, type Segment } from './segments';
import type { Evidence, Policy, Reading } from './types';

export type SegmentSummary = {
  readonly from: Instant;
  readonly to: Instant;
  readonly creditedHours: number;
  readonly turningsCounted: number;
  readonly provenAt: Instant | null;
};

/** What the evidence says of one rule (contract, section 10). Times are instants; hours are not rounded. */
export type Verdict = {
  readonly rule: string;
  readonly status: Status;
  readonly asOf: Instant;
  readonly policy: Policy;
  readonly segmentFrom: Instant;
  readonly segments: readonly SegmentSummary[];
  readonly creditedHours: number;
  readonly requiredHours: number;
  readonly turningsCounted: number;
  readonly turningsRequired: number;
  readonly run: { readonly from: Instant; readonly to: Instant } | null;
  readonly provenAt: Instant | null;
  readonly earliestProofAt: Instant | null;
  readonly notes: readonly Note[];
};

/** Evidence as of a moment, corrected and grouped once for all rules. */
export type Prepared = {
  readonly evidence: Evidence;
  readonly asOf: Instant;
  readonly corrector: Corrector;
  readonly rounds: readonly Round[];
};

/** Latest time in the evidence of any kind: the default of asOf. */
export function latestTime(evidence: Evidence): Instant {
  let latest = evidence.builtAt;
  const see = (at: Instant | undefined): void => { if (at !== undefined && at > latest) latest = at; };
  for (const r of evidence.readings) { see(r.at); see(r.recordedAt); }
  for (const e of evidence.events) see(e.at);
  for (const p of evidence.probes) for (const c of p.checks) see(c.at);
  for (const a of evidence.ambient) see(a.at);
  return latest;
}

/** Corrects and groups what is known at asOf. */
export function prepare(evidence: Evidence, asOf: Instant): Prepared {
  const corrector = correctorOf(evidence.probes, asOf);
  const zones = new Set<string>(evidence.policy.zones);
  const out = new Set(evidence.points.filter((p) => p.zone !== undefined && !zones.has(p.zone)).map((p) => p.id));
  const part = evidence.readings.filter((r) => r.flag === undefined && r.at <= asOf && !out.has(r.point));
  return { evidence, asOf, corrector, rounds: roundsOf(part, evidence.points, evidence.policy, corrector) };
}

/** A verdict with the walk behind it, for drawings. */
export type Account = { readonly verdict: Verdict; readonly state: HoldState; readonly segment: Segment; readonly earlier: readonly { segment: Segment; state: HoldState }[] };

/** The verdict of one rule on prepared evidence. */
export function judge(prepared: Prepared, rule: SupportedRule): Verdict {
  return account(prepared, rule).verdict;
}

export function account(prepared: Prepared, rule: SupportedRule): Account {
  const { evidence, asOf, corrector } = prepared;
  const { policy, builtAt, timeZone } = evidence;
  const hold = rule.requirement;
  const end = Math.max(asOf, builtAt); // before builtAt there is nothing: one empty segment, waiting
  const segments = segmentsOf(asOf < builtAt ? [] : prepared.rounds, evidence.events.filter((e) => e.at <= asOf), builtAt, end, rule.clock);
  const state = evaluateHold(segments.current, hold, policy, timeZone);
  const earlier = segments.earlier.map((segment) => ({ segment, state: evaluateHold(segment, hold, policy, timeZone) }));
  const summaries = earlier.map(({ segment: { from, to }, state: s }): SegmentSummary => ({
    from, to, creditedHours: creditHours(s), turningsCounted: s.turningsCounted, provenAt: s.provenAt,
  }));
  const missingMs = Math.max(0, hoursToMs(hold.hours) - state.creditMs);
  const base = asOf < builtAt ? asOf : state.base;
  const notes = notesOf({
    evidence, rule, hold, segments, state, corrector, asOf,
    lostProofs: summaries.flatMap((s) => (s.provenAt === null ? [] : [{ at: s.to, provenAt: s.provenAt }])),
    matters: worseWith(prepared, rule, segments.current, state),
  });
  const verdict: Verdict = {
    rule: rule.id, status: state.status, asOf, policy, segmentFrom: segments.current.from, segments: summaries,
    creditedHours: creditHours(state), requiredHours: hold.hours,
    turningsCounted: state.turningsCounted, turningsRequired: hold.turnings,
    run: state.run, provenAt: state.provenAt,
    earliestProofAt: state.provenAt === null ? Math.max(asOf, base + missingMs) : null,
    notes,
  };
  return { verdict, state, segment: segments.current, earlier };
}

const RANK: Record<Status, number> = { proven: 4, running: 3, recovering: 2, waiting: 1, broken: 0 };

function isWorse(than: HoldState, other: HoldState): boolean {
  if (than.provenAt !== null) return other.provenAt === null || other.provenAt > than.provenAt;
  return other.provenAt === null && (other.creditMs < than.creditMs || other.turningsCounted < than.turningsCounted || RANK[other.status] < RANK[than.status]);
}

/** Each trial reads everything anew: above this many readings read in all, the rejected ones are tried together instead of one by one. */
const MOST_READ_ANEW = 5_000_000;

/** Rejected readings of the current segment with which the verdict would be worse (contract, section 3). */
function worseWith(prepared: Prepared, rule: SupportedRule, segment: Segment, state: HoldState): Reading[] {
  const { evidence, asOf } = prepared;
  const rejected = evidence.readings.filter((r) => r.flag === 'rejected' && r.at >= segment.from - NAMED_ROUND_MS && r.at <= asOf);
  if (rejected.length === 0 || asOf < evidence.builtAt) return [];
  const trials = rejected.length * evidence.readings.length <= MOST_READ_ANEW ? rejected.map((r) => [r]) : [rejected];
  return trials.filter((trial) => {
    const back = new Set(trial);
    const readings = evidence.readings.map((r) => (back.has(r) ? { ...r, flag: undefined } : r));
    const { rounds } = prepare({ ...evidence, readings }, asOf);
    const { current } = segmentsOf(rounds, evidence.events, evidence.builtAt, asOf, rule.clock);
    return isWorse(state, evaluateHold(current, rule.requirement, evidence.policy, evidence.timeZone));
  }).flat();
}

