import { siteFileOf } from '@/core/lots/site-file-of';
import { nameOfMatter } from '../../matter';
import { lotsGiven } from '../queries';
import { loadPageContext } from '@/features/frame/server/queries';

/** The open site file, for `./zealous trace` and for whoever keeps books elsewhere. */
export async function answerSiteFile(): Promise<Response> {
  const s = await loadPageContext();
  const given = await lotsGiven(s);
  const file = siteFileOf({
    site: { name: s.site.name, timeZone: s.site.timeZone },
    flows: given.book.site,
    state: given.state,
    nameOf: (id) => nameOfMatter(given, id),
    proofs: given.book.germProofs,
  });
  return new Response(`${JSON.stringify(file, null, 1)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="site.zealous-heap-site.json"',
    },
  });
}
