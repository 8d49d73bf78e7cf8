import { roundsOfSite } from '@/features/day/view';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadPlan } from '@/features/plan/server/queries';
import { feedItems, feedText } from '@/features/plan/server/feed';

export async function GET(request: Request): Promise<Response> {
  const s = await loadPageContext();
  const who = new URL(request.url).searchParams.get('who');
  const plan = await loadPlan(s.site, s.board, s.siteState.work, s.asOf, s.now);
  const items = feedItems(plan, s.siteState, roundsOfSite(s.siteState, s.now), s.locale);
  return new Response(feedText(items, s.site, who === '' ? null : who, s.now), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="tasks.ics"',
      'cache-control': 'no-store',
    },
  });
}
