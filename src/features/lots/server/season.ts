import { localParts, zoneOf } from '@/core/quantity/calendar';
import { seasonTotals } from '@/core/lots/season';
import { seasonView, type SeasonView } from '../season-view';
import type { LotsGiven } from '../matter';

const DAY_MS = 86_400_000;

/** The totals of a year by the site's clock. @param asked the year; without one, this year */
export function seasonOf(given: LotsGiven, asked: string | undefined): SeasonView {
  const { timeZone, now } = given.locale;
  const zone = zoneOf(timeZone);
  const thisYear = localParts(timeZone, now).year;
  const wanted = Math.round(Number(asked));
  const year = wanted >= 2000 && wanted <= thisYear ? wanted : thisYear;
  const startOf = (y: number): number => zone.startOfDay(Date.UTC(y, 0, 1) / DAY_MS);
  const totals = seasonTotals(
    given.entries,
    given.store,
    {
      from: startOf(year),
      to: startOf(year + 1),
      monthOf: (at) => new Date(zone.dayNumber(at) * DAY_MS).getUTCMonth() + 1,
    },
    (flow) => given.book.carriedBy(flow).litres,
  );
  const first = Math.min(thisYear, ...given.entries.map((e) => localParts(timeZone, e.at).year));
  return seasonView(totals, { year, first, last: thisYear });
}
