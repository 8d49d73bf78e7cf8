import { say } from '@/messages/say';
import { loadCalendarContext } from '@/features/frame/server/queries';
import { feedItems, feedText } from '../feed';
import { loadPlan } from '../queries';
import { loadSiteStatus } from './site-status';

/** What is to be done as a calendar, for whoever has signed in or for a calendar with a key. */
export async function serveCalendar(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const s = await loadCalendarContext(asked.get('key'));
  if (!s) return new Response(`${say('plan.calendarKeyEnded')}\n`, { status: 401 });
  const who = asked.get('who');
  const plan = await loadPlan(s.site, s.board, s.siteState.work, s.asOf, s.now);
  const items = feedItems(plan, s.siteState, await loadSiteStatus(s), s.locale);
  return new Response(feedText(items, s.site, who === '' ? null : who, s.now), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="tasks.ics"',
      'cache-control': 'no-store',
    },
  });
}
