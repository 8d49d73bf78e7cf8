import type { BatchId } from '../log/ids';
import type { Work } from '../log/shapes';
import type { LotDue } from '../lots/due';
import type { LoadDue } from '../mix/stock';
import { minutesOfClock } from '../quantity/calendar';
import { MS, type Instant } from '../quantity/instant';
import { lostItsHeat, mendNext, nextAdvice, readNext, turnNext, type Advice } from './next';
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

/**
 * The day's work over all heaps as one ordered list: danger first, then runs about to be lost, then what is owed to a proof,
 * then the schedule, then chores. Minutes are rough figures of the trade (common practice): what matters is what does not fit.
 */
export const GROUPS = ['danger', 'losing', 'owed', 'schedule', 'chore'] as const;
export type Group = (typeof GROUPS)[number];
export type TaskKind =
  'hot' | 'read' | 'turn' | 'water' | 'mend' | 'close' | 'chore' | 'probe-check' | 'load' | 'lot';

export type HeapCard = {
  readonly id: BatchId;
  readonly code: string;
  readonly name: string;
  readonly facts: HeapFacts;
  readonly orders: readonly Order[];
};
export type ChoreFacts = {
  readonly id: string;
  readonly what: string;
  readonly words: string | null;
  readonly everyDays: number;
  readonly minutes: number;
  readonly doneAt: Instant | null;
};
export type ProbeFacts = { readonly name: string; readonly due: Instant };

/** What a lot asks for, with what it is called and where it lies. */
export type LotTask = LotDue & { readonly name: string; readonly where: string | null };

export type Task = {
  /** Which task of which heap: orders and the calendar name it by this. */
  readonly key: string;
  readonly kind: TaskKind;
  readonly group: Group;
  readonly batch: BatchId | null;
  readonly code: string | null;
  readonly name: string;
  readonly due: Instant;
  /** After this something is lost, or the window is over; null: nothing says so. */
  readonly latest: Instant | null;
  readonly minutes: number;
  readonly machine: boolean;
  readonly who: string | null;
  readonly order: Order | null;
  /** Put off to a moment that has not come. */
  readonly deferred: boolean;
  readonly overdue: boolean;
  /** What it says; chores and checks have words of their own. */
  readonly advice: Advice | null;
  readonly chore: ChoreFacts | null;
  /** A load of the store that somebody must see to. */
  readonly load: LoadDue | null;
  /** A lot that cures, is tested or lies in store. */ readonly lot: LotTask | null;
  /** Credit that is lost if it is left, h; 0: none. */
  readonly atStakeHours: number;
};

/** A round of five places with half a minute each, the way there and the notes. */
export const ROUND_MINUTES = 6;
const LOOK_MINUTES = 10;
const CHECK_MINUTES = 10;
const MIN_TURN_MINUTES = 10;
/** Further off than this it is not of today or tomorrow. */
const SIGHT_MS = 2 * MS.day;

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

type Draft = Pick<Task, 'kind' | 'group' | 'due' | 'latest' | 'minutes' | 'advice'> &
  Partial<Pick<Task, 'machine' | 'atStakeHours'>>;

