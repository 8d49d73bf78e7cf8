import { say } from '../../messages/say';
import type { BatchId } from '../log/ids';
import type { Method } from '../evidence/types';
import type { Verdict } from '../evidence/verdict';
import { hoursToMs, type Instant } from '../quantity/instant';
import { localDays, zoneOf } from '../quantity/calendar';
import { isLive, type HeapFacts } from '../advice/situation';
import { hottestByDay, type ComparableBatch } from '../advice/similarity';
import { sizesOfHeap } from '../heap/sizes';
import { ordersOf, type Order } from '../advice/orders';
import { lostHours, strataOf, type Stratum } from '../evidence/spans';
import { factsOf } from '../evidence/facts';
import type { RuleAssessment } from '../evidence/verdict';
import type { SiteHead } from '../formats/batch-file-of';
import type { BatchState, SiteState } from '../log/fold';
import { kinshipOf, type Kinship } from '../log/lineage';
import type { Position } from '../log/shapes';
import { titlesOf } from '../rules/library';
import type { VerdictFacts } from '../evidence/verdict-facts';
import { highestC } from '../words/reading';
import { checkDoubtsOf, type CheckDoubt } from './check-doubts';
import { createRoundSnapshot, type RoundSnapshot } from './round-snapshot';
import {
  assessBatch,
  chooseWorkingRule,
  type BatchRule,
  type BatchAssessment,
} from './assess-batch';
import { heapFacts, heatsOf } from './situation';
import { firstOf, present, valueAt } from '../quantity/present';
import type { MethodTemplate } from '../log/shapes';
import { siteFactsOf, type SiteConditions } from './site-conditions';

/** The ten drawings of a mound. */
export const MOUND_STATES = [
  'building',
  'waiting',
  'running',
  'recovering',
  'broken',
  'hot',
  'stale',
  'proven',
  'curing',
  'released',
] as const;
type MoundState = (typeof MOUND_STATES)[number];

/** One rule's standing, small enough to keep beside the batch. */
export type RuleSnapshot = VerdictFacts & {
  readonly rule: string;
  readonly title: string;
  /** Hours in all, every stage counted. */ readonly totalHours: number;
  /** Version of the terms that a proof was kept from; null where those in force hold. */ readonly keptFrom:
    number | null;
  /** Met with a rim that was never read and not turned in: met where it was read. */
  readonly rimUnread: boolean;
};

/** Whether a turning counts for the rule that is worked on, and why not. */
export type TurnCount = {
  readonly at: Instant;
  readonly isFull: boolean;
  readonly count:
    | 'counts'
    | 'NO_RULE'
    | 'AWAITED'
    | 'EARLIER'
    | 'TURN_PARTIAL'
    | 'TURN_WITHOUT_HEAT'
    | 'TURN_WITHOUT_HOLD'
    | 'TURN_OUTSIDE_RUN';
};

/** What the yard shows of a batch, derived from the log: dropped and rebuilt at will. */
export type BatchSnapshot = {
  readonly id: BatchId;
  readonly code: string;
  readonly name: string | null;
  readonly bay: string | null;
  /** A bay, or a stretch of a row. */
  readonly position: Position | null;
  readonly method: Method;
  readonly volumeM3: number | null;
  readonly openedAt: Instant;
  readonly builtAt: Instant | null;
  readonly state: MoundState;
  /** Its rules, the one that is worked on first. */
  readonly rules: readonly RuleSnapshot[];
  readonly strata: readonly Stratum[];
  readonly lostHours: number;
  readonly latest: {
    readonly at: Instant;
    readonly valueC: number;
    readonly peakC: number;
    readonly points: number;
    readonly complete: boolean;
  } | null;
  /** How it heated: when a place was first read at 55 °C, the hottest that was read, and the best that the leading rule reached at any time, whatever came in later. */
  readonly outcome: {
    readonly hotAt: Instant | null;
    readonly highestC: number | null;
    readonly best: { readonly provenAt: Instant | null; readonly creditedHours: number } | null;
  };
  /** Turnings by time: all of them, and of the last ones whether they count. */
  readonly turnings: { readonly made: number; readonly each: readonly TurnCount[] };
  readonly lastLogged: { readonly at: Instant; readonly by: string };
  /** What the next advice is worked out from, at the moment of looking. */
  readonly situation: HeapFacts;
  /** What was last put off, given to somebody or moved to another day, by task. */
  readonly orders: readonly Order[];
  /** How it hangs together with other heaps, told by the end that something left. */
  readonly kin: readonly Kinship[];
  readonly maxGapHours: number;
  /** What checks of its thermometers put in doubt. */ readonly checkDoubts: readonly CheckDoubt[];
  /** By what it is found alike to others. */
  readonly likeness: Pick<ComparableBatch, 'm3' | 'inputs' | 'hottestByDay' | 'turns'>;
  /** What a round over the site needs to know of it. */
  readonly field: RoundSnapshot;
  /** What is not shown, and by which it is kept up with its site. */
  readonly own: {
    /** Its own method template; null: it goes by what the site usually does. */
    readonly template: MethodTemplate | null;
    /** How it is drawn while its heat is no danger. */ readonly calm: MoundState;
    /** Thermometers that it was read with. */ readonly probes: readonly string[];
  };
  /** Until then nothing here changes without a new entry; null: never. */
  readonly recheckAt: Instant | null;
};

