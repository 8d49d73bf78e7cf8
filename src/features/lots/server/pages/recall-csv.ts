import { say } from '@/messages/say';
import { answerCsv } from '../csv';
import { traceView, type TraceRow } from '../../trace-view';
import { lotsGiven } from '../queries';
import { firstLineOf } from '@/entry/server/trust';
import { loadPageContext } from '@/features/frame/server/queries';

/** The lists of a recall as a table. */
export async function answerRecallCsv(request: Request): Promise<Response> {
  const s = await loadPageContext();
  const given = await lotsGiven(s);
  const known = new Set(given.book.site.lots.map((l) => l.id));
  const query = new URL(request.url).searchParams;
  const least = Math.min(100, Math.max(0, Number(query.get('least')) || 0));
  const from = query.getAll('from').filter((id) => known.has(id));
  if (from.length === 0) return new Response(say('lots.traceHow'), { status: 400 });
  const view = traceView(given, from, least / 100);
  const line = (where: string) => (r: TraceRow) => ({
    [say('lots.list')]: where,
    [say('record.lot')]: r.name,
    [say('lots.whereTo')]: r.to,
    [say('record.date')]: r.when,
    [say('lots.inAll')]: r.amount,
    [say('lots.ofIt')]: r.tagged,
    [say('lots.share')]: r.share,
    [say('lots.unheated')]: r.raw,
    [say('lots.cannotBeTold')]: r.unclear ? say('store.yes') : '',
  });
  const rows = [
    ...view.here.map(line(say('lots.stillHereTitle'))),
    ...view.out.map(line(say('lots.alreadyOut'))),
    ...view.lost.map(line(say('lots.lostOrDiscarded'))),
  ];
  return answerCsv(rows, 'recall', await firstLineOf(s.site));
}
