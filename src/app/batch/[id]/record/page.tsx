import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { recordScreen } from '@/features/record/server/records';
import { RecordScreen } from '@/features/record/ui/RecordScreen';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Heat-treatment record' };

export default async function RecordPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await loadPageContext()];
  const record = await recordScreen(s.site, id, s.now, s.unit);
  if (!record) notFound();
  return (
    <PageShell s={s} place="records" active={id}>
      <RecordScreen record={record} id={id} paper={s.unit === 'F' ? 'letter' : 'a4'} />
    </PageShell>
  );
}
