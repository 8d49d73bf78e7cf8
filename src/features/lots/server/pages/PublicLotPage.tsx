import { notFound } from 'next/navigation';
import { publicLotView } from '../../public-view';
import { PublicLot } from '../../ui/PublicLot';
import { lotsGiven } from '../queries';
import { loadPublicContext } from '@/features/frame/server/queries';

export async function PublicLotPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const s = await loadPublicContext(id);
  const view = publicLotView(await lotsGiven(s), s.site.name, id);
  if (!view) notFound();
  return <PublicLot view={view} />;
}
