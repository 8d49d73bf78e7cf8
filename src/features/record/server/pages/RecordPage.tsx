import { notFound } from 'next/navigation';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { recordScreen } from '../records';
import { RecordScreen } from '../../ui/RecordScreen';

export async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await loadPageContext()];
  const record = await recordScreen(s.site, id, s.now, s.unit);
  if (!record) notFound();
  return (
    <PageShell s={s} place="records" active={id}>
      <RecordScreen record={record} id={id} paper={s.unit === 'F' ? 'letter' : 'a4'} />
    </PageShell>
  );
}
