import { concernsOfLoad, isGrave } from '@/core/mix/concerns';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { storeRepo } from '@/db/repositories/store';
import { concernTexts } from '@/telling/status/concerns';
import { readSiteLots, type KnownSite } from './lot-book';

/** What went into a batch, or into what was put into it, and limits its use, in words. Lots are followed only where a load has some. */
export async function loadBatchConcerns(
  s: KnownSite & { readonly locale: Locale },
  batch: string,
): Promise<{ readonly grave: readonly string[]; readonly other: readonly string[] }> {
  const store = await storeRepo(theDb()).state(s.site.id, s.asOf);
  if (store.loads.every((l) => concernsOfLoad(l).length === 0)) return { grave: [], other: [] };
  const { book } = await readSiteLots(theDb(), s.site, s.now, { ...s, store });
  const { concerns } = book.factsOf(batch);
  const teller = { store, timeZone: s.locale.timeZone, namesSuppliers: true };
  return {
    grave: concernTexts(concerns.filter(isGrave), teller),
    other: concernTexts(
      concerns.filter((c) => !isGrave(c)),
      teller,
    ),
  };
}
