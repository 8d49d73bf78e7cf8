import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { Loads } from '../../ui/Loads';
import { loadRows } from '../../view';
import { storeOf } from '../queries';

export async function LoadsPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="loads">
      <Loads rows={loadRows(await storeOf(s.site.id), s.locale)} />
    </PageShell>
  );
}
