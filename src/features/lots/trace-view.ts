import { say } from '@/messages/say';
import { WENT_OUT_WORDS } from '@/core/words/lots';
import { recallOf, type Recall } from '@/core/flow/recall';
import type { Flow } from '@/core/flow/site-file';
import type { Traced } from '@/core/flow/trace';
import { tracedShareText } from '@/core/flow/share-text';
import { dayText, figureWithUnit, joinParts } from '@/core/quantity/format';
import { isScreeningLot } from '@/core/lots/site-flows';
import { graphOfFlows, type FlowGraph } from './flow-drawing';
import { hrefOfMatter, lotAmountText, nameOfMatter, type LotsGiven } from './matter';

/** Where matter came from and where it went, as a page shows it. */

export type TraceRow = {
  readonly id: string;
  readonly name: string;
  /** It is in stock still. */ readonly isLoad: boolean;
  readonly href: string | null;
  readonly when: string;
  readonly to: string;
  readonly amount: string;
  readonly share: string;
  readonly raw: string;
  readonly tagged: string;
  /** How much of it is meant cannot be told. */ readonly unclear: boolean;
};
export type TraceView = {
  readonly title: string;
  readonly here: readonly TraceRow[];
  readonly out: readonly TraceRow[];
  readonly lost: readonly TraceRow[];
  readonly accounted: string;
  readonly recall: Pick<Recall, 'cameIn' | 'isHere' | 'wentOut' | 'accounted'>;
  readonly graph: FlowGraph;
};
export type OriginView = {
  readonly title: string;
  readonly sources: readonly {
    readonly name: string;
    readonly href: string;
    readonly share: string;
    readonly from: string;
  }[];
  readonly graph: FlowGraph;
};
/** What may be asked about: loads, batches and lots by their names. */
export type TraceChoices = {
  readonly loads: readonly { readonly id: string; readonly name: string; readonly says: string }[];
  readonly lots: readonly { readonly id: string; readonly name: string; readonly says: string }[];
};

const taggedText = (tagged: readonly [number, number] | null): string => {
  if (tagged === null) return say('terms.amountNotKnown2');
  const [lo, hi] = tagged;
  return hi - lo < 0.5
    ? figureWithUnit('litres', hi)
    : say('units.fromTo', {
        low: figureWithUnit('litres', lo),
        high: figureWithUnit('litres', hi),
      });
};

export function traceChoices(given: LotsGiven): TraceChoices {
  const { store, state, board, locale } = given;
  return {
    loads: store.loads
      .map((l) => ({
        id: l.id,
        name: nameOfMatter(given, l.id),
        says: joinParts(dayText(locale.timeZone, l.at), l.load.supplier),
      }))
      .reverse(),
    lots: [
      ...[...state.lots.keys()].map((id) => ({ id, name: nameOfMatter(given, id), says: '' })),
      ...board.map((b) => ({
        id: b.id,
        name: b.name ?? b.code,
        says: say('lots.batchKind'),
      })),
    ],
  };
}

type Part = Traced & {
  readonly tagged: readonly [number, number] | null;
  readonly unclear: boolean;
};
const rowOf = (
  given: LotsGiven,
  part: Part,
  own: Pick<TraceRow, 'id' | 'name' | 'href' | 'when' | 'to'>,
): TraceRow => ({
  ...own,
  isLoad: given.store.loads.some((l) => (l.id as string) === own.id),
  amount: lotAmountText(part.litres),
  share: tracedShareText(part.any),
  raw: tracedShareText(part.raw),
  tagged: taggedText(part.tagged),
  unclear: part.unclear,
});

const outEntryOf = ({ state }: LotsGiven, flow: string) =>
  state.outs.find((o) => (o.id as string) === flow);
/** What left without an entry of its own as something that went out: rejects of a screen, what was discarded. */
const isLost = (given: LotsGiven, flow: string): boolean => {
  const out = outEntryOf(given, flow);
  return out === undefined || out.data.how === 'discarded' || out.data.how === 'lost';
};

