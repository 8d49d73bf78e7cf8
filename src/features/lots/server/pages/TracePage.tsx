import { say } from '@/messages/say';
import Link from 'next/link';
import { originView, outflowText, traceChoices, traceView } from '../../trace-view';
import { CameFrom, TraceForm, WentTo } from '../../ui/Trace';
import { layOutFlows } from '../lay-out-flows';
import { pickOutflow } from '../pick-outflow';
import { lotsGiven } from '../queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

type Asked = {
  readonly of?: string;
  readonly from?: string | string[];
  readonly least?: string;
  /** `any`: something that went out is to be picked; else the flow that was picked. */
  readonly pick?: string;
};

export async function TracePage({ searchParams }: { searchParams: Promise<Asked> }) {
  const [asked, s] = [await searchParams, await loadPageContext()];
  const given = await lotsGiven(s);
  if (asked.pick === 'any') pickOutflow(given);
  const picked = given.state.outs.find((o) => (o.id as string) === asked.pick);
  const known = new Set(given.book.site.lots.map((l) => l.id));
  const from = [asked.from ?? []].flat().filter((id) => known.has(id));
  const least = Math.min(100, Math.max(0, Number(asked.least) || 0));
  const of = asked.of !== undefined && known.has(asked.of) ? asked.of : null;
  const origin = of === null ? null : originView(given, of);
  const went = from.length === 0 ? null : traceView(given, from, least / 100);
  const holds = Object.fromEntries(given.state.decisions.map((d) => [d.data.lot, d.id as string]));
  return (
    <PageShell s={s} place="trace">
      <div className="px-5 max-sm:px-4 py-5 flex flex-col gap-5">
        <p className="print:hidden">
          <Link prefetch={false} className="link" href="/lots">
            {say('lots.title')}
          </Link>
        </p>
        <h1>{say('lots.traceOrRecall')}</h1>
        {picked && (
          <p className="font-semibold" data-testid="picked">
            {say('lots.picked', { what: outflowText(given, picked.id) })}
          </p>
        )}
        {asked.pick === 'none' && <p className="font-semibold">{say('lots.nothingToPick')}</p>}
        {origin && <CameFrom view={origin} drawing={layOutFlows(origin.graph)} />}
        {went && (
          <WentTo
            view={went}
            drawing={layOutFlows(went.graph)}
            ids={from}
            by={s.prefs.by}
            askedAt={s.now}
            holds={holds}
            csvHref={`/api/lots/recall?least=${least}&${from.map((id) => `from=${id}`).join('&')}`}
          />
        )}
        <form method="get" action="/lots/trace" className="print:hidden">
          <input type="hidden" name="pick" value="any" />
          <button type="submit" className="btn">
            {say('lots.pickOne')}
          </button>
        </form>
        <p className="print:hidden max-w-[720px]">{say('lots.traceHow')}</p>
        <TraceForm choices={traceChoices(given)} chosen={of === null ? from : [of]} least={least} />
      </div>
    </PageShell>
  );
}
