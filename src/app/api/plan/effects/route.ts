import { loadPageContext } from '@/features/frame/server/queries';
import { loadPlan } from '@/features/plan/server/queries';
import { dayEffects } from '@/features/plan/view';

export const dynamic = 'force-dynamic';

/** `?turning=key`: what a turning of the plan does on each of the fourteen days. */
export async function GET(request: Request): Promise<Response> {
  const s = await loadPageContext();
  const plan = await loadPlan(s.site, s.board, s.siteState.work, s.asOf, s.now);
  const key = new URL(request.url).searchParams.get('turning') ?? '';
  const effects = dayEffects(plan, key, s.site.timeZone);
  return Response.json(effects, { status: effects ? 200 : 404 });
}
