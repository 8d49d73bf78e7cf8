import type { LotTask } from '@/core/advice/tasks';
import { say } from '@/messages/say';
import { decisionView, useView, type DecisionView, type UseView } from './release-view';
import { testView, type TestView } from './test-view';
import {
  hrefOfMatter,
  lotAgeText,
  lotAmountText,
  nameOfMatter,
  unheatedText,
  type LotsGiven,
} from './matter';
import { statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import { cureDoubtsOf } from '@/core/status/cure-doubts';
import { mainText } from '@/telling/status/rules';
import { saysOf } from '@/telling/status/says';
import { harvestWaits, openHarvestWaits } from '@/core/lots/harvest';
import { dueOfLots, type LotDue } from '@/core/lots/due';
import {
  LOT_KIND_WORDS,
  WENT_OUT_WORDS,
  OUTCOME_WORDS,
  DECISION_WORDS,
  USE_WORDS,
} from '@/core/words/lots';
import { dueText, labValueText } from '@/core/lots/texts';
import { getKindDescription, type Entry } from '@/core/log/entry';
import { TEST_KINDS } from '@/core/log/test-shapes';
import { tracedShareText } from '@/core/flow/share-text';
import { dateOnlyText, dayText, joinParts, whenText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { assessUse, standHeated } from '@/core/release/assess-release';
import type { Standing } from '@/core/release/limits';

/** What the pages of lots show. */

export type LotRow = {
  readonly id: string;
  readonly title: string;
  readonly kind: string;
  readonly where: string;
  readonly amount: string;
  readonly litres: number | null;
  readonly age: string;
  readonly unheated: string;
  readonly heated: Standing;
  readonly decision: string;
  readonly inQuestion: boolean;
  readonly due: readonly string[];
  readonly empty: boolean;
};

function lotRow(given: LotsGiven, id: string, due: readonly LotDue[]): LotRow {
  const { state, book } = given;
  const lot = state.lots.get(id);
  const { litres, any, raw } = book.of(id);
  const decision = decisionView(given, id);
  return {
    id,
    title: nameOfMatter(given, id),
    kind: lot ? LOT_KIND_WORDS[lot.kind] : say('lots.batchKind'),
    where: lot?.where ?? '',
    amount: lotAmountText(litres),
    litres,
    age: lotAgeText(given, id),
    unheated: unheatedText(given, id),
    heated: standHeated({ empty: book.isEmpty(id), any, raw }),
    decision: decision
      ? decision.inQuestion
        ? say('lots.inQuestion')
        : DECISION_WORDS[decision.decision]
      : say('lots.notDecided'),
    inQuestion: decision?.inQuestion ?? false,
    due: due.filter((d) => d.lot === id && d.due <= book.now).map(dueText),
    empty: book.isEmpty(id),
  };
}

export type LotsView = {
  readonly open: readonly LotRow[];
  readonly done: readonly LotRow[];
  /** Batches that could be moved to cure: how they stand with their rules. */
  readonly batches: readonly {
    readonly id: string;
    readonly name: string;
    readonly standing: string;
    /** Fact that it states. */ readonly says: string | undefined;
  }[];
};

/** Those whose main rule is met first, then those that nothing speaks against, what is in danger last. */
const rankToCure = (status: BatchStatus): number =>
  cureDoubtsOf(status).includes('danger')
    ? 2
    : cureDoubtsOf(status).length === 0 && status.main !== null
      ? 0
      : 1;

/** All lots of a site: those with something in them, by what they ask for; and those that are empty. */
export function lotsView(given: LotsGiven): LotsView {
  const { state, book, board, locale } = given;
  const due = dueOfLots(state, book);
  const rows = [...state.lots.keys()].map((id) => lotRow(given, id, due));
  const rank = (r: LotRow): number => (r.inQuestion ? 0 : r.due.length > 0 ? 1 : 2);
  return {
    open: rows.filter((r) => !r.empty).sort((a, b) => rank(a) - rank(b)),
    done: rows.filter((r) => r.empty),
    batches: board
      .map((b) => ({ b, status: statusOfBatch(b, locale.now) }))
      .filter(({ b, status }) => status.stage.code !== 'ended' && b.builtAt !== null)
      .sort((x, y) => rankToCure(x.status) - rankToCure(y.status))
      .map(({ b, status }) => ({
        id: b.id,
        name: b.name ?? b.code,
        standing: mainText(status, locale),
        says: saysOf(status, 'main'),
      })),
  };
}

/** How each test is done, and how long it takes. The page brings it along: no other page needs these texts. */
const testGuide = () =>
  TEST_KINDS.map((kind) => ({
    kind,
    takes: say('lots.testTakes', { kind }),
    how: say('lots.howToTest', { kind }),
  }));
export type TestGuide = ReturnType<typeof testGuide>;

export type LotPageView = {
  readonly testGuide: TestGuide;
  readonly id: string;
  readonly isLot: boolean;
  readonly row: LotRow;
  readonly decision: DecisionView | null;
  readonly sources: readonly {
    readonly name: string;
    readonly href: string;
    readonly share: string;
    readonly kind: string;
    readonly isLoad: boolean;
  }[];
  readonly due: readonly LotDueView[];
  readonly tests: readonly TestView[];
  readonly samples: readonly {
    readonly id: string;
    readonly title: string;
    readonly stale: boolean;
    readonly lines: readonly { readonly analyte: string; readonly value: string }[];
  }[];
  readonly uses: readonly UseView[];
  readonly history: readonly {
    readonly id: string;
    readonly when: string;
    readonly title: string;
    readonly detail: string;
    readonly by: string;
    readonly canVoid: boolean;
  }[];
  readonly outs: readonly {
    readonly id: string;
    readonly text: string;
    readonly outcomes: readonly string[];
  }[];
  readonly unproven: boolean;
  /** What may be done with what was never proven, each with its caution. */
  readonly rawWays: readonly string[];
  /** Its public page is on. */ readonly shown: boolean;
  readonly labelText: string;
};
type LotDueView = {
  readonly text: string;
  readonly test: string | null;
  readonly code: LotDue['code'];
};

/** Whether an entry speaks of a lot. */
function speaksOf(e: Entry, lot: string, tests: ReadonlySet<string>): boolean {
  switch (e.kind) {
    case 'lot':
      return (e.id as string) === lot;
    case 'cure':
      return (e.data.to as string | undefined) === lot || e.batch === lot;
    case 'lot-move':
      return (e.data.to as string) === lot || e.data.from === lot;
    case 'screening':
      return (
        e.data.inputs.some((i) => i.lot === lot) ||
        e.data.outputs.some((o) => (o.lot as string) === lot)
      );
    case 'lab-report':
      return tests.has(e.data.sample);
    default:
      return 'lot' in e.data && (e.data.lot as string | undefined) === lot && e.batch === null;
  }
}

function historyOf({ entries, state, locale }: LotsGiven, lot: string): LotPageView['history'] {
  const struck = new Set(
    entries.flatMap((e) =>
      e.kind === 'correction' && !e.data.reading ? [e.data.target as string] : [],
    ),
  );
  const samples = new Set(state.samples.filter((s) => s.lot === lot).map((s) => s.id));
  return entries
    .filter((e) => speaksOf(e, lot, samples))
    .sort((a, b) => b.at - a.at || b.seq - a.seq)
    .map((e) => {
      const { title, detail } = getKindDescription(e.kind).tell(e.data, {
        unit: locale.unit,
        readings: [],
      });
      const isVoid = struck.has(e.id);
      return {
        id: e.id,
        when: whenText(locale.timeZone, e.at, locale.now),
        title: isVoid ? say('lots.voided', { title }) : title,
        detail,
        by: e.by,
        // The act that began the lot is struck with the lot's first flow, on the batch that it left.
        canVoid: !isVoid && e.batch === null && e.kind !== 'lot',
      };
    });
}

/** The page of a lot, or of a batch as what is to be used; null: there is none of that id. */
export function lotPageView(given: LotsGiven, id: string): LotPageView | null {
  const { state, book, locale, board, store } = given;
  const lot = state.lots.get(id);
  if (!lot && !board.some((b) => (b.id as string) === id)) return null;
  const due = dueOfLots(state, book);
  const facts = book.factsOf(id);
  const spoken = new Set(facts.tests.map((t) => t.id));
  const kindOf = (source: string): string =>
    state.lots.has(source)
      ? say('lots.lotKind')
      : store.loads.some((l) => (l.id as string) === source)
        ? say('lots.loadKind')
        : say('lots.batchKind');
  return {
    testGuide: testGuide(),
    id,
    isLot: lot !== undefined,
    row: lotRow(given, id, due),
    decision: decisionView(given, id),
    sources: book
      .originOf(id)
      .sources.filter((s) => s.lot !== id)
      .map((s) => ({
        name: nameOfMatter(given, s.lot),
        href: hrefOfMatter(given, s.lot),
        share: tracedShareText(s.share),
        kind: kindOf(s.lot),
        isLoad: store.loads.some((l) => (l.id as string) === s.lot),
      })),
    due: due
      .filter((d) => d.lot === id && d.due <= book.now)
      .map((d) => ({ text: dueText(d), test: d.test, code: d.code })),
    tests: state.tests
      .filter((t) => spoken.has(t.id))
      .map((t) => testView(given, id, t))
      .reverse(),
    samples: state.samples
      .filter((s) => s.lot === id || book.speaksFor(s.lot, s.at, id))
      .map((s) => ({
        id: s.id,
        title: joinParts(dayText(locale.timeZone, s.at), s.drawn.data.laboratory),
        stale: !book.speaksFor(s.lot, s.at, id),
        lines: s.results.map((r) => ({ analyte: r.analyte, value: labValueText(r) })),
      }))
      .reverse(),
    uses: state.uses.map((u) => useView(given, id, assessUse(u, facts, book.now))),
    history: historyOf(given, id),
    outs: outsOf(given, id),
    shown: state.pages.has(id),
    labelText: state.pages.get(id)?.text ?? '',
    unproven: standHeated(facts) !== 'met' && !facts.empty,
    rawWays: (['feed', 'interval', 'mulch', 'wait'] as const).map((way) =>
      say('lots.rawWay', { way }),
    ),
  };
}

function outsOf({ state, book, locale }: LotsGiven, lot: string): LotPageView['outs'] {
  const waits = new Map(
    harvestWaits(state, book, locale.timeZone).map((w) => [w.out, dateOnlyText(w.harvestFrom)]),
  );
  return state.outs
    .filter((o) => o.data.lot === lot)
    .map((o) => ({
      id: o.id,
      text: joinParts(
        dayText(locale.timeZone, o.at),
        WENT_OUT_WORDS[o.data.how],
        o.data.litres === undefined ? '' : lotAmountText(o.data.litres),
        o.data.bed?.name,
        o.data.party,
        o.data.use && USE_WORDS[o.data.use],
        waits.has(o.id) && say('lots.noHarvestBefore', { day: waits.get(o.id) ?? '' }),
      ),
      outcomes: state.outcomes
        .filter((x) => x.data.out === o.id)
        .map((x) => joinParts(OUTCOME_WORDS[x.data.found], x.data.words)),
    }))
    .reverse();
}

/** Beds that may not be harvested yet, in words. */
export const bedWaitTexts = (given: LotsGiven): string[] => {
  const { state, book, locale } = given;
  const waits = openHarvestWaits(harvestWaits(state, book, locale.timeZone), book, locale.timeZone);
  return waits.map(({ bed, lot, harvestFrom }) =>
    say('lots.bedWaits', { bed, lot: nameOfMatter(given, lot), day: dateOnlyText(harvestFrom) }),
  );
};

/** A lot as the home page and the map draw it. */
export type LotPile = Pick<LotRow, 'id' | 'title' | 'kind' | 'amount' | 'age' | 'litres'> & {
  readonly where: string;
  readonly unheated: string;
  /** Some of it was never heated, or may not have been. */ readonly raw: boolean;
  /** What it asks for now; null: nothing. */ readonly due: string | null;
};
/** Lots with something in them, as they lie there. */
export function lotPiles(given: LotsGiven): LotPile[] {
  const due = dueOfLots(given.state, given.book);
  return [...given.state.lots.keys()]
    .map((id) => lotRow(given, id, due))
    .filter((r) => !r.empty)
    .map(({ id, title, kind, amount, age, litres, where, unheated, heated, ...r }) => ({
      ...{ id, title, kind, amount, age, litres, where, unheated },
      raw: heated !== 'met',
      due: r.inQuestion ? say('lots.inQuestion') : (r.due[0] ?? null),
    }));
}

/** Lots whose core and air are to be read today, for a test that goes on. */
export const lotReadings = (given: LotsGiven) =>
  dueOfLots(given.state, given.book)
    .filter((d) => d.code === 'read-reheat' && d.due <= given.book.now + MS.day / 2)
    .map((d) => ({
      id: d.lot,
      name: nameOfMatter(given, d.lot),
      where: given.state.lots.get(d.lot)?.where ?? '',
      says: dueText(d),
    }));

/** What lots ask for, for the list of the day. */
export const lotTasks = (given: LotsGiven): LotTask[] =>
  dueOfLots(given.state, given.book).map((d) => ({
    ...d,
    name: nameOfMatter(given, d.lot),
    where: given.state.lots.get(d.lot)?.where ?? null,
  }));
