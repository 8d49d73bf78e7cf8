import { parseBatchId } from '@/core/log/ids';
import { notFound } from 'next/navigation';
import { localInput } from '@/core/quantity/calendar';
import { buildingOf } from '../queries';
import { Build } from '../../ui/Build';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function BuildPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id: asked }, s] = [await params, await loadPageContext()];
  const id = parseBatchId(asked);
  if (id === null) notFound();
  const view = await buildingOf(id, s.site.id, s.board, s.locale);
  if (!view) notFound();
  return (
    <PageShell s={s} place="yard" active={id}>
      <Build view={view} by={s.prefs.by} nowLocal={localInput(s.site.timeZone, s.now)} />
    </PageShell>
  );
}
