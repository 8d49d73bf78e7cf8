import { parseBatchId } from '@/core/log/ids';
import { notFound } from 'next/navigation';
import { dayText } from '@/core/quantity/format';
import { buildingOf } from '../queries';
import { BuildSheet } from '../../ui/BuildSheet';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function SheetPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id: asked }, s] = [await params, await loadPageContext()];
  const id = parseBatchId(asked);
  if (id === null) notFound();
  const view = await buildingOf(id, s.site.id, s.board, s.locale);
  if (!view) notFound();
  return (
    <PageShell s={s} place="yard" active={id}>
      <BuildSheet view={view} site={s.site.name} day={dayText(s.site.timeZone, s.now)} />
    </PageShell>
  );
}
