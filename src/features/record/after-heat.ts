import { say } from '@/messages/say';
import { traceFrom, type Interval } from '@/core/flow/trace';
import { tracedShareText } from '@/core/flow/share-text';
import type { LotBook } from '@/core/lots/book';
import type { LotsState } from '@/core/lots/fold';
import { isScreeningLot } from '@/core/lots/site-flows';
import { figureWithUnit, joinParts, listText } from '@/core/quantity/format';
import type { Instant } from '@/core/quantity/instant';
import { assessTest, USUAL_TEST_LIMITS } from '@/core/maturity/outcome';
import {
  DECISION_WORDS,
  LOT_KIND_WORDS,
  TEST_OUTCOME_WORDS,
  TEST_WORDS,
  USE_WORDS,
  WENT_OUT_WORDS,
} from '@/core/words/lots';
import type { Table } from './view';

/** The second sheet of a record: where the matter of a batch went after the heat, and what was found and decided there. */

type Given = {
  readonly state: LotsState;
  readonly book: LotBook;
  readonly when: (at: Instant) => string;
};
/** A line of the sheet with its moment; what is there now has none. */
type Line = { readonly at: Instant | null; readonly cells: readonly string[] };

const nameOf = ({ state }: Given, lot: string): string => {
  const known = state.lots.get(lot);
  return known ? joinParts(`${LOT_KIND_WORDS[known.kind]} ${known.code}`, known.name) : '';
};
const shares = (any: Interval, raw: Interval): string =>
  say('record.shareOfBatch', { share: tracedShareText(any), raw: tracedShareText(raw) });

/** Tests and decisions of the lots that hold matter of the batch. */
function foundLines(given: Given, lots: ReadonlySet<string>): Line[] {
  const { state, book, when } = given;
  const tests = state.tests
    .filter((t) => lots.has(t.lot))
    .map(({ lot, by, test }): Line => {
      const { outcome } = assessTest(test, USUAL_TEST_LIMITS, book.now);
      const what = `${TEST_WORDS[test.values.kind]}: ${TEST_OUTCOME_WORDS[outcome]}`;
      return { at: test.startedAt, cells: [nameOf(given, lot), what, when(test.startedAt), by] };
    });
  const decisions = state.decisions
    .filter((d) => lots.has(d.data.lot) && d.at <= book.now)
    .map(({ data, at, by }): Line => {
      const names: Readonly<Record<string, string>> = USE_WORDS;
      const uses = listText(data.uses.map((u) => names[u] ?? u));
      const what = joinParts(DECISION_WORDS[data.decision], uses, data.words);
      return { at, cells: [nameOf(given, data.lot), what, when(at), by] };
    });
  return [...tests, ...decisions];
}

/**
 * Where the matter of a batch went: the lots that hold some of it, with the share that is of this batch and what was never
 * heated; their tests and decisions; and what went out. Null: nothing has left it.
 */
export function afterHeatTable(given: Given, batch: string): Table | null {
  const { state, book, when } = given;
  if (!book.site.flows.some((f) => f.from === batch)) return null;
  const trace = traceFrom(book.site, [batch], null);
  const held = trace.lots.filter((l) => l.lot !== batch && !isScreeningLot(l.lot));
  // What passed through a lot is told there too, though nothing of it may be left.
  const through = new Set([batch]);
  for (const lot of through)
    for (const f of book.site.flows) if (f.from === lot && f.to !== null) through.add(f.to);
  const here = held
    .filter((l) => state.lots.has(l.lot))
    .map(({ lot, litres, any, raw }): Line => {
      const amount =
        litres === null ? say('record.amountNotKnown') : figureWithUnit('litres', litres);
      return { at: null, cells: [nameOf(given, lot), joinParts(shares(any, raw), amount), '', ''] };
    });
  const outs = trace.out.flatMap(({ flow, at, any, raw, litres }): Line[] => {
    const out = state.outs.find((o) => (o.id as string) === flow);
    if (!out) return [];
    const { how, bed, party, lot } = out.data;
    const amount = litres === null ? '' : figureWithUnit('litres', litres);
    const what = joinParts(WENT_OUT_WORDS[how], amount, bed?.name, party, shares(any, raw));
    return [{ at, cells: [nameOf(given, lot), what, when(at), out.by] }];
  });
  const dated = [...foundLines(given, through), ...outs].sort((a, b) => (a.at ?? 0) - (b.at ?? 0));
  return {
    head: [say('record.lot'), say('record.whatWasFound'), say('record.when'), say('record.who')],
    rows: [...dated, ...here].map((l) => l.cells),
    none: say('record.nothingLeftYet'),
    more: say('record.sharesByVolume'),
  };
}
