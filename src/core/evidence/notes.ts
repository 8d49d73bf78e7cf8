import { MS, type Instant } from '../quantity/instant';
import { toCelsius } from '../quantity/units';
import { noteText, type Locale, type Note, type NoteFact } from '../words/note';
import type { Corrector } from './calibration';
import type { HoldState } from './hold';
import type { Round } from './rounds';
import type { Hold, Rule } from './rule';
import type { Segments } from './segments';
import type { Run } from './walk';
import { uncountedTurns } from './turnings';
import type { Evidence, Policy, Reading } from './types';

/** Above this many the ids are left out of a note; its text and span still name them. */
const MOST_IDS = 50;

type Draft = { readonly fact: NoteFact; readonly at: Instant; readonly from?: Instant; readonly to?: Instant; readonly readings?: readonly string[] };

const idsOf = (readings: readonly Reading[]): { readings?: readonly string[] } =>
  readings.length <= MOST_IDS ? { readings: readings.map((r) => r.id) } : {};

function breakNotes(state: HoldState, hold: Hold, rounds: readonly Round[], policy: Policy, asOf: Instant): Draft[] {
  const valueAt = new Map(rounds.map((r) => [r.time, r]));
  // What follows a proof takes nothing from it.
  const lostOf = (run: Run, at: Instant): number => (hold.consecutive && at <= (state.provenAt ?? Infinity) ? run.steps.at(-1)!.creditMs : 0);
  const drafts: Draft[] = state.walk.runs.flatMap((run): Draft[] => {
    if (!run.ended) return [];
    const { code, at } = run.ended;
    const lostMs = lostOf(run, at);
    const round = valueAt.get(at)!;
    const fact: NoteFact =
      code === 'COLD' ? { code, valueC: round.value, floorC: hold.floorC, lostMs }
      : code === 'OVER_CEILING' ? { code, peakC: round.peak, ceilingC: hold.ceilingC!, lostMs }
      : code === 'GAP' ? { code, gapMs: at - run.to, maxGapHours: policy.maxGapHours, lostMs }
      : { code, lostMs };
    return [{ fact, at, from: run.to, ...idsOf(round.readings) }];
  });
  const last = state.walk.runs.at(-1);
  if (last && state.walk.latest === 'stale') {
    const lostMs = lostOf(last, asOf);
    drafts.push({ fact: { code: 'STALE', since: last.to, lostMs }, at: asOf, from: last.to });
  }
  for (const p of state.walk.pauses) drafts.push({ fact: { code: 'RECOVERING', valueC: p.value, floorC: hold.floorC, until: p.until }, at: p.at, from: p.from });
  return drafts;
}

function roundNotes(rounds: readonly Round[], state: HoldState, policy: Policy): Draft[] {
  return rounds.flatMap((r, i) => {
    const drafts: Draft[] = [];
    if (state.walk.heats[i] === 'thin') drafts.push({ fact: { code: 'THIN_ROUND', points: r.points, minPoints: policy.minPoints }, at: r.time, ...idsOf(r.readings) });
    if (r.long) drafts.push({ fact: { code: 'LONG_ROUND' }, at: r.time, from: r.first, ...idsOf(r.readings) });
    const late = r.readings.filter((x) => x.recordedAt !== undefined && x.recordedAt - x.at > MS.day);
    if (late.length > 0) {
      const hours = Math.max(...late.slice(0, 1000).map((x) => (x.recordedAt! - x.at) / MS.hour));
      drafts.push({ fact: { code: 'LATE_ENTRY', count: late.length, hours }, at: r.time, ...idsOf(late) });
    }
    return drafts;
  });
}

