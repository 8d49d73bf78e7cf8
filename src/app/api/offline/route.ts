import { loadPageContext } from '@/features/frame/server/queries';
import { createOfflineHeaps } from '@/features/log/offline-heaps';

export const dynamic = 'force-dynamic';

/** All that a device keeps of the heaps for when there is no signal. */
export async function GET(): Promise<Response> {
  const s = await loadPageContext();
  return Response.json(createOfflineHeaps(s.board, s.siteState, s.prefs.by, s.locale), {
    headers: { 'cache-control': 'no-store' },
  });
}
