import { Season } from '../../ui/Season';
import { lotsGiven } from '../queries';
import { seasonOf } from '../season';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function SeasonPage({ searchParams }: { searchParams: Promise<{ year?: string }> }) {
  const [{ year }, s] = [await searchParams, await loadPageContext()];
  return (
    <PageShell s={s} place="season">
      <Season view={seasonOf(await lotsGiven(s), year)} />
    </PageShell>
  );
}
