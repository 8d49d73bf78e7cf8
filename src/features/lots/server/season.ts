import { say } from '@/messages/say';
import Papa from 'papaparse';
import { localParts, zoneOf } from '@/core/quantity/calendar';
import { seasonTotals } from '@/core/lots/season';
import { seasonView, type SeasonView } from '../season-view';
import { lotsGiven } from './queries';
import { loadPageContext, type PageContext } from '@/features/frame/server/queries';

const DAY_MS = 86_400_000;

/** The totals of a year by the site's clock. @param asked the year; without one, this year */
export async function seasonOf(s: PageContext, asked: string | undefined): Promise<SeasonView> {
  const given = await lotsGiven(s);
  const zone = zoneOf(s.site.timeZone);
  const thisYear = localParts(s.site.timeZone, s.now).year;
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
  const first = Math.min(
    thisYear,
    ...given.entries.map((e) => localParts(s.site.timeZone, e.at).year),
  );
  return seasonView(totals, { year, first, last: thisYear });
}

/** The totals of a year as a table. */
export async function answerSeasonCsv(request: Request): Promise<Response> {
  const s = await loadPageContext();
  const year = new URL(request.url).searchParams.get('year') ?? undefined;
  const view = await seasonOf(s, year);
  const rows = view.groups.flatMap((g) =>
    g.lines.map((l) => ({
      [say('lots.list')]: g.title,
      [say('lots.what')]: l.name,
      [say('lots.value')]: l.value,
    })),
  );
  return new Response(Papa.unparse(rows, { escapeFormulae: true }), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="season-${view.year}.csv"`,
    },
  });
}