/** Notes that a sentence or a label is made of; the page reads the rest from the log. */
const KEPT_NOTES = new Set([
  'COLD',
  'OVER_CEILING',
  'GAP',
  'SLOW_RECOVERY',
  'STALE',
  'RECOVERING',
  'PROOF_LOST',
  'RESTART',
]);
/** Of these only the last one: a heap read thin for weeks has one for each round. */
const LAST_ONLY = new Set(['THIN_ROUND', 'ROUND_TO_CHECK', 'DRY_ROUND']);

const createRuleSnapshot = (
  { rule, assessment, terms, present }: BatchRule,
  title: string,
  rimUnread: boolean,
): RuleSnapshot => ({
  rimUnread,
  ...factsOf(
    assessment,
    (note) =>
      KEPT_NOTES.has(note.code) ||
      (LAST_ONLY.has(note.code) &&
        assessment.verdict.notes.findLast((n) => n.code === note.code) === note),
  ),
  rule: rule.id,
  title,
  totalHours: assessment.progress.part.totalHours,
  keptFrom: present === undefined ? null : terms.version,
});

/** How it is drawn while its heat is no danger. */
function calmState(
  { stage }: HeapFacts,
  lead: RuleAssessment | null,
  now: Instant,
  maxGapHours: number,
): MoundState {
  if (stage.code === 'ended' || stage.code === 'released') return 'released';
  if (stage.code === 'building') return 'building';
  if (stage.code === 'curing' || stage.code === 'ready') return 'curing';
  if (!lead) return 'waiting';
  const { status, run } = lead.verdict;
  // The last sixth of the allowed gap: six hours of thirty-six.
  if (status === 'running' && run && now - lead.progress.base > hoursToMs((maxGapHours * 5) / 6))
    return 'stale';
  if (status === 'broken' && !everHot(lead)) return 'waiting'; // cold so far, and nothing lost: closed, not yet hot
  if (
    status === 'running' &&
    run &&
    lead.progress.creditMs === 0 &&
    lead.progress.scan.runs.length > 1
  )
    return 'broken';
  return status;
}

/** Danger is drawn before anybody's word, as long as there is a heap. */
const shownState = (
  calm: MoundState,
  latest: BatchSnapshot['latest'],
  { limits }: Pick<HeapFacts, 'limits'>,
): MoundState =>
  calm !== 'released' && calm !== 'building' && latest !== null && latest.peakC >= limits.actC
    ? 'hot'
    : calm;

/**
 * A snapshot with what its site gives it now: the air, the limits of its crew, the methods it goes by. What a snapshot was made
 * with is overwritten, so that none is made anew because somebody read the air.
 */
export function applySite(
  snapshot: BatchSnapshot,
  site: SiteConditions,
  now: Instant,
): BatchSnapshot {
  const { own, latest } = snapshot;
  const situation = {
    ...snapshot.situation,
    ...siteFactsOf(snapshot.situation, own.template, site, now),
  };
  return { ...snapshot, situation, state: shownState(own.calm, latest, situation) };
}

const everHot = (lead: RuleAssessment): boolean =>
  [lead.progress, ...lead.earlier].some(({ scan }) => scan.runs.length > 0);

/** The last round; the upper end of a range warns, its lower end counts. */
function latestOf(
  { tally }: BatchState,
  assessment: BatchAssessment | null,
): BatchSnapshot['latest'] {
  const round = assessment?.prepared.rounds.at(-1);
  if (!round) return null;
  const inRound = new Set(round.readings.map((r) => r.id));
  let peakC = round.peak;
  for (const r of tally.ranges) if (inRound.has(r.id)) peakC = Math.max(peakC, highestC(r));
  const { time: at, value: valueC, points, complete } = round;
  return { at, valueC, peakC, points, complete };
}

