import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { planOf } from '../queries';
import { Plan } from '../../ui/Plan';
import { planView } from '../../view';

export async function PlanPage() {
  const s = await loadPageContext();
  const { work } = s.siteState;
  const { plan, days, cards } = await planOf(s.board, work, s.site.timeZone, s.now);
  return (
    <PageShell s={s} place="plan">
      <Plan
        view={planView(plan, days, s.board, cards, (work?.crew.length ?? 0) > 0, s.locale)}
        by={s.prefs.by}
        feed="/calendar"
      />
    </PageShell>
  );
}
