import { siteFileOf } from '@/core/lots/site-file-of';
import type { Entry } from '@/core/log/entry';
import type { Site } from '@/db/repositories/site';
import type { SiteLots } from './lot-book';

/** What loads, batches and lots are called in a file. */
function namesOf(entries: readonly Entry[]): ReadonlyMap<string, string> {
  return new Map(
    entries.flatMap((e): [string, string][] => {
      if (e.kind === 'lot')
        return [[e.id, e.data.name ? `${e.data.code}, ${e.data.name}` : e.data.code]];
      if (e.kind === 'load') return [[e.id, e.data.what ?? e.data.material]];
      return e.kind === 'opened' && e.batch !== null ? [[e.batch, e.data.name ?? e.data.code]] : [];
    }),
  );
}

/** The text of the open site file. @param notice its first line, where the log behind it does not fit @param batch only what bears on the matter of this batch; absent: all of the site */
export function lotsFileText(
  { entries, state, book }: SiteLots,
  site: Site,
  notice: string | null,
  batch?: string,
): string {
  const names = namesOf(entries);
  const file = siteFileOf({
    site: { name: site.name, timeZone: site.timeZone, leastHotM3: book.leastHotM3 },
    madeAt: book.now,
    flows: book.site,
    state,
    nameOf: (id) => names.get(id) ?? id,
    proofs: book.germProofs,
    ...(batch === undefined ? {} : { batch }),
  });
  return `${JSON.stringify({ ...(notice === null ? {} : { notice }), ...file }, null, 1)}\n`;
}
