import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { localInput } from '@/core/quantity/calendar';
import { instrumentScreen } from '@/features/entry/server/instruments';
import { Instruments } from '@/features/entry/ui/Instruments';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.instruments.name };

export default async function InstrumentsPage() {
  const s = await loadPageContext();
  const site = {
    id: '',
    name: s.site.name,
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
  };
  return (
    <PageShell s={s} place="instruments">
      <Instruments {...await instrumentScreen(s.site, s.locale)} site={site} now={s.now} />
    </PageShell>
  );
}
