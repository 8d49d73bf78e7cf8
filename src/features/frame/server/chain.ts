import { requireSite, theDb } from '@/db/context';
import { chainRepo } from '@/db/repositories/chain';

/**
 * The hash that the log holds at a number, for a device that saw another time what was there; and whether the log itself says that
 * the number was given up when a backup was brought back.
 */
export async function answerHashAt(request: Request): Promise<Response> {
  const seq = Number(new URL(request.url).searchParams.get('seq'));
  const site = await requireSite();
  const known = Number.isSafeInteger(seq) && seq > 0;
  const hash = known ? await chainRepo(theDb()).hashAt(site.id, seq) : null;
  const restores = known ? await chainRepo(theDb()).signedOfKind(site.id, 'restored') : [];
  const isGivenUp = restores.some(({ data }) => data.after < seq && seq <= data.upTo);
  return Response.json({ hash, isGivenUp }, { headers: { 'cache-control': 'no-store' } });
}
