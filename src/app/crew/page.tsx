import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { Crew } from '@/features/day/ui/Crew';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.crew.name };

export default async function CrewPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="crew">
      <Crew work={s.siteState.work} by={s.prefs.by} />
    </PageShell>
  );
}
