import type { Metadata } from 'next';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';
import { planOf } from '@/features/plan/server/queries';
import { Plan } from '@/features/plan/ui/Plan';
import { planView } from '@/features/plan/view';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage() {
  const s = await setting();
  const { work } = s.siteState;
  const { plan, days, cards } = await planOf(s.board, work, s.site.timeZone, s.now);
  return (
    <FrameFor s={s} place="Plan">
      <Plan
        view={planView(plan, days, s.board, cards, (work?.crew.length ?? 0) > 0, s.locale)}
        by={s.prefs.by}
        feed="/calendar"
      />
    </FrameFor>
  );
}