/** The digest of a batch at a moment. @param assessment of the same state and moment, where it is there already */
export function createBatchSnapshot(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  now: Instant,
  assessment = assessBatch(state, site, siteState, now),
): BatchSnapshot {
  const main = assessment ? (chooseWorkingRule(assessment.rules) ?? null) : null;
  const lead = main?.assessment ?? null;
  const ordered = (assessment?.rules ?? []).toSorted(
    (a, b) => Number(b === main) - Number(a === main),
  );
  const titles = titlesOf((assessment?.rules ?? []).map(({ rule }) => rule));
  const policy = assessment?.prepared.evidence.policy;
  const maxGapHours = policy?.maxGapHours ?? 36;
  const latest = latestOf(state, assessment);
  const situation = heapFacts(
    state,
    { siteState, site },
    assessment,
    latest?.peakC ?? null,
    !lead || !everHot(lead),
    now,
  );
  const last = present(
    state.entries.findLast((e) => e.batch === state.id),
    say('snapshot.theEntryStarted'),
  );
  const calm = calmState(situation, lead, now, maxGapHours);
  return {
    ...{ id: state.id, code: state.opened.code, name: state.opened.name ?? null },
    bay: state.position && 'bay' in state.position ? state.position.bay : null,
    ...{ position: state.position, method: state.opened.method, volumeM3: situation.volumeM3 },
    ...{ openedAt: state.openedAt, builtAt: state.builtAt },
    state: shownState(calm, latest, situation),
    rules: ordered.map((assessed) =>
      createRuleSnapshot(
        assessed,
        valueAt(titles, assessed.rule.id),
        isRimUnread(state, assessment, assessed),
      ),
    ),
    strata: lead ? strataOf(lead) : [],
    lostHours: lead ? lostHours(lead) : 0,
    latest,
    outcome: outcomeOf(assessment),
    turnings: turningsOf(state, lead, now),
    lastLogged: { at: last.at, by: last.by },
    situation,
    orders: ordersOf(state),
    kin: kinshipOf(state.acts, state.id),
    maxGapHours,
    checkDoubts: checkDoubtsOf({ state, site, siteState, now, assessment }),
    likeness: likenessOf(state, assessment),
    field: createRoundSnapshot(state, policy?.minPoints ?? 3),
    own: { template: state.template, calm, probes: [...state.tally.probes] },
    recheckAt: assessment && isLive(situation) ? nextChange(state, assessment, now) : null,
  };
}

const MAX_TURNS = 12;
type Turning = Extract<BatchState['events'][number], { kind: 'turn' }>;
const isTurning = (e: BatchState['events'][number]): e is Turning => e.kind === 'turn';
const turningsBefore = ({ events, struck }: BatchState, now: Instant): Turning[] =>
  events
    .filter(isTurning)
    .filter((e) => !struck.has(e.id) && e.at <= now)
    .sort((a, b) => a.at - b.at);

/** Whether a rule counts a turning, and why not. */
function countOfTurn(at: Instant, assessment: RuleAssessment | null): TurnCount['count'] {
  if (!assessment || assessment.verdict.turningsRequired === 0) return 'NO_RULE';
  const { progress, verdict } = assessment;
  if (progress.counted.some((c) => c.turn.at === at)) return 'counts';
  if (verdict.status !== 'broken' && at > (verdict.run?.to ?? Infinity)) return 'AWAITED';
  const not = progress.uncounted().find((u) => u.turn.at === at);
  return not?.code ?? (at < verdict.segmentFrom ? 'EARLIER' : 'TURN_OUTSIDE_RUN');
}

function turningsOf(
  state: BatchState,
  main: RuleAssessment | null,
  now: Instant,
): BatchSnapshot['turnings'] {
  const turnings = turningsBefore(state, now);
  return {
    made: turnings.length,
    each: turnings.slice(-MAX_TURNS).map((e): TurnCount => ({
      at: e.at,
      isFull: e.data.full,
      count: e.data.full ? countOfTurn(e.at, main) : 'TURN_PARTIAL',
    })),
  };
}

const RIM_LEFT_OUT: ReadonlySet<string | undefined> = new Set(['partly', 'unsure']);

