import { Stock } from '../../ui/Stock';
import { stockView } from '../../view';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { storeOf } from '../queries';

export async function StorePage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="store">
      <Stock view={stockView(await storeOf(s.site.id), s.locale)} />
    </PageShell>
  );
}
