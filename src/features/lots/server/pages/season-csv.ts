import { say } from '@/messages/say';
import { answerCsv } from '../csv';
import { lotsGiven } from '../queries';
import { seasonOf } from '../season';
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
  return answerCsv(rows, `season-${view.year}`);
}