/** Where loads and lots went. @param least entries with a smaller share are left out */
export function traceView(given: LotsGiven, ids: readonly string[], least: number): TraceView {
  const { book, locale, state } = given;
  const recall = recallOf(book.site, ids, least);
  const outRow = (o: Recall['out'][number]): TraceRow => {
    const entry = outEntryOf(given, o.flow);
    const from = book.site.flows.find((f) => f.id === o.flow)?.from ?? '';
    return rowOf(given, o, {
      id: o.flow,
      name: nameOfMatter(given, from),
      href: state.lots.has(from) ? `/lots/${from}` : null,
      when: dayText(locale.timeZone, o.at),
      to: entry
        ? joinParts(WENT_OUT_WORDS[entry.data.how], entry.data.bed?.name, entry.data.party)
        : isScreeningLot(from)
          ? say('lots.lostInScreening')
          : say('lots.leftOtherwise'),
    });
  };
  const isThere = ({ litres, any }: Traced): boolean => litres !== 0 && any[1] > 0;
  return {
    title: ids.map((id) => nameOfMatter(given, id)).join(', '),
    here: recall.here
      .filter((l) => isThere(l))
      .map((l) =>
        rowOf(given, l, {
          id: l.lot,
          name: nameOfMatter(given, l.lot),
          href: hrefOfMatter(given, l.lot),
          when: '',
          to: '',
        }),
      ),
    out: recall.out.filter((o) => !isLost(given, o.flow)).map(outRow),
    lost: recall.out.filter((o) => isLost(given, o.flow)).map(outRow),
    accounted:
      recall.accounted === null
        ? say('bench.notKnown')
        : say('flow.percent', { percent: Math.round(recall.accounted * 1000) / 10 }),
    recall,
    graph: graphOf(given, isBehindOrAhead(given, ids)),
  };
}

/** Flows out of the lots in question and of all that came of them, and those that filled them. */
function isBehindOrAhead({ book }: LotsGiven, ids: readonly string[]): (f: Flow) => boolean {
  const ahead = new Set(ids);
  for (const lot of ahead)
    for (const f of book.site.flows) if (f.from === lot && f.to !== null) ahead.add(f.to);
  return (f) => (f.from !== null && ahead.has(f.from)) || (f.to !== null && ids.includes(f.to));
}

/** Something that went out, in words: when, how much of what, to whom. */
export function outflowText(given: LotsGiven, flow: string): string {
  const out = outEntryOf(given, flow);
  if (!out) return '';
  return joinParts(
    dayText(given.locale.timeZone, out.at),
    nameOfMatter(given, out.data.lot),
    lotAmountText(given.book.carriedBy(flow).litres),
    WENT_OUT_WORDS[out.data.how],
    out.data.bed?.name,
    out.data.party,
  );
}

/** Where a lot came from. */
export function originView(given: LotsGiven, id: string): OriginView {
  const { book, store } = given;
  const behind = new Set([id]);
  const flows = [...book.site.flows].reverse();
  for (const lot of behind)
    for (const f of flows) if (f.to === lot && f.from !== null) behind.add(f.from);
  return {
    title: nameOfMatter(given, id),
    sources: book
      .originOf(id)
      .sources.filter((s) => s.lot !== id)
      .map((s) => {
        const load = store.loads.find((l) => (l.id as string) === s.lot);
        return {
          name: nameOfMatter(given, s.lot),
          href: hrefOfMatter(given, s.lot),
          share: tracedShareText(s.share),
          from: load?.load.supplier ?? '',
        };
      }),
    graph: graphOf(given, (f) => f.to !== null && behind.has(f.to)),
  };
}

/** The drawing of some flows; a screening run is a step of its own. */
function graphOf(given: LotsGiven, isShown: (f: Flow) => boolean): FlowGraph {
  const { book, state } = given;
  return graphOfFlows(
    book.site.flows.filter((f) => isShown(f) && (f.from !== null || f.to !== null)),
    {
      nameOf: (id) => nameOfMatter(given, id),
      nameOfEnd: (flow) => {
        const out = outEntryOf(given, flow.id);
        if (!out) return null;
        return out.data.bed?.name ?? out.data.party ?? WENT_OUT_WORDS[out.data.how];
      },
      carried: (flow) => book.carriedBy(flow),
      kindOf: (id) =>
        state.lots.get(id)?.kind ?? book.site.lots.find((l) => l.id === id)?.kind ?? 'product',
    },
  );
}
