import { notFound } from 'next/navigation';
import { currentLanguage } from '@/messages/say';
import { localInput } from '@/core/quantity/calendar';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadOfflineRoundData } from '../queries';
import { PaperSheet } from '../../ui/PaperSheet';

/** Readings of a batch that were taken on paper. */
export async function PaperPage({ params }: { params: Promise<{ readonly id: string }> }) {
  const [{ id }, s, data] = await Promise.all([params, loadPageContext(), loadOfflineRoundData()]);
  const heap = data?.heaps.find((h) => h.id === id);
  if (!data || !heap) notFound();
  return (
    <PageShell s={s} place="round" active={id}>
      <PaperSheet
        heap={{ id, name: heap.name }}
        places={heap.places}
        instruments={data.instruments}
        probe={heap.probe}
        unit={s.unit}
        by={s.prefs.by}
        nowLocal={localInput(s.site.timeZone, s.now)}
        dayFirst={currentLanguage() !== 'en'}
      />
    </PageShell>
  );
}
