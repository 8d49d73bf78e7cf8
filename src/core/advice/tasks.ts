import type { BatchId } from '../log/ids';
import type { LotDue } from '../lots/due';
import type { LoadDue } from '../mix/stock';
import { MS, type Instant } from '../quantity/instant';
import { actsOf, LOOK_MINUTES, type ActKind } from './acts';
import { GROUPS, type Group } from './groups';
import type { Advice } from './next';
import type { Order } from './orders';
import type { HeapFacts } from './situation';
/**
 * The day's work over all heaps as one ordered list: danger first, then runs about to be lost, then what is owed to a proof,
 * then the schedule, then chores. Minutes are rough figures of the trade (common practice): what matters is what does not fit.
 */
export type TaskKind = ActKind | 'chore' | 'probe-check' | 'load' | 'lot';

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

const CHECK_MINUTES = 10;
/** Further off than this it is not of today or tomorrow. */
const SIGHT_MS = 2 * MS.day;

/** How hot it was read; somebody smelled burning and nobody read it: the hottest of all. */
const heatOf = ({ advice, load }: Task): number =>
  advice?.code === 'TOO_HOT'
    ? (advice.hot.coreC ?? Number.MAX_VALUE)
    : (load?.c ?? -Number.MAX_VALUE);

const byOrder = (a: Task, b: Task): number =>
  GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group) ||
  (a.group === 'danger' ? heatOf(b) - heatOf(a) : 0) ||
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
  const tasks: Task[] = heaps.flatMap(({ id, code, name, facts, orders }) => {
    const acts = actsOf({ ...facts, now }, orders);
    const isHot = acts.some((act) => act.kind === 'hot');
    // What is too hot is read again as part of what is done about it.
    return acts
      .filter((act) => !(isHot && act.kind === 'read'))
      .map((act): Task => ({
        ...none,
        ...act,
        due: act.by,
        key: `${id}:${act.kind}`,
        batch: id,
        code,
        name,
        who: act.order?.who ?? null,
        overdue: act.by < now - MS.minute,
        chore: null,
      }));
  });
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
