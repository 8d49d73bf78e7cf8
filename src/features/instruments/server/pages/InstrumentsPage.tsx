import { localInput } from '@/core/quantity/calendar';
import { instrumentScreen } from '../queries';
import { Instruments } from '../../ui/Instruments';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function InstrumentsPage() {
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