/** What one heap asks for. */
function draftsOf(s: Situation): Draft[] {
  const drafts: Draft[] = [];
  if (isGone(s)) return drafts;
  const next = nextAdvice(s);
  const hot = hotOf(s);
  if (next.code === 'TOO_HOT' && hot) {
    const turns = hot.choices.includes('turn');
    drafts.push({
      kind: 'hot',
      group: 'danger',
      due: Math.min(s.now, hot.followUpAt),
      latest: hot.followUpAt,
      minutes: (turns ? turnMinutes(s) : 0) + LOOK_MINUTES,
      machine: turns && s.template.machine,
      advice: next,
      atStakeHours: 0,
    });
    return drafts;
  }
  if (s.stage.code === 'on-hold') return drafts;
  if (s.stage.code === 'building')
    return [
      {
        kind: 'close',
        group: 'schedule',
        due: s.now,
        latest: null,
        minutes: LOOK_MINUTES,
        advice: next,
      },
    ];
  const { proof } = s;
  if (isSaidDone(s) && !isLive(s)) {
    const read = readNext(s);
    if (next.code === 'WATER')
      drafts.push({
        kind: 'water',
        group: 'schedule',
        due: s.now,
        latest: null,
        minutes: Math.round(next.water.now.minutes) + 5,
        advice: next,
      });
    return [
      ...drafts,
      {
        kind: 'read',
        group: 'schedule',
        due: read.due,
        latest: null,
        minutes: ROUND_MINUTES,
        advice: read,
      },
    ];
  }
  const read: Advice | null =
    next.code === 'PROVEN_MOVE_ON' ? null : READS.has(next.code) ? next : readNext(s);
  if (read && 'due' in read) {
    const losing = read.code === 'READ_BEFORE_LOST' || read.code === 'READ_RECOVERING';
    drafts.push({
      kind: 'read',
      group: losing ? 'losing' : proof.status === 'running' ? 'owed' : 'schedule',
      due: read.due,
      latest: losing ? read.due : null,
      minutes: ROUND_MINUTES,
      advice: read,
      atStakeHours: losing ? proof.creditedHours : 0,
    });
  }
  const mend =
    isLive(s) && s.stage.code !== 'dormant' && proof.status !== 'proven' ? mendNext(s) : null;
  const turn =
    proof.status === 'proven' || (lostItsHeat(mend) && proof.status !== 'running')
      ? null
      : turnNext(s);
  if (turn) {
    const saves = turn.waiting?.code === 'RUN_WOULD_END';
    const owed =
      turn.by === 'rule' || turn.reasons.some((r) => r.code === 'OWED' || r.code === 'STAGE_DONE');
    drafts.push({
      kind: 'turn',
      group: saves && turn.due - s.now < MS.day ? 'losing' : owed ? 'owed' : 'schedule',
      due: turn.due,
      latest: turn.latest,
      minutes: turnMinutes(s),
      machine: s.template.machine,
      advice: turn,
      atStakeHours: saves ? proof.creditedHours : 0,
    });
  }
  const water = waterOf(s);
  // Water is given with a turning that is near.
  const withTurn = turn !== null && turn.due - s.now < MS.day / 2;
  const works = isLive(s) && s.stage.code !== 'dormant' && proof.status !== 'proven';
  if (next.code === 'WATER' || (works && mend?.symptom === 'DRY' && water.code === 'WATER')) {
    if (!withTurn && water.code === 'WATER')
      drafts.push({
        kind: 'water',
        group: proof.status === 'running' ? 'owed' : 'schedule',
        due: s.now,
        latest: null,
        minutes: Math.round(water.now.minutes) + 5,
        advice: { code: 'WATER', due: s.now, water },
      });
  } else if (mend !== null && mend.symptom !== 'DRY' && !(mend.fix === 'turn' && turn))
    drafts.push({
      kind: 'mend',
      group: 'schedule',
      due: mend.due,
      latest: null,
      minutes: 30,
      advice: mend,
    });
  return drafts;
}

const byOrder = (a: Task, b: Task): number =>
  GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group) ||
  b.atStakeHours - a.atStakeHours ||
  a.due - b.due ||
  (a.latest ?? a.due) - (b.latest ?? b.due) ||
  (a.key < b.key ? -1 : 1);

/** A lot to be seen to, as a task of the day. */
const lotTask = (l: LotTask, now: Instant): Task => ({
  key: `lot:${l.lot}:${l.code}:${l.test ?? ''}`,
  kind: 'lot',
  // A day of a test that goes by unread cannot be made up for.
  group: l.code === 'read-reheat' ? 'losing' : 'chore',
  ...{ batch: null, code: null, name: l.name, due: l.due, latest: null, minutes: LOOK_MINUTES },
  ...{ who: null, order: null, deferred: false, machine: false, atStakeHours: 0 },
  ...{ advice: null, chore: null, load: null, lot: l },
  overdue: l.due < now - MS.day,
});

