import { actsOf, type Act, type ActKind } from '../advice/acts';
import { claimOf, type Claim } from '../advice/claim';
import { courseFor, hotOf, isGone, isLive, type Situation } from '../advice/situation';
import type { Course } from '../advice/course';
import type { HotAdvice } from '../advice/hot';
import { mendNext, nextAdvice, type Advice } from '../advice/next';
import type { Stage } from '../advice/stage';
import { displayStatusOf, isNotRead, type DisplayStatus } from '../evidence/verdict-words';
import type { BatchId } from '../log/ids';
import { hoursToMs, MS, type Instant } from '../quantity/instant';
import type { BatchSnapshot, RuleSnapshot, TurnCount } from '../snapshot/batch-snapshot';

/**
 * What can be said of a batch at a moment, once: every page, record, label, file and command says a field of it. Codes and
 * values, no words (docs/status.md).
 */

/** How far a rule is. `unread`: nobody has read it for longer than its rule allows, so nobody can say. */
export type RuleCode = 'met' | 'met-where-read' | 'unread' | 'not-read' | DisplayStatus;
export type RuleStatus = {
  readonly rule: string;
  readonly title: string;
  readonly code: RuleCode;
  /** Met at; last read at, where it was not read since; null: neither. */ readonly at: Instant | null;
  /** The same as the verdict has it. */ readonly facts: RuleSnapshot;
};

/** How dangerous its heat is as it was last read: a reading alone ends it. */
type DangerLevel = 'none' | 'watch' | 'high' | 'fire';
type DangerStatus =
  | { readonly level: 'none'; readonly since: null; readonly hot: null }
  | {
      readonly level: Exclude<DangerLevel, 'none'>;
      readonly since: Instant;
      readonly hot: HotAdvice;
    };

/** Whether it goes as its method expects. `ahead`: hotter; `cannot-say`: too young, warming up, just turned, or not read. */
export type CourseStatus = {
  readonly code: 'on' | 'behind' | 'ahead' | 'cannot-say';
  readonly because:
    | Course['code']
    | 'NEVER_READ'
    | 'UNREAD'
    | 'WARMING'
    | 'NOT_HEATING'
    | 'NEEDS_MENDING'
    | 'WATCH'
    | 'DANGER';
  /** The reading it is said of, beside what is expected at that age; null: never read. */
  readonly reading: Course | null;
  /** When it was last read. */ readonly asOf: Instant | null;
  /** From where its heat is a danger: a figure below is not shown as reaching it. */
  readonly dangerC: number;
};

export type StageStatus = Stage & {
  /** It follows from readings, of which this is the last one; null: it follows from entries. */
  readonly asOf: Instant | null;
  /** That reading is older than its rule lets a check be, so that nobody knows how it is now. */
  readonly isUnread: boolean;
};

export type TurningStatus = {
  readonly made: number;
  readonly counting: number;
  readonly needed: number;
  /** By its method’s calendar, so far; null: its method has none. */ readonly dueSoFar:
    number | null;
  readonly missed: number;
  readonly last: Instant | null;
  readonly each: readonly TurnCount[];
};

/** From when its days are counted: the day on which adding was finished is day 0; of one that is being built, the day of its start. */
type AgeStatus = {
  readonly from: 'finished-adding' | 'started';
  readonly since: Instant;
};

export type BatchStatus = {
  readonly id: BatchId;
  readonly now: Instant;
  readonly stage: StageStatus;
  /** Whether it has left the site or is at its end, and is in no danger. */ readonly isGone: boolean;
  /** Whether it is still worked. */ readonly isLive: boolean;
  /** The rule that is worked on; null: it has none. "Rule met" is said of it alone. */
  readonly main: RuleStatus | null;
  readonly rules: readonly RuleStatus[];
  readonly danger: DangerStatus;
  readonly course: CourseStatus;
  readonly acts: readonly Act[];
  /** What comes next, with the moment of its act. */ readonly next: Advice;
  readonly turnings: TurningStatus;
  readonly age: AgeStatus;
  readonly volumeM3: number | null;
  readonly lastRead: BatchSnapshot['latest'];
  readonly claim: Claim;
  /** What advice is worked out from, at this moment. */ readonly situation: Situation;
};

