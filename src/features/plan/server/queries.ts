import { solve as yalps, type Constraint } from 'yalps';
import { jobsAhead, planAhead, ROUND_MINUTES_A_DAY, type AheadDay, type Solve } from '@/core/advice/ahead';
import { isLive } from '@/core/advice/situation';
import { handsOf } from '@/core/advice/tasks';
import { cardOf } from '@/core/digest/card';
import type { Digest } from '@/core/digest/digest';
import type { Work } from '@/core/log/shapes';
import { localDays, minutesOfClock, weekdayOf, zoneOf } from '@/core/quantity/calendar';
import { MS } from '@/core/quantity/instant';

/** As long as a page may wait for a better plan. */
const PATIENCE_MS = 1500;
export const DAYS_AHEAD = 14;

/** The integer programme by branch and cut (YALPS). */
export const solve: Solve = ({ variables, constraints }) => {
  const solution = yalps({
    direction: 'minimize', objective: 'cost',
    constraints: new Map<string, Constraint>(constraints.map(({ name, ...bounds }) => [name, bounds])),
    variables: new Map(variables.map((v) => [v.name, new Map<string, number>([['cost', v.cost], ...v.in])])),
    binaries: variables.filter((v) => v.binary).map((v) => v.name),
  }, { timeout: PATIENCE_MS, tolerance: 0.01 });
  return (solution.status === 'optimal' || solution.status === 'timedout') && Number.isFinite(solution.result) ? new Map(solution.variables) : null;
};

/** Work is taken to begin an hour into the day where nobody said when it begins. */
const USUAL_START_MIN = 9.5 * 60;

/** The days ahead with what the crew and the machine have on each. */
export function daysAhead(work: Work | null, timeZone: string, now: number): AheadDay[] {
  const days = localDays(zoneOf(timeZone), now, now + (DAYS_AHEAD + 1) * MS.day).slice(0, DAYS_AHEAD);
  const start = work ? minutesOfClock(work.from) + 60 : USUAL_START_MIN;
  return days.map((d, i) => {
    const at = d.start + start * MS.minute;
    const hands = work ? handsOf(work, weekdayOf(timeZone, at).weekday, i === 0 ? weekdayOf(timeZone, now).minute : null) : { people: [], machineMinutes: 0 };
    // What is left of today is planned from now on.
    return { start: d.start, work: i === 0 ? Math.max(at, Math.min(now, d.end - 1)) : at, crewMinutes: hands.people.reduce((sum, q) => sum + q.minutes, 0), machineMinutes: hands.machineMinutes };
  });
}

/** The plan of the site as it stands. */
export function planOf(board: readonly Digest[], work: Work | null, timeZone: string, now: number) {
  const days = daysAhead(work, timeZone, now);
  const cards = board.map(cardOf);
  const rounds = board.filter((d) => isLive(d.situation)).length * ROUND_MINUTES_A_DAY;
  const chores = (work?.chores ?? []).reduce((sum, c) => sum + c.minutes / c.everyDays, 0);
  return { days, cards, plan: planAhead(jobsAhead(cards, days, now), days, Math.round(rounds + chores), solve) };
}
