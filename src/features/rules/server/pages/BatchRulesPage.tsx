import { parseBatchId } from '@/core/log/ids';
import { notFound } from 'next/navigation';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { batchTermsScreen } from '../queries';
import { BatchTerms } from '../../ui/BatchTerms';

export async function BatchRulesPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id: asked }, s] = [await params, await loadPageContext()];
  const id = parseBatchId(asked);
  if (id === null) notFound();
  const screen = await batchTermsScreen(id, s.site, s.locale);
  if (!screen) notFound();
  return (
    <PageShell s={s} place="yard" active={id}>
      <BatchTerms key={screen.columns.length} {...screen} id={id} by={s.prefs.by} unit={s.unit} />
    </PageShell>
  );
}
