import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadPlan, viewOfPlan } from '../queries';
import { Plan } from '../../ui/Plan';
import { planFitsText } from '../../view';
import { loadSiteStatus } from './site-status';

export async function PlanPage() {
  const s = await loadPageContext();
  const plan = await loadPlan(s.site, s.board, s.siteState.work, s.asOf, s.now);
  const view = viewOfPlan(plan, s.locale);
  const { fits } = await loadSiteStatus(s);
  return (
    <PageShell s={s} place="plan">
      <Plan view={view} fits={planFitsText(view, fits)} by={s.prefs.by} feed="/calendar" />
    </PageShell>
  );
}
