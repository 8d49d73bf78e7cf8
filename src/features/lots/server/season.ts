import { localParts, zoneOf } from '@/core/quantity/calendar';
import { seasonTotals } from '@/core/lots/season';
import { totalsOfBatches } from '@/core/lots/batch-totals';
import { productOf, sharesOfPartners } from '@/core/lots/partners';
import {
  batchTable,
  partnersTable,
  seasonView,
  type SeasonTable,
  type SeasonView,
} from '../season-view';
import { nameOfMatter, type LotsGiven } from '../matter';

const DAY_MS = 86_400_000;

type Span = { readonly from: number; readonly to: number };

/** Batches that were under way in a span of time, and its partners. */
function tablesOf(given: LotsGiven, span: Span): SeasonTable[] {
  const { board, book, entries, store, state } = given;
  const carried = (flow: string): number | null => book.carriedBy(flow).litres;
  const isWithin = ({ at }: { readonly at: number }): boolean => at >= span.from && at < span.to;
  const fed = new Set(book.site.flows.filter(isWithin).map((f) => f.to));
  const batches = board.map((b) => b.id as string).filter((id) => fed.has(id));
  const there = [...state.lots.values()]
    .filter((l) => (l.kind === 'fines' || l.kind === 'product') && isWithin(l))
    .map((l) => book.of(l.id).litres);
  const product = productOf(state.outs, span, carried, there);
  return [
    batchTable(totalsOfBatches(batches, entries, store, book), (id) => nameOfMatter(given, id)),
    partnersTable(sharesOfPartners(entries, store, span, product, carried)),
  ];
}

/** The totals of a year by the site's clock. @param asked the year; without one, this year */
export function seasonOf(given: LotsGiven, asked: string | undefined): SeasonView {
  const { timeZone, now } = given.locale;
  const zone = zoneOf(timeZone);
  const thisYear = localParts(timeZone, now).year;
  const wanted = Math.round(Number(asked));
  const year = wanted >= 2000 && wanted <= thisYear ? wanted : thisYear;
  const startOf = (y: number): number => zone.startOfDay(Date.UTC(y, 0, 1) / DAY_MS);
  const span = { from: startOf(year), to: startOf(year + 1) };
  const totals = seasonTotals(
    given.entries,
    given.store,
    {
      ...span,
      monthOf: (at) => new Date(zone.dayNumber(at) * DAY_MS).getUTCMonth() + 1,
    },
    (flow) => given.book.carriedBy(flow).litres,
  );
  const first = Math.min(thisYear, ...given.entries.map((e) => localParts(timeZone, e.at).year));
  return seasonView(totals, tablesOf(given, span), { year, first, last: thisYear });
}
