import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadPlan, viewOfPlan } from '../queries';
import { Plan } from '../../ui/Plan';

export async function PlanPage() {
  const s = await loadPageContext();
  const plan = await loadPlan(s.site, s.board, s.siteState.work, s.asOf, s.now);
  return (
    <PageShell s={s} place="plan">
      <Plan view={viewOfPlan(plan, s.locale)} by={s.prefs.by} feed="/calendar" />
    </PageShell>
  );
}
