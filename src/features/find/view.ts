import { libraryText } from '@/messages/library-text';
import { tellEntry, type Entry } from '@/core/log/entry';
import { WAITING_NAMES } from '@/core/log/kinds/waiting';
import { LOT_WAITING_NAMES } from '@/core/log/kinds/waiting-lots';
import type { StoreState, StockLoad } from '@/core/mix/store';
import { findMaterials } from '@/core/mix/find';
import { litresText } from '@/core/words/amount';
import { whenText } from '@/core/quantity/format';
import type { EntryMark } from '@/core/log/kinds/kind';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { standingText } from '@/telling/status/picture';
import { keysOf } from '@/core/words/feel';
import type { Locale } from '@/core/words/note';
import { navigationPlaces } from '@/core/words/places';
import { positionText } from '@/core/words/position';
import { answersTo } from './query';

/** One thing that was found, with where it is seen. */
export type Found = {
  readonly href: string;
  readonly name: string;
  readonly about: string;
};
/** An entry that was found: of which batch, when and by whom. */
type FoundEntry = Found & {
  readonly mark: EntryMark;
  readonly when: string;
  readonly by: string;
};
export type FindView = {
  readonly typed: string;
  readonly batches: readonly Found[];
  readonly loads: readonly Found[];
  readonly pages: readonly Found[];
  readonly entries: readonly FoundEntry[];
  /** There are more entries than are shown. */ readonly moreEntries: boolean;
};

/** Entries that one search shows. */
export const MOST_ENTRIES = 60;

/** Kinds of entries that are called by what was typed, in the language of the moment. */
export const kindsCalled = (typed: string): string[] => [
  ...keysOf(WAITING_NAMES).filter((kind) => answersTo(typed, WAITING_NAMES[kind])),
  ...keysOf(LOT_WAITING_NAMES).filter((kind) => answersTo(typed, LOT_WAITING_NAMES[kind])),
];

const foundBatches = (board: readonly BatchSnapshot[], typed: string, locale: Locale): Found[] =>
  board
    .filter((d) =>
      answersTo(
        typed,
        d.name,
        d.code,
        positionText(d.position),
        ...d.rules.map((r) => libraryText(r.title)),
      ),
    )
    .map((d) => ({
      href: `/batch/${d.id}`,
      name: d.name ?? d.code,
      about: [positionText(d.position), standingText(d, locale)].filter(Boolean).join(' · '),
    }));

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '');
const nameOf = (l: StockLoad): string => textOf(l.load.name) || libraryText(l.material.name);
const foundLoads = (store: StoreState, typed: string, { timeZone, now }: Locale): Found[] => {
  const byMaterial = new Set(
    findMaterials(
      store.loads,
      typed,
      (l) => l.material,
      (l) => [nameOf(l)],
    ),
  );
  return store.loads
    .filter(
      (l) => byMaterial.has(l) || answersTo(typed, nameOf(l), textOf(l.load.supplier), l.where),
    )
    .map((l) => ({
      href: `/store/${l.id}`,
      name: nameOf(l),
      about: [
        whenText(timeZone, l.at, now),
        textOf(l.load.supplier),
        l.leftLitres === null ? null : litresText(l.leftLitres),
      ]
        .filter(Boolean)
        .join(' · '),
    }));
};

/** What was found of a site, in the order in which it is looked for. */
export function findView(
  typed: string,
  board: readonly BatchSnapshot[],
  store: StoreState,
  entries: readonly Entry[],
  locale: Locale,
): FindView {
  const named = new Map(board.map((d) => [d.id, d.name ?? d.code]));
  return {
    typed,
    batches: foundBatches(board, typed, locale),
    loads: foundLoads(store, typed, locale),
    pages: navigationPlaces()
      .filter((p) => answersTo(typed, p.name, p.about))
      .map(({ href, name, about = '' }) => ({ href, name, about })),
    entries: entries.slice(0, MOST_ENTRIES).map((e) => {
      const readings = e.kind === 'round' ? e.data.readings : [];
      const { mark, title, detail } = tellEntry(e, { unit: locale.unit, readings });
      const batch = e.batch && named.get(e.batch);
      return {
        mark,
        href: e.batch ? `/batch/${e.batch}#log` : '/more',
        name: [batch, title].filter(Boolean).join(': '),
        about: detail,
        when: whenText(locale.timeZone, e.at, locale.now),
        by: e.by,
      };
    }),
    moreEntries: entries.length > MOST_ENTRIES,
  };
}