/** Hot methods expect this much once they are warm; a batch below it in its first days is warming up, °C (common practice). */
const WARM_C = 45;
/** The right mix is hot within three days (common practice). */
const WARMS_WITHIN_MS = 3 * MS.day;

const DANGER_OF = { warn: 'watch', act: 'high', danger: 'fire' } as const;

function dangerOf(s: Situation): DangerStatus {
  const hot = hotOf(s);
  return hot
    ? { level: DANGER_OF[hot.level], since: hot.overSince ?? hot.at, hot }
    : { level: 'none', since: null, hot: null };
}

/** Whether nobody has read it for longer than its rule lets a check be. */
const isUnread = (d: BatchSnapshot, now: Instant): boolean =>
  d.latest !== null && now - d.latest.at > hoursToMs(d.maxGapHours);

function ruleStatus(facts: RuleSnapshot, d: BatchSnapshot, now: Instant): RuleStatus {
  const status = (code: RuleCode, at: Instant | null): RuleStatus => ({
    ...{ rule: facts.rule, title: facts.title, code, at, facts },
  });
  if (facts.provenAt !== null)
    return status(facts.rimUnread ? 'met-where-read' : 'met', facts.provenAt);
  if (d.latest === null) return status('not-read', null);
  if (isUnread(d, now)) return status('unread', d.latest.at);
  // Its clock has started over, and nobody has read it since.
  if (isNotRead(facts)) return status('not-read', d.latest.at);
  return status(displayStatusOf(facts), null);
}

type CourseSaid = Pick<CourseStatus, 'code' | 'because'>;
const saidOfCourse = (
  code: CourseStatus['code'],
  because: CourseStatus['because'],
): CourseSaid => ({
  ...{ code, because },
});

/** Why nothing is said of its course, or why it is no question: danger, never read, not read lately; null: its reading says. */
function beforeReading(
  d: BatchSnapshot,
  now: Instant,
  { level }: DangerStatus,
  reading: Course | null,
): CourseSaid | null {
  if (level === 'fire' || level === 'high') return saidOfCourse('ahead', 'DANGER');
  if (reading === null) return saidOfCourse('cannot-say', 'NEVER_READ');
  if (isUnread(d, now)) return saidOfCourse('cannot-say', 'UNREAD');
  return level === 'watch' ? saidOfCourse('ahead', 'WATCH') : null;
}

/** What its last reading says of its course. */
function byReading(s: Situation, reading: Course): CourseSaid {
  switch (reading.code) {
    case 'HOTTER':
      return saidOfCourse('ahead', reading.code);
    case 'COOLER':
      return saidOfCourse('behind', s.neverHot ? 'NOT_HEATING' : reading.code);
    case 'TOO_YOUNG':
    case 'JUST_TURNED':
      return saidOfCourse('cannot-say', reading.code);
    default:
  }
  if (isLive(s) && mendNext(s) !== null) return saidOfCourse('behind', 'NEEDS_MENDING');
  if (!s.neverHot || reading.coreC >= WARM_C || !isMeantToHeat(s))
    return saidOfCourse('on', reading.code);
  return s.builtAt !== null && s.now - s.builtAt < WARMS_WITHIN_MS
    ? saidOfCourse('cannot-say', 'WARMING')
    : saidOfCourse('behind', 'NOT_HEATING');
}

function courseOfBatch(d: BatchSnapshot, s: Situation, danger: DangerStatus): CourseStatus {
  const reading = courseFor(s);
  const first = beforeReading(d, s.now, danger, reading);
  const said =
    first ?? (reading ? byReading(s, reading) : saidOfCourse('cannot-say', 'NEVER_READ'));
  return { ...said, reading, asOf: d.latest?.at ?? null, dangerC: s.limits.dangerC };
}

/** Whether its method expects it to be hot at some time. */
const isMeantToHeat = ({ template }: Situation): boolean =>
  template.expect.some((point) => point.lowC >= WARM_C);

