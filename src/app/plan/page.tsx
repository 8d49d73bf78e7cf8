import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { planOf } from '@/features/plan/server/queries';
import { Plan } from '@/features/plan/ui/Plan';
import { planView } from '@/features/plan/view';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.plan.name };

export default async function PlanPage() {
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
