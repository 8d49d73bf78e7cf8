import { availableLabourAt, shareOut, type AvailableLabour, type Placed } from '../advice/labour';
import {
  tasksOf,
  type LotTask,
  type ProbeFacts,
  type ChoreFacts,
  type Task,
} from '../advice/tasks';
import { checkDue } from '../evidence/drift';
import type { SiteState } from '../log/fold';
import type { Work } from '../log/shapes';
import type { LoadDue } from '../mix/stock';
import { localParts, minutesOfClock, weekdayOf } from '../quantity/calendar';
import { MS, type Instant } from '../quantity/instant';
import type { BatchSnapshot } from '../snapshot/batch-snapshot';
import { cardOf } from '../snapshot/card';

/** What can be said of a site’s day, once: what is to be done, what is urgent, and whether the crew’s time is enough. */

/** Who is there for the rest of the day: `over`, the working day is; null, nobody said who works here. */
export type LabourToday = AvailableLabour | 'over' | null;

/** Whether today’s work fits. `lacking`: tasks that find no time, machine or driver. */
export type FitsStatus = {
  readonly code: 'nothing-due' | 'nobody-said' | 'over' | 'nobody-works' | 'not-all' | 'all';
  readonly lacking: readonly Task[];
  /** Minutes of work, and minutes that the crew has left. */ readonly minutes: number;
  readonly has: number;
};
export type SiteStatus = {
  /** Everything that falls due within two days, in the order in which it is to be done. */
  readonly tasks: readonly Task[];
  /** Of them what is due today and not postponed. */ readonly today: readonly Task[];
  /** Of today what cannot wait: danger, and counted time about to be lost. */ readonly urgent: readonly Task[];
  readonly labour: LabourToday;
  /** To whom each of today’s tasks falls. */ readonly placed: ReadonlyMap<string, Placed>;
  readonly fits: FitsStatus;
};
/** What else is due on a site: loads in stock and lots. */
type OtherDue = { readonly loads: readonly LoadDue[]; readonly lots: readonly LotTask[] };

/** Regular tasks and thermometer checks, from the site’s own entries. */
export function regularTasksOf(
  { work, chores, instruments, probes }: SiteState,
  now: Instant,
): { readonly chores: readonly ChoreFacts[]; readonly probes: readonly ProbeFacts[] } {
  return {
    chores: (work?.chores ?? []).map((c) => ({
      id: c.id,
      what: c.what,
      words: c.words ?? null,
      everyDays: c.everyDays,
      minutes: c.minutes,
      doneAt: chores.get(c.id)?.at ?? null,
    })),
    probes: [...instruments].flatMap(([name, i]) =>
      i?.out === undefined
        ? [{ name, due: checkDue(probes.get(name) ?? [], i?.checkDays) ?? now }]
        : [],
    ),
  };
}

/** Who is there for the rest of the day. */
export function availableLabourNow(work: Work | null, timeZone: string, now: Instant): LabourToday {
  if (!work) return null;
  const { weekday, minute } = weekdayOf(timeZone, now);
  return work.days.includes(weekday) && minute >= minutesOfClock(work.to)
    ? 'over'
    : availableLabourAt(work, weekday, minute);
}

const isToday = (timeZone: string, at: Instant, now: Instant): boolean =>
  at <= now ||
  (localParts(timeZone, at).day === localParts(timeZone, now).day && at - now < MS.day);

function fitsOf(
  today: readonly Task[],
  labour: LabourToday,
  placed: ReadonlyMap<string, Placed>,
): FitsStatus {
  const lacking = today.filter((t) => placed.get(t.key)?.lacks);
  const people = labour === null || labour === 'over' ? [] : labour.people;
  const fits = (code: FitsStatus['code']): FitsStatus => ({
    ...{ code, lacking },
    minutes: today.reduce((sum, t) => sum + t.minutes, 0),
    has: people.reduce((sum, q) => sum + q.minutes, 0),
  });
  if (today.length === 0) return fits('nothing-due');
  if (labour === 'over') return fits('over');
  if (labour === null) return fits('nobody-said');
  if (labour.people.length === 0) return fits('nobody-works');
  return fits(lacking.length > 0 ? 'not-all' : 'all');
}

/** The day of a site from its tasks. */
export function dayOfSite(
  tasks: readonly Task[],
  labour: LabourToday,
  timeZone: string,
  now: Instant,
): SiteStatus {
  const today = tasks.filter((t) => !t.deferred && isToday(timeZone, t.due, now));
  const there = labour === 'over' ? null : labour;
  const placed = new Map((there ? shareOut(today, there) : []).map((x) => [x.key, x]));
  return {
    ...{ tasks, today, labour, placed },
    urgent: today.filter((t) => t.group === 'danger' || t.group === 'losing'),
    fits: fitsOf(today, labour, placed),
  };
}

/** The status of a site at a moment. @param board with what the site gives its batches at that moment */
export const statusOfSite = (
  board: readonly BatchSnapshot[],
  siteState: SiteState,
  other: OtherDue,
  timeZone: string,
  now: Instant,
): SiteStatus =>
  dayOfSite(
    tasksOf(board.map(cardOf), { ...regularTasksOf(siteState, now), ...other }, now),
    availableLabourNow(siteState.work, timeZone, now),
    timeZone,
    now,
  );