function probeNotes(rounds: readonly Round[], corrector: Corrector, policy: Policy): Draft[] {
  const unchecked = new Map<string, Reading[]>();
  const poor = new Map<unknown, Draft>();
  for (const round of rounds) for (const r of round.readings) {
    if (r.probe === undefined) continue;
    if (policy.calibrationDays !== null && corrector.unchecked(r, policy.calibrationDays)) {
      const list = unchecked.get(r.probe);
      if (list) list.push(r); else unchecked.set(r.probe, [r]);
    }
    const calibration = corrector.calibrationFor(r);
    if (calibration?.poor && !poor.has(calibration)) poor.set(calibration, { fact: { code: 'CALIBRATION_POOR', probe: r.probe }, at: calibration.at });
  }
  const drafts = [...unchecked].map(([probe, list]): Draft => ({
    fact: { code: 'UNCHECKED_PROBE', probe, count: list.length, days: policy.calibrationDays! },
    at: list[0]!.at, from: list[0]!.at, to: list.at(-1)!.at, ...idsOf(list),
  }));
  return [...drafts, ...poor.values()];
}

function turnNotes(state: HoldState, segments: Segments): Draft[] {
  const { rounds, turns } = segments.current;
  const alive = state.walk.latest === 'running' || state.walk.latest === 'recovering' ? state.walk.runs.at(-1)! : null;
  return uncountedTurns(state.walk, rounds, turns).map(({ turn, code }) => ({
    fact: code === 'TURN_OUTSIDE_RUN' ? { code, mayStill: alive !== null && turn.at > alive.rounds.at(-1)!.time } : { code },
    at: turn.at,
  }));
}

export type NoteInput = {
  readonly evidence: Evidence;
  readonly rule: Rule;
  readonly hold: Hold;
  readonly segments: Segments;
  readonly state: HoldState;
  readonly lostProofs: readonly { readonly at: Instant; readonly provenAt: Instant }[];
  readonly corrector: Corrector;
  readonly asOf: Instant;
  /** Rejected readings with which the verdict would be worse. */
  readonly matters: readonly Reading[];
};

/** Every remark that section 10 asks for, on the current segment, by time. */
export function notesOf(input: NoteInput): Note[] {
  const { evidence, rule, hold, segments, state, asOf } = input;
  const { current } = segments;
  const point = (id: string): string => evidence.points.find((p) => p.id === id)?.label ?? id;
  const excluded = evidence.readings.filter((r) => r.flag !== undefined && r.at >= current.from && r.at <= asOf);
  const drafts: Draft[] = [
    ...segments.restarts.map((e): Draft => ({ fact: { code: 'RESTART', what: e.type as 'add' | 'water' | 'merge', clock: rule.clock }, at: e.at })),
    ...input.lostProofs.map(({ at, provenAt }): Draft => ({ fact: { code: 'PROOF_LOST', provenAt }, at })),
    ...segments.straddling.map((r): Draft => ({ fact: { code: 'STRADDLES_RESTART' }, at: r.time, from: r.first, ...idsOf(r.readings) })),
    ...breakNotes(state, hold, current.rounds, evidence.policy, asOf),
    ...roundNotes(current.rounds, state, evidence.policy),
    ...probeNotes(current.rounds, input.corrector, evidence.policy),
    ...(hold.turnings > 0 ? turnNotes(state, segments) : []),
    ...excluded.map((r): Draft => ({ fact: { code: 'EXCLUDED_READING', flag: r.flag!, valueC: toCelsius(r.value, r.unit), point: point(r.point) }, at: r.at, readings: [r.id] })),
    ...input.matters.map((r): Draft => ({ fact: { code: 'EXCLUDED_MATTERS', valueC: toCelsius(r.value, r.unit), point: point(r.point) }, at: r.at, readings: [r.id] })),
    ...(rule.methods.includes(evidence.method) ? [] : [{ fact: { code: 'METHOD_MISMATCH', method: evidence.method }, at: asOf } satisfies Draft]),
    ...(rule.clock === 'seeds' && !evidence.events.some((e) => e.type === 'moisture' && e.at <= asOf)
      ? [{ fact: { code: 'MOISTURE_UNKNOWN' }, at: asOf } satisfies Draft] : []),
  ];
  const locale: Locale = { timeZone: evidence.timeZone, unit: evidence.unit, now: asOf };
  return drafts.sort((x, y) => x.at - y.at).map(({ fact, ...rest }) => ({ code: fact.code, fact, ...rest, text: noteText(fact, rest.at, locale) }));
}
