import { say } from '@/messages/say';
import { joinParts } from '@/core/quantity/format';
import { answerCsv } from '../csv';
import { lotsGiven } from '../queries';
import { seasonOf } from '../season';
import { firstLineOf } from '@/entry/server/trust';
import { loadPageContext } from '@/features/frame/server/queries';

/** The totals of a year as a table. */
export async function answerSeasonCsv(request: Request): Promise<Response> {
  const s = await loadPageContext();
  const year = new URL(request.url).searchParams.get('year') ?? undefined;
  const view = seasonOf(await lotsGiven(s), year);
  const rows = view.groups.flatMap((g) =>
    g.lines.map((l) => ({
      [say('lots.list')]: g.title,
      [say('lots.what')]: l.name,
      [say('lots.value')]: l.value,
    })),
  );
  const ofTables = view.tables.flatMap((t) =>
    t.rows.flatMap((r) =>
      r.cells.map((value, i) => ({
        [say('lots.list')]: t.title,
        [say('lots.what')]: joinParts(r.name, t.head[i]),
        [say('lots.value')]: value,
      })),
    ),
  );
  return answerCsv([...rows, ...ofTables], `season-${view.year}`, await firstLineOf(s.site));
}
