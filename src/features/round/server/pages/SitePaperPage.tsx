import { redirect } from 'next/navigation';
import { currentLanguage } from '@/messages/say';
import { localInput } from '@/core/quantity/calendar';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadOfflineRoundData } from '../queries';
import { SiteSheet } from '../../ui/SiteSheet';

/** Readings of all batches of the site that were taken on paper. */
export async function SitePaperPage() {
  const [s, data] = await Promise.all([loadPageContext(), loadOfflineRoundData()]);
  if (!data) redirect('/site');
  return (
    <PageShell s={s} place="paper">
      <SiteSheet
        heaps={data.heaps}
        instruments={data.instruments}
        unit={s.unit}
        by={s.prefs.by}
        nowLocal={localInput(s.site.timeZone, s.now)}
        dayFirst={currentLanguage() !== 'en'}
      />
    </PageShell>
  );
}
