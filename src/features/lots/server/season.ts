import { dayText } from '@/core/quantity/format';
import { localParts, zoneOf } from '@/core/quantity/calendar';
import { seasonTotals } from '@/core/lots/season';
import { totalsOfBatches } from '@/core/lots/batch-totals';
import { partnerKey, productOf, sharesOfPartners, type PartnerShare } from '@/core/lots/partners';
import {
  batchTable,
  ownShareView,
  partnersTable,
  seasonView,
  type OwnShareView,
  type SeasonTable,
  type SeasonView,
} from '../season-view';
import { nameOfMatter, type LotsGiven } from '../matter';

const DAY_MS = 86_400_000;

type Span = { readonly from: number; readonly to: number };

const isIn =
  (span: Span) =>
  ({ at }: { readonly at: number }): boolean =>
    at >= span.from && at < span.to;

/** What each partner brought in during a span of time, and what they may take out for it. */
function partnersOf({ book, entries, store, state }: LotsGiven, span: Span): PartnerShare[] {
  const carried = (flow: string): number | null => book.carriedBy(flow).litres;
  const there = [...state.lots.values()]
    .filter((l) => (l.kind === 'fines' || l.kind === 'product') && isIn(span)(l))
    .map((l) => book.of(l.id).litres);
  const product = productOf(state.outs, span, carried, there);
  return sharesOfPartners(entries, store, span, product, carried);
}

/** Batches that were under way in a span of time, and its partners. */
function tablesOf(given: LotsGiven, span: Span): SeasonTable[] {
  const { board, book, entries, store } = given;
  const fed = new Set(book.site.flows.filter(isIn(span)).map((f) => f.to));
  const batches = board.map((b) => b.id as string).filter((id) => fed.has(id));
  return [
    batchTable(totalsOfBatches(batches, entries, store, book), (id) => nameOfMatter(given, id)),
    partnersTable(partnersOf(given, span)),
  ];
}

/** A year by the site's clock. */
function spanOfYear(timeZone: string, year: number): Span {
  const zone = zoneOf(timeZone);
  const startOf = (y: number): number => zone.startOfDay(Date.UTC(y, 0, 1) / DAY_MS);
  return { from: startOf(year), to: startOf(year + 1) };
}

/** What one partner brought this year, load by load, and their share of what there is. */
export function ownShareOf(given: LotsGiven, partner: string): OwnShareView {
  const { timeZone, now } = given.locale;
  const { year } = localParts(timeZone, now);
  const span = spanOfYear(timeZone, year);
  const isOwn = (name: string | undefined): boolean =>
    name !== undefined && partnerKey(name) === partnerKey(partner);
  return ownShareView(
    year,
    partnersOf(given, span).find((p) => isOwn(p.partner)) ?? null,
    given.store.loads
      .filter((l) => isOwn(l.load.supplier) && isIn(span)(l))
      .map((l) => ({ day: dayText(timeZone, l.at), name: l.material.name, litres: l.litres })),
  );
}

/** The totals of a year by the site's clock. @param asked the year; without one, this year */
export function seasonOf(given: LotsGiven, asked: string | undefined): SeasonView {
  const { timeZone, now } = given.locale;
  const zone = zoneOf(timeZone);
  const thisYear = localParts(timeZone, now).year;
  const wanted = Math.round(Number(asked));
  const year = wanted >= 2000 && wanted <= thisYear ? wanted : thisYear;
  const span = spanOfYear(timeZone, year);
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