/** Everything that falls due within two days, in the order in which it is to be done. What was put off stands behind what was not. */
export function tasksOf(
  heaps: readonly HeapCard[],
  site: {
    readonly chores: readonly ChoreFacts[];
    readonly probes: readonly ProbeFacts[];
    readonly loads?: readonly LoadDue[];
    readonly lots?: readonly LotTask[];
  },
  now: Instant,
): Task[] {
  const none = { machine: false, atStakeHours: 0, load: null, lot: null };
  const tasks: Task[] = heaps.flatMap(({ id, code, name, facts, orders }) =>
    draftsOf({ ...facts, now }).map((d): Task => {
      const order = orders.find((o) => o.task === d.kind) ?? null;
      const deferred = order?.defer != null && order.defer.until > now && d.group !== 'danger';
      const due = order?.day != null && order.day > now ? order.day : d.due;
      return {
        ...none,
        ...d,
        due,
        key: `${id}:${d.kind}`,
        batch: id,
        code,
        name,
        who: order?.who ?? null,
        order,
        deferred,
        overdue: due < now - MS.minute,
        chore: null,
      };
    }),
  );
  for (const c of site.chores) {
    const due = c.doneAt === null ? now : c.doneAt + c.everyDays * MS.day;
    tasks.push({
      ...none,
      key: `chore:${c.id}`,
      kind: 'chore',
      group: 'chore',
      batch: null,
      code: null,
      name: c.words ?? c.what,
      due,
      latest: null,
      minutes: c.minutes,
      who: null,
      order: null,
      deferred: false,
      overdue: due < now - MS.day,
      advice: null,
      chore: c,
    });
  }
  for (const p of site.probes)
    tasks.push({
      ...none,
      key: `probe:${p.name}`,
      kind: 'probe-check',
      group: 'chore',
      batch: null,
      code: null,
      name: p.name,
      due: p.due,
      latest: null,
      minutes: CHECK_MINUTES,
      who: null,
      order: null,
      deferred: false,
      overdue: p.due < now,
      advice: null,
      chore: null,
    });
  for (const l of site.loads ?? [])
    tasks.push({
      ...none,
      key: `load:${l.id}:${l.what}`,
      kind: 'load',
      group: l.level === 'danger' ? 'danger' : 'chore',
      batch: null,
      code: null,
      name: l.name,
      due: l.due,
      latest: null,
      minutes: LOOK_MINUTES,
      who: null,
      order: null,
      deferred: false,
      overdue: l.due < now - MS.day,
      advice: null,
      chore: null,
      load: l,
    });
  tasks.push(...(site.lots ?? []).map((l) => lotTask(l, now)));
  return tasks
    .filter((t) => t.due - now < SIGHT_MS)
    .sort((a, b) => Number(a.deferred) - Number(b.deferred) || byOrder(a, b));
}

/** Who is there today, until when, and how much of it is left. */
export type AvailableLabour = {
  readonly people: readonly {
    readonly name: string;
    readonly minutes: number;
    readonly drives: boolean;
  }[];
  readonly machineMinutes: number;
};
export type Placed = {
  readonly key: string;
  readonly who: string | null;
  /** It does not fit: for want of people's time or of the machine's. */ readonly lacks:
    'time' | 'machine' | 'driver' | null;
};

/**
 * Gives the tasks of a day to its people in their order: whoever was named, else whoever has most time left; the machine only
 * to those who drive. Danger is always given to somebody; what finds no time is told.
 */
export function shareOut(
  tasks: readonly Pick<Task, 'key' | 'group' | 'minutes' | 'machine' | 'who'>[],
  labour: AvailableLabour,
): Placed[] {
  const left = labour.people.map((p) => ({ ...p }));
  let machine = labour.machineMinutes;
  return tasks.map((t): Placed => {
    if (t.machine && t.group !== 'danger' && machine < t.minutes)
      return { key: t.key, who: null, lacks: 'machine' };
    const able = left.filter((p) => !t.machine || p.drives);
    if (able.length === 0)
      return { key: t.key, who: null, lacks: left.length > 0 ? 'driver' : 'time' };
    const named = able.find((p) => p.name === t.who);
    const who = named ?? able.reduce((a, p) => (p.minutes > a.minutes ? p : a));
    if (who.minutes < t.minutes && t.group !== 'danger')
      return { key: t.key, who: named?.name ?? null, lacks: 'time' };
    who.minutes -= t.minutes;
    if (t.machine) machine -= t.minutes;
    return { key: t.key, who: who.name, lacks: null };
  });
}

/**
 * The hands of a day. @param weekday 1 Monday to 7 Sunday @param minuteOfDay how far the day is, for the day that runs; null: a day to come
 */
export function availableLabourAt(
  work: Work,
  weekday: number,
  minuteOfDay: number | null,
): AvailableLabour {
  if (!work.days.includes(weekday)) return { people: [], machineMinutes: 0 };
  const [from, to] = [minutesOfClock(work.from), minutesOfClock(work.to)];
  const share =
    minuteOfDay === null ? 1 : Math.max(0, Math.min(1, (to - minuteOfDay) / (to - from)));
  return {
    people: work.crew.map((p) => ({
      name: p.name,
      minutes: Math.round(p.hoursPerDay * 60 * share),
      drives: p.drives,
    })),
    machineMinutes: work.machine?.days.includes(weekday)
      ? Math.round(work.machine.hoursPerDay * 60 * share)
      : 0,
  };
}