/**
 * Whether a rule was met with a rim that nobody read and nobody turned in. Only where it asks for no turnings, and the points
 * that were read say in which zone they lie.
 */
function isRimUnread(
  state: BatchState,
  assessment: BatchAssessment | null,
  { assessment: { verdict } }: BatchRule,
): boolean {
  const { provenAt, segmentFrom, turningsRequired } = verdict;
  if (assessment === null || provenAt === null || turningsRequired > 0) return false;
  const zoneOfPoint = new Map(assessment.prepared.evidence.points.map((p) => [p.id, p.zone]));
  const zones = new Set<string>();
  for (const round of assessment.prepared.rounds) {
    if (round.time < segmentFrom || round.time > provenAt) continue;
    for (const r of round.readings) {
      const zone = zoneOfPoint.get(r.point);
      if (zone !== undefined) zones.add(zone);
    }
  }
  if (zones.size === 0 || zones.has('edge')) return false;
  return !turningsBefore(state, provenAt).some(
    (e) => e.at >= segmentFrom && e.data.full && !RIM_LEFT_OUT.has(e.data.rim),
  );
}

/** What it is compared by: its first size, what went in, how hot it was on each day, when it was turned. */
const likenessOf = (
  state: BatchState,
  assessment: BatchAssessment | null,
): BatchSnapshot['likeness'] => ({
  m3: sizesOfHeap(state)[0]?.m3 ?? null,
  inputs: state.opened.inputs ?? null,
  hottestByDay:
    assessment && state.builtAt !== null
      ? hottestByDay(heatsOf(assessment, null), state.builtAt)
      : [],
  turns: state.events
    .filter((e) => e.kind === 'turn' && e.data.full && !state.struck.has(e.id))
    .map((e) => e.at)
    .sort((a, b) => a - b),
});

/** A batch as it is compared with others. */
export const toComparableBatch = (d: BatchSnapshot): ComparableBatch => ({
  id: d.id,
  name: d.name ?? d.code,
  builtAt: d.builtAt,
  kept: d.method,
  provenAt: d.rules[0]?.provenAt ?? null,
  ...d.likeness,
});

/** Where most rules of heat begin, °C. */
const HOT_C = 55;
function outcomeOf(assessment: BatchAssessment | null): BatchSnapshot['outcome'] {
  const rounds = assessment?.prepared.rounds ?? [];
  return {
    hotAt: rounds.find((r) => r.peak >= HOT_C)?.time ?? null,
    highestC: rounds.reduce<number | null>((a, r) => (a === null || r.peak > a ? r.peak : a), null),
    best: bestOf(assessment?.rules[0]?.assessment.verdict),
  };
}

/** The most that a rule reached, now or before something raw started its clock again. */
function bestOf(verdict: Verdict | undefined): BatchSnapshot['outcome']['best'] {
  if (!verdict) return null;
  const all = [
    ...verdict.segments,
    { provenAt: verdict.provenAt, creditedHours: verdict.creditedHours },
  ];
  const proven = all.findLast((s) => s.provenAt !== null);
  const { provenAt, creditedHours } =
    proven ?? all.reduce((a, s) => (s.creditedHours > a.creditedHours ? s : a));
  return { provenAt, creditedHours };
}

/** When the first of the readings that are dated ahead comes to count; Infinity: none is. */
const firstReadingAfter = ({ readings, tally }: BatchState, now: Instant): Instant =>
  tally.latest <= now
    ? Infinity
    : readings.reduce((first, { time }) => (time > now && time < first ? time : first), Infinity);

/** The next moment at which time alone changes a standing: a gap used up, a window closed, a day over, a reading dated ahead. */
function nextChange(
  state: BatchState,
  { prepared, rules: accounts }: BatchAssessment,
  now: Instant,
): Instant | null {
  const { policy, timeZone } = prepared.evidence;
  const moments = accounts.flatMap(({ assessment: { progress } }) => [
    progress.base + hoursToMs(policy.maxGapHours) + 1,
    progress.base + hoursToMs((policy.maxGapHours * 5) / 6) + 1,
    ...progress.scan.windows.map((w) => w.to + 1),
  ]);
  if (policy.counting === 'days') moments.push(firstOf(localDays(zoneOf(timeZone), now, now)).end);
  const ahead = moments.filter((at) => at > now);
  const next = Math.min(...ahead, firstReadingAfter(state, now));
  return next === Infinity ? null : next;
}
