import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { figureWithUnit } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { LotBook } from '@/core/lots/book';
import type { LotsState } from '@/core/lots/fold';
import { isScreeningLot } from '@/core/lots/site-flows';
import { tracedShareText } from '@/core/flow/share-text';
import { standHeated } from '@/core/release/assess-release';
import type { Entry } from '@/core/log/entry';
import type { StoreState } from '@/core/mix/store';
import type { SiteQuestion } from '@/core/status/open-questions';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Locale } from '@/core/words/note';

/** What the pages of lots are made from, and what matter is called on them. */

export type LotsGiven = {
  readonly entries: readonly Entry[];
  readonly state: LotsState;
  readonly book: LotBook;
  readonly questions: readonly SiteQuestion[];
  readonly store: StoreState;
  readonly board: readonly BatchSnapshot[];
  readonly locale: Locale;
};

/** What a load, a batch or a lot is called. */
export function nameOfMatter({ state, store, board }: LotsGiven, id: string): string {
  if (isScreeningLot(id)) return say('lots.aScreening');
  const lot = state.lots.get(id);
  if (lot) return lot.name ? `${lot.code}, ${lot.name}` : lot.code;
  const batch = board.find((b) => (b.id as string) === id);
  if (batch) return batch.name ?? batch.code;
  const load = store.loads.find((l) => (l.id as string) === id);
  return load ? (load.load.what ?? libraryText(load.material.name)) : say('lots.unlisted');
}

const daysSince = (now: number, at: number): number => Math.floor((now - at) / MS.day);
/** How old a lot is, by its youngest part and by its oldest. */
export function lotAgeText({ book }: LotsGiven, lot: string): string {
  const { youngestAt, oldestAt } = book.ageOf(lot);
  const since = youngestAt ?? oldestAt;
  if (since === null) return say('lots.noAge');
  const days = daysSince(book.now, since);
  const oldest = oldestAt === null ? days : daysSince(book.now, oldestAt);
  return oldest > days ? say('lots.ages', { days, oldest }) : say('lots.age', { days });
}

/** Where a load, a batch or a lot is shown. */
export const hrefOfMatter = ({ state, board }: LotsGiven, id: string): string =>
  state.lots.has(id)
    ? `/lots/${id}`
    : board.some((b) => (b.id as string) === id)
      ? `/batch/${id}`
      : `/store/${id}`;

/** How much of it was never heated, as a sentence. */
export function unheatedText({ book }: Pick<LotsGiven, 'book'>, lot: string): string {
  const { any, raw } = book.of(lot);
  if (standHeated({ empty: book.isEmpty(lot), any, raw }) === 'met') return say('lots.allHeated');
  // Nothing in it came in raw, and what else is in it is not known.
  return raw[1] === 0
    ? say('lots.noneRaw')
    : say('lots.saysUnheated', { share: tracedShareText(raw) });
}

/** How much there is, or was: in the units of the moment, or not known. */
export const lotAmountText = (litres: number | null): string =>
  litres === null ? say('terms.amountNotKnown2') : figureWithUnit('litres', litres);
