import { say } from '@/messages/say';
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { availableLabourAt, shareOut } from '@/core/advice/labour';
import type { Task } from '@/core/advice/tasks';
import type { SiteStatus } from '@/core/status/site-status';
import { taskWords, TASK_WORDS } from '@/telling/status/tasks';
import type { SiteState } from '@/core/log/fold';
import { weekdayOf } from '@/core/quantity/calendar';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';
import type { PlannedSite } from '../view';

/** One entry of the calendar. `key` stays the same from day to day, so that a phone moves it instead of showing it twice. */
export type FeedItem = {
  readonly key: string;
  readonly at: number;
  readonly minutes: number;
  readonly title: string;
  readonly words: string;
  readonly who: string | null;
};
/** What is to be done: today's tasks at their time, turnings on the days of the plan, each with who is to do it. */
export function feedItems(
  { plan, days }: PlannedSite,
  { work }: Pick<SiteState, 'work'>,
  status: Pick<SiteStatus, 'tasks'>,
  locale: Locale,
): FeedItem[] {
  const { timeZone, now } = locale;
  const tasks = status.tasks.filter((t) => t.kind !== 'turn' && !t.deferred);
  const today = work
    ? new Map(
        shareOut(tasks, availableLabourAt(work, weekdayOf(timeZone, now).weekday, null)).map(
          (p) => [p.key, p.who],
        ),
      )
    : new Map<string, string | null>();
  const at = (t: Task): number => Math.max(now, t.due);
  const items = tasks.map((t): FeedItem => {
    const w = taskWords(t, locale);
    return {
      key: t.key,
      at: at(t),
      minutes: t.minutes,
      title: t.batch ? `${t.name}: ${TASK_WORDS[t.kind]}` : w.act,
      words: [w.act, w.why, w.caution].filter(Boolean).join('. ').replace('..', '.'),
      who: today.get(t.key) ?? t.who,
    };
  });
  const turning = days.flatMap((d, i) => {
    const own = plan.jobs.filter((j) => j.day === i);
    const labour = work && availableLabourAt(work, weekdayOf(timeZone, d.work).weekday, null);
    const placed = labour
      ? shareOut(
          own.map((j) => ({ ...j, group: 'schedule' as const, who: null })),
          labour,
        )
      : [];
    return own.map((j): FeedItem => ({
      key: j.key,
      at: d.work,
      minutes: j.minutes,
      title: say('plan.turning', { name: j.name }),
      words: say('plan.owedtoNeededForRuleTake', { owed: j.owed ? 'owedTo' : 'other' }),
      who: placed.find((p) => p.key === j.key)?.who ?? null,
    }));
  });
  return [...items, ...turning].sort((a, b) => a.at - b.at || (a.key < b.key ? -1 : 1));
}

/** The tasks as an iCalendar file (RFC 5545). @param who only what is given to this person or to nobody; null: all of the site */
export function feedText(
  items: readonly FeedItem[],
  site: { id: string; name: string },
  who: string | null,
  now: number,
): string {
  const calendar = ical({
    name: who === null ? site.name : `${site.name}, ${who}`,
    prodId: { company: say('plan.zealousHeap'), product: say('plan.tasks') },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 3600,
  });
  for (const i of items.filter((x) => who === null || x.who === who || x.who === null)) {
    const event = calendar.createEvent({
      id: `${i.key}@${site.id}`,
      start: new Date(i.at),
      end: new Date(i.at + i.minutes * MS.minute),
      stamp: new Date(now),
      summary: i.who !== null && who === null ? `${i.title} (${i.who})` : i.title,
      description: i.words,
    });
    event.createAlarm({ type: ICalAlarmType.display, triggerBefore: 900 });
  }
  return calendar.toString();
}
