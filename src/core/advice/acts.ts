import { MS, type Instant } from '../quantity/instant';
import { lostItsHeat, mendNext, nextAdvice, readNext, turnNext, type Advice } from './next';
import type { Group } from './groups';
import { ROUND_MINUTES } from './labour';
import type { Order } from './orders';
import {
  hotOf,
  isGone,
  isLive,
  isSaidDone,
  waterOf,
  type HeapFacts,
  type Situation,
} from './situation';

export type ActKind = 'hot' | 'read' | 'turn' | 'water' | 'mend' | 'close';
/** Who asks for an act: somebody may be hurt, a rule, the method, or a person who set its day. */
type AskedBy = 'danger' | 'rule' | 'method' | 'person';

/** One thing that is to be done with a batch, with the one moment by which every page shows it. */
export type Act = {
  readonly kind: ActKind;
  readonly group: Group;
  readonly askedBy: AskedBy;
  readonly by: Instant;
  /** When it would be due had nobody moved it. */ readonly asAsked: Instant;
  /** After this something is lost, or the window is over; null: nothing says so. */
  readonly latest: Instant | null;
  /** A person’s minutes; rough figures of the trade (common practice). */ readonly minutes: number;
  readonly machine: boolean;
  readonly advice: Advice;
  /** Counted time that is lost if it is left, h; 0: none. */ readonly atStakeHours: number;
  readonly order: Order | null;
  /** Postponed to a moment that has not come. */ readonly deferred: boolean;
};
type Draft = Pick<Act, 'kind' | 'group' | 'askedBy' | 'by' | 'latest' | 'minutes' | 'advice'> &
  Partial<Pick<Act, 'machine' | 'atStakeHours'>>;

export const LOOK_MINUTES = 10;
const MEND_MINUTES = 30;
const SQUEEZE_MINUTES = 5;
const MIN_TURN_MINUTES = 10;
/** Water is given with a turning that is so near. */
const WITH_TURN_MS = MS.day / 2;

/** A person's minutes that turning it takes, by its volume and method; 3 m³ where its size is not known. */
export const turnMinutes = (f: Pick<HeapFacts, 'volumeM3' | 'template'>): number =>
  Math.max(MIN_TURN_MINUTES, Math.round((f.volumeM3 ?? 3) * f.template.minutesPerM3));

const READS: ReadonlySet<Advice['code']> = new Set([
  'READ_AFTER_TURN',
  'READ_BEFORE_LOST',
  'READ_RECOVERING',
  'KEEP_READING',
  'WAIT_FOR_HEAT',
  'READ_RUN_DOWN',
  'READ_QUIET',
  'ASLEEP',
  'FIND_OUT_WHY',
]);

/** What is too hot: cooled now, or kept away from, and read again. */
function hotActs(s: Situation, next: Advice): Draft[] | null {
  const hot = hotOf(s);
  if (next.code !== 'TOO_HOT' || !hot) return null;
  const turns = hot.choices.includes('turn');
  const danger = {
    group: 'danger',
    askedBy: 'danger',
    advice: next,
    latest: hot.followUpAt,
  } as const;
  return [
    {
      ...danger,
      kind: 'hot',
      by: hot.answeredAt !== null ? hot.followUpAt : Math.min(s.now, hot.followUpAt),
      minutes: (turns ? turnMinutes(s) : 0) + LOOK_MINUTES,
      machine: turns && s.template.machine,
    },
    { ...danger, kind: 'read', by: hot.followUpAt, minutes: ROUND_MINUTES },
  ];
}

function readAct(s: Situation, next: Advice): Draft | null {
  const advice = READS.has(next.code) ? next : readNext(s);
  if (!('due' in advice)) return null;
  const losing = advice.code === 'READ_BEFORE_LOST' || advice.code === 'READ_RECOVERING';
  const counts = s.proof.status === 'running';
  return {
    kind: 'read',
    group: losing ? 'losing' : counts ? 'owed' : 'schedule',
    askedBy: losing || counts ? 'rule' : 'method',
    by: advice.due,
    latest: losing ? advice.due : null,
    minutes: ROUND_MINUTES,
    advice,
    atStakeHours: losing ? s.proof.creditedHours : 0,
  };
}

function turnAct(s: Situation, mend: ReturnType<typeof mendNext>): Draft | null {
  const { proof } = s;
  if (proof.status === 'proven' || (lostItsHeat(mend) && proof.status !== 'running')) return null;
  const turn = turnNext(s);
  if (!turn) return null;
  const saves = turn.waiting?.code === 'RUN_WOULD_END';
  const losing = saves && turn.due - s.now < MS.day;
  const owed =
    turn.by === 'rule' || turn.reasons.some((r) => r.code === 'OWED' || r.code === 'STAGE_DONE');
  return {
    kind: 'turn',
    group: losing ? 'losing' : owed ? 'owed' : 'schedule',
    askedBy: losing || owed ? 'rule' : 'method',
    by: turn.due,
    latest: turn.latest,
    minutes: turnMinutes(s),
    machine: s.template.machine,
    advice: turn,
    atStakeHours: saves ? proof.creditedHours : 0,
  };
}

