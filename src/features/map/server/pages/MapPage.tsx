import { localInput } from '@/core/quantity/calendar';
import { placedHeaps } from '@/entry/placed';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { lotsGiven } from '@/features/lots/server/queries';
import { lotPiles } from '@/features/lots/view';
import { mapOf } from '../queries';
import { MapBoard } from '../../ui/MapBoard';

export async function MapPage() {
  const s = await loadPageContext();
  const view = await mapOf(s.site.id, s.board, s.locale, lotPiles(await lotsGiven(s)));
  return (
    <PageShell s={s} place="map">
      <MapBoard
        key={view.version ?? 'first'}
        view={view}
        heap={{
          by: s.prefs.by,
          nowLocal: localInput(s.site.timeZone, s.now),
          unit: s.unit,
          placed: placedHeaps(s.board),
        }}
      />
    </PageShell>
  );
}
