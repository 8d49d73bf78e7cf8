import { lotsFileText } from '@/entry/server/lots-file';
import { firstLineOf } from '@/entry/server/trust';
import { lotsGiven } from '../queries';
import { loadPageContext } from '@/features/frame/server/queries';
import { lotsFileNameOf } from '@/features/record/view';

/** The open site file, for `./zealous trace` and for whoever keeps books elsewhere; of one batch, for whoever checks its record. */
export async function answerSiteFile(request: Request): Promise<Response> {
  const s = await loadPageContext();
  const given = await lotsGiven(s);
  const asked = new URL(request.url).searchParams.get('batch');
  const batch = given.board.find((b) => (b.id as string) === asked);
  const name = batch ? lotsFileNameOf(batch.code) : 'site.zealous-heap-site.json';
  return new Response(lotsFileText(given, s.site, await firstLineOf(s.site), batch?.id), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
}
