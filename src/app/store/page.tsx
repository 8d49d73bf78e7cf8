import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { Stock } from '@/features/store/ui/Stock';
import { stockView } from '@/features/store/view';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { storeOf } from '@/features/store/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.store.name };

export default async function StorePage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="store">
      <Stock view={stockView(await storeOf(s.site.id), s.locale)} />
    </PageShell>
  );
}
