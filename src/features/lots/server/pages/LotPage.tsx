import { notFound } from 'next/navigation';
import { LotScreen } from '../../ui/LotScreen';
import { lotPageView } from '../../view';
import { lotRefOf, lotsGiven } from '../queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function LotPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await loadPageContext()];
  const given = await lotsGiven(s);
  const page = lotPageView(given, id);
  if (!page) notFound();
  return (
    <PageShell s={s} place="lots">
      <LotScreen page={page} lot={lotRefOf(s, given, id)} />
    </PageShell>
  );
}
