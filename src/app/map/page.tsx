import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { localInput } from '@/core/quantity/calendar';
import { placedHeaps } from '@/features/entry/server/queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { mapOf } from '@/features/map/server/queries';
import { MapBoard } from './MapBoard';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.map.name };

export default async function MapPage() {
  const s = await loadPageContext();
  const view = await mapOf(s.site.id, s.board, s.locale, s.prefs.volume);
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
