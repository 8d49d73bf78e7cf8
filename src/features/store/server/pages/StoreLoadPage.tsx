import { parseLoadId } from '@/core/log/ids';
import { notFound } from 'next/navigation';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadOf } from '../queries';
import { LoadScreen } from '../../ui/LoadScreen';

export async function StoreLoadPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await loadPageContext()];
  const loadId = parseLoadId(id);
  const load = loadId && (await loadOf(loadId, s.site.id, s.board, s.locale));
  if (!load) notFound();
  return (
    <PageShell s={s} place="store">
      <LoadScreen load={load} by={s.prefs.by} unit={s.unit} mayAccept={s.records} />
    </PageShell>
  );
}
