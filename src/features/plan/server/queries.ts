import { currentLanguage } from '@/messages/say';
import { listJobs, scheduleTurnings, type WorkDay } from '@/core/advice/scheduler';
import { availableLabourAt, ROUND_MINUTES } from '@/core/advice/labour';
import type { HeapCard } from '@/core/advice/tasks';
import { cardOf } from '@/core/snapshot/card';
import { statusOfBatch } from '@/core/status/batch-status';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Work } from '@/core/log/shapes';
import { localDays, minutesOfClock, weekdayOf, zoneOf } from '@/core/quantity/calendar';
import { MS } from '@/core/quantity/instant';
import { createSharedWork } from '@/platform/memory';
import type { Site } from '@/db/repositories/site';
import type { Locale } from '@/core/words/note';
import { inWorkerThread } from '@/platform/worker-threads';
import { outlooksOf, planView, type PlannedSite, type PlanView } from '../view';
import { solve } from './solve';

const DAYS_AHEAD = 14;

/** Work is taken to begin an hour into the day where nobody said when it begins. */
const USUAL_START_MIN = 9.5 * 60;

/** The days ahead with what the crew and the machine have on each. */
export function daysAhead(work: Work | null, timeZone: string, now: number): WorkDay[] {
  const days = localDays(zoneOf(timeZone), now, now + (DAYS_AHEAD + 1) * MS.day).slice(
    0,
    DAYS_AHEAD,
  );
  const start = work ? minutesOfClock(work.from) + 60 : USUAL_START_MIN;
  return days.map((d, i) => {
    const at = d.start + start * MS.minute;
    const labour = work
      ? availableLabourAt(
          work,
          weekdayOf(timeZone, at).weekday,
          i === 0 ? weekdayOf(timeZone, now).minute : null,
        )
      : { people: [], machineMinutes: 0 };
    // What is left of today is planned from now on.
    return {
      start: d.start,
      work: i === 0 ? Math.max(at, Math.min(now, d.end - 1)) : at,
      crewMinutes: labour.people.reduce((sum, q) => sum + q.minutes, 0),
      machineMinutes: labour.machineMinutes,
    };
  });
}

/** What a plan is worked out of; it can be cloned from thread to thread. */
type PlanInputs = {
  readonly cards: readonly HeapCard[];
  /** How many are read each day. */ readonly liveBatches: number;
  readonly work: Work | null;
  readonly timeZone: string;
  readonly now: number;
};

/** The turnings of the days ahead, shared out, and what becomes of each heap by them. */
export async function workOutPlan({
  cards,
  liveBatches,
  work,
  timeZone,
  now,
}: PlanInputs): Promise<Pick<PlannedSite, 'days' | 'plan' | 'outlooks'>> {
  const days = daysAhead(work, timeZone, now);
  const rounds = liveBatches * ROUND_MINUTES;
  const chores = (work?.chores ?? []).reduce((sum, c) => sum + c.minutes / c.everyDays, 0);
  const plan = await scheduleTurnings(
    listJobs(cards, days, now),
    days,
    Math.round(rounds + chores),
    solve,
  );
  return { days, plan, outlooks: outlooksOf(cards, plan, days, now) };
}
const workOutBeside = inWorkerThread('planJob', workOutPlan);

/** The plan of the site as of a moment. */
export async function planOf(
  board: readonly BatchSnapshot[],
  work: Work | null,
  timeZone: string,
  now: number,
): Promise<PlannedSite> {
  const cards = board.map(cardOf);
  const liveBatches = board.filter((d) => statusOfBatch(d, now).isLive).length;
  return {
    now,
    board,
    cards,
    hasCrew: (work?.crew.length ?? 0) > 0,
    ...(await workOutBeside({ cards, liveBatches, work, timeZone, now })),
  };
}

/** So long a plan holds while nobody logs anything: turnings are planned by the day. */
const HOLDS_MS = 5 * MS.minute;
const plans = createSharedWork<PlannedSite>();

/** The plan of the site, worked out once for each change of the log, and anew after some minutes. @param asOf the hash of the log's last entry */
export function loadPlan(
  site: Site,
  board: readonly BatchSnapshot[],
  work: Work | null,
  asOf: string,
  now: number,
): Promise<PlannedSite> {
  const held = `${asOf} ${Math.floor(now / HOLDS_MS)}`;
  return plans(site.id, held, () => planOf(board, work, site.timeZone, now));
}

const views = new WeakMap<PlannedSite, Map<string, PlanView>>();

/** The plan as it is drawn and read, worked out once for each language and unit while the plan holds. */
export function viewOfPlan(plan: PlannedSite, locale: Locale): PlanView {
  const known = views.get(plan) ?? new Map<string, PlanView>();
  views.set(plan, known);
  const said = `${currentLanguage()} ${locale.unit}`;
  const view = known.get(said) ?? planView(plan, locale);
  known.set(said, view);
  return view;
}
