import { requireSite, theDb } from '@/db/context';
import { chainRepo } from '@/db/repositories/chain';

/** The hash that the log holds at a number, for a device that saw another time what was there. */
export async function answerHashAt(request: Request): Promise<Response> {
  const seq = Number(new URL(request.url).searchParams.get('seq'));
  const site = await requireSite();
  const known = Number.isSafeInteger(seq) && seq > 0;
  const hash = known ? await chainRepo(theDb()).hashAt(site.id, seq) : null;
  return Response.json({ hash }, { headers: { 'cache-control': 'no-store' } });
}
