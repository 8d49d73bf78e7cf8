import type { Work } from '../log/shapes';
import { minutesOfClock } from '../quantity/calendar';
import type { Group } from './groups';

/** The crew’s time and the work that is shared out over it. Minutes are rough figures of the trade (common practice). */

/** A round of five places with half a minute each, the way there and the notes. */
export const ROUND_MINUTES = 6;

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

/** A task as it is shared out. */
type Shared = {
  readonly key: string;
  readonly group: Group;
  readonly minutes: number;
  readonly machine: boolean;
  readonly who: string | null;
};

/**
 * Gives the tasks of a day to its people in their order: whoever was named, else whoever has most time left; the machine only
 * to those who drive. Danger is always given to somebody; of the rest each says what it lacks.
 */
export function shareOut(tasks: readonly Shared[], labour: AvailableLabour): Placed[] {
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
 * People and machine time of a day. @param weekday 1 Monday to 7 Sunday @param minuteOfDay how far the day is, for the day that runs; null: a day to come
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