const waterAct = (s: Situation, water: Extract<Advice, { code: 'WATER' }>['water']): Draft => ({
  kind: 'water',
  group: s.proof.status === 'running' ? 'owed' : 'schedule',
  askedBy: s.proof.status === 'running' ? 'rule' : 'method',
  by: s.now,
  latest: null,
  minutes: Math.round(water.now.minutes) + SQUEEZE_MINUTES,
  advice: { code: 'WATER', due: s.now, water },
});

/** Another squeeze, where it was logged as dry and its rule counts moist time only. */
const squeezeAct = (next: Extract<Advice, { code: 'SQUEEZE_AGAIN' }>): Draft => ({
  ...{ kind: 'water', group: 'owed', askedBy: 'rule', by: next.due, latest: null },
  minutes: SQUEEZE_MINUTES,
  advice: next,
});
const mendAct = (mend: Extract<Advice, { code: 'MEND' }>): Draft => ({
  ...{ kind: 'mend', group: 'schedule', askedBy: 'method', by: mend.due, latest: null },
  minutes: MEND_MINUTES,
  advice: mend,
});

/** Water, another squeeze, or what would put it right. */
function careActs(
  s: Situation,
  next: Advice,
  mend: ReturnType<typeof mendNext>,
  turn: Draft | null,
): Draft[] {
  if (next.code === 'SQUEEZE_AGAIN') return [squeezeAct(next)];
  const water = waterOf(s);
  const isDry = mend?.symptom === 'DRY';
  if (next.code === 'WATER' || (isDry && water.code === 'WATER')) {
    const withTurn = turn !== null && turn.by - s.now < WITH_TURN_MS;
    return !withTurn && water.code === 'WATER' ? [waterAct(s, water)] : [];
  }
  return mend === null || isDry || (mend.fix === 'turn' && turn) ? [] : [mendAct(mend)];
}

/** What a batch asks for, as if nobody had moved any of it; at most one of each kind. */
function draftsOf(s: Situation, next: Advice): Draft[] {
  const hot = hotActs(s, next);
  if (hot) return hot;
  if (isGone(s) || s.stage.held) return [];
  if (s.stage.code === 'building')
    return [
      {
        ...{ kind: 'close', group: 'schedule', askedBy: 'method', by: s.now, latest: null },
        minutes: LOOK_MINUTES,
        advice: next,
      },
    ];
  const read = readAct(s, next);
  const reading = read ? [read] : [];
  if (isSaidDone(s) && !isLive(s))
    return next.code === 'WATER' ? [waterAct(s, next.water), ...reading] : reading;
  const works = isLive(s) && s.stage.code !== 'dormant' && s.proof.status !== 'proven';
  const mend = works ? mendNext(s) : null;
  const turn = turnAct(s, mend);
  return [...reading, ...(turn ? [turn] : []), ...careActs(s, next, mend, turn)];
}

/**
 * When an act is due after what people said of it. What a method or a person asks for is moved as they say; what a rule asks
 * for only as far as nothing is lost; what danger asks for never.
 */
function movedBy(
  d: Draft,
  order: Order | null,
  now: Instant,
): Pick<Act, 'by' | 'deferred' | 'askedBy'> {
  const stays = { by: d.by, deferred: false, askedBy: d.askedBy };
  if (d.askedBy === 'danger' || order === null) return stays;
  const until = order.defer !== null && order.defer.until > now ? order.defer.until : null;
  const day = order.day !== null && order.day > now ? order.day : null;
  const asked = until ?? day;
  if (asked === null) return stays;
  if (d.askedBy === 'rule' && d.latest !== null && asked > d.latest)
    return { ...stays, by: d.latest };
  return { by: asked, deferred: until !== null, askedBy: d.askedBy === 'rule' ? 'rule' : 'person' };
}

/** What a batch asks for, at most one act of each kind, each with the one moment by which it is to be done. */
export function actsOf(s: Situation, orders: readonly Order[], next = nextAdvice(s)): Act[] {
  return draftsOf(s, next).map((d): Act => {
    const order = orders.find((o) => o.task === d.kind) ?? null;
    return {
      ...{ machine: false, atStakeHours: 0, asAsked: d.by },
      ...d,
      ...movedBy(d, order, s.now),
      order,
    };
  });
}
