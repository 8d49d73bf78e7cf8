import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { KeptHeaps } from '../../ui/KeptHeaps';

/** The frame round what a device keeps of the heaps: the service worker answers with it for a heap whose page is out of reach. */
export async function OfflinePage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="offline" sky={<></>}>
      <KeptHeaps />
    </PageShell>
  );
}
