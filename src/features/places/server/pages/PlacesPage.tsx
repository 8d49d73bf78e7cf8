import { parseBatchId } from '@/core/log/ids';
import { notFound } from 'next/navigation';
import { localInput } from '@/core/quantity/calendar';
import { placesScreen } from '../queries';
import { Places } from '../../ui/Places';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function PlacesPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id: asked }, s] = [await params, await loadPageContext()];
  const id = parseBatchId(asked);
  if (id === null) notFound();
  const p = await placesScreen(id, s.site, s.board);
  if (!p) notFound();
  const heap = {
    id,
    name: p.name,
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
  };
  return (
    <PageShell s={s} place="yard" active={id}>
      <Places key={JSON.stringify(p)} heap={heap} screen={p.screen} placed={p.placed} />
    </PageShell>
  );
}
