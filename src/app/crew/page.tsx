import type { Metadata } from 'next';
import { Crew } from '@/features/day/ui/Crew';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Crew' };

export default async function CrewPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="Crew">
      <Crew work={s.siteState.work} by={s.prefs.by} />
    </PageShell>
  );
}
