import type { LotConcern } from '@/core/mix/concerns';
import type { StoreState } from '@/core/mix/store';
import { dayText, listText } from '@/core/quantity/format';
import { CROP_FAMILY_WORDS } from '@/core/words/lots';
import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';

const MOST_NAMED = 3;

type Teller = {
  readonly store: Pick<StoreState, 'loads'>;
  readonly timeZone: string;
  /** Whether suppliers may be named: not to whoever scans a label. */ readonly namesSuppliers: boolean;
};

/** Which loads something came in with, the latest first; of many the count. */
function loadsText(ids: readonly string[], { store, timeZone, namesSuppliers }: Teller): string {
  const loads = store.loads.filter((l) => ids.includes(l.id)).sort((a, b) => b.at - a.at);
  const named = loads.slice(0, MOST_NAMED).map(({ load, material, at }) =>
    say('status.loadOfDay', {
      load: load.what ?? libraryText(material.name),
      supplier: namesSuppliers && load.supplier ? 'named' : 'none',
      supplierName: load.supplier ?? '',
      day: dayText(timeZone, at),
    }),
  );
  const more = loads.length - named.length;
  return listText(more > 0 ? [...named, say('status.moreLoads', { more })] : named);
}

function concernText({ concern, loads, families }: LotConcern, teller: Teller): string {
  const from = loadsText(loads, teller);
  switch (concern) {
    case 'sludge':
      return say('status.concernSludge', { from });
    case 'by-product':
      return say('status.concernByProduct', { from });
    case 'sprayed':
      return say('status.concernSprayed', { from });
    case 'diseased':
      return families.length > 0
        ? say('status.concernDiseasedFamilies', {
            from,
            families: listText(families.map((f) => CROP_FAMILY_WORDS[f])),
          })
        : say('status.concernDiseased', { from });
    case 'unknown-origin':
      return say('status.concernUnknownOrigin', { from });
    case 'seeds':
      return say('status.concernSeeds', { from });
    case 'spray-unknown':
      return say('status.concernSprayUnknown', { from });
    case 'dust':
      return say('status.concernDust', { from });
  }
}

/** What came in and limits the use, each in a sentence or two. */
export const concernTexts = (concerns: readonly LotConcern[], teller: Teller): string[] =>
  concerns.map((c) => concernText(c, teller));