function turningsOf(d: BatchSnapshot, s: Situation): TurningStatus {
  const { each, made } = d.turnings;
  const main = d.rules[0];
  const dueSoFar = dueByCalendar(s);
  return {
    ...{ made, each, dueSoFar },
    counting: main?.turningsCounted ?? 0,
    needed: main?.turningsRequired ?? 0,
    missed: dueSoFar === null ? 0 : Math.max(0, dueSoFar - made),
    last: s.turns.at(-1) ?? null,
  };
}

/** How many turnings a method by the calendar asks for until now; null: it goes by something else. */
function dueByCalendar({ template, builtAt, now }: Situation): number | null {
  if (template.trigger !== 'calendar' || builtAt === null) return null;
  const days = Math.min((now - builtAt) / MS.day, template.activeDays);
  return days < template.firstDay
    ? 0
    : 1 + Math.floor((days - template.firstDay) / template.everyDays);
}

const ageOf = ({ builtAt, openedAt }: BatchSnapshot): AgeStatus =>
  builtAt === null
    ? { from: 'started', since: openedAt }
    : { from: 'finished-adding', since: builtAt };

const FROM_READINGS = new Set<Stage['code']>(['heating', 'hot', 'cooling', 'dormant']);
function stageOfBatch(d: BatchSnapshot, now: Instant): StageStatus {
  const { stage } = d.situation;
  const asOf = FROM_READINGS.has(stage.code) ? (d.latest?.at ?? null) : null;
  return { ...stage, asOf, isUnread: asOf !== null && isUnread(d, now) };
}

/** Which act an advice is about; undefined: it asks for none. */
const ACT_OF: Partial<Record<Advice['code'], ActKind>> = {
  TOO_HOT: 'hot',
  TURN: 'turn',
  WATER: 'water',
  SQUEEZE_AGAIN: 'water',
  MEND: 'mend',
  CLOSE_WHEN_BUILT: 'close',
  READ_AFTER_TURN: 'read',
  READ_RECOVERING: 'read',
  READ_BEFORE_LOST: 'read',
  KEEP_READING: 'read',
  WAIT_FOR_HEAT: 'read',
  FIND_OUT_WHY: 'read',
  READ_RUN_DOWN: 'read',
  READ_QUIET: 'read',
  ASLEEP: 'read',
  LEAVE_TO_CURE: 'read',
  READY: 'read',
};

/** The act that an advice is about, of those that a batch asks for. */
export const actOfAdvice = (status: Pick<BatchStatus, 'acts'>, advice: Advice): Act | null =>
  status.acts.find((act) => act.kind === ACT_OF[advice.code]) ?? null;

/** The advice with the moment of its act, so that no two pages show two. */
const withMoment = (advice: Advice, acts: readonly Act[]): Advice => {
  const act = actOfAdvice({ acts }, advice);
  return act && 'due' in advice ? { ...advice, due: act.by } : advice;
};

function workOutStatus(d: BatchSnapshot, now: Instant): BatchStatus {
  const situation: Situation = { ...d.situation, now };
  const danger = dangerOf(situation);
  const advice = nextAdvice(situation);
  const acts = actsOf(situation, d.orders, advice);
  const rules = d.rules.map((facts) => ruleStatus(facts, d, now));
  return {
    ...{ id: d.id, now, situation, danger, acts, rules },
    stage: stageOfBatch(d, now),
    isGone: isGone(situation) && danger.level !== 'fire',
    isLive: isLive(situation),
    main: rules[0] ?? null,
    course: courseOfBatch(d, situation, danger),
    next: withMoment(advice, acts),
    turnings: turningsOf(d, situation),
    age: ageOf(d),
    volumeM3: d.volumeM3,
    lastRead: d.latest,
    claim: claimOf(situation, now),
  };
}

const known = new WeakMap<BatchSnapshot, BatchStatus>();

/** The status of a batch at a moment. @param d with what its site gives it at that moment */
export function statusOfBatch(d: BatchSnapshot, now: Instant): BatchStatus {
  const held = known.get(d);
  if (held?.now === now) return held;
  const status = workOutStatus(d, now);
  known.set(d, status);
  return status;
}

/** When an act of a kind is to be done; null: nothing asks for it. */
export const actOf = (status: Pick<BatchStatus, 'acts'>, kind: ActKind): Act | null =>
  status.acts.find((act) => act.kind === kind) ?? null;
