import { Crew } from '../../ui/Crew';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function CrewPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="crew">
      <Crew work={s.siteState.work} by={s.prefs.by} />
    </PageShell>
  );
}
