import { traceFrom } from '../flow/trace';
import type { QuestionClosed, SiteState } from '../log/fold';
import { parseBatchId, type BatchId } from '../log/ids';
import type { LotBook } from '../lots/book';
import type { LotsState } from '../lots/fold';
import type { TestKind } from '../log/test-shapes';
import type { Instant } from '../quantity/instant';
import { findLimitSet } from '../release/limit-sets';
import { assessLimits } from '../release/limits';
import type { UseId } from '../release/uses';
import type { BatchSnapshot } from '../snapshot/batch-snapshot';
import type { CheckDoubt } from '../snapshot/check-doubts';
import { assessTest, USUAL_TEST_LIMITS } from '../maturity/outcome';

/**
 * What speaks against the evidence of batches and lots, until a named person settles it with a reason: a thermometer that was
 * found off, weeds that came up, a failed test or laboratory result. One cause is one question, whatever it touches and whatever
 * became of that since.
 */
export type QuestionCause =
  | {
      readonly code: 'thermometer';
      readonly probe: string;
      readonly offK: number;
      /** Since when nobody had checked it; null: ever. */ readonly since: Instant | null;
      /** Rules that would be met no more, by title, with the batch. */
      readonly unmet: readonly { readonly batch: BatchId; readonly titles: readonly string[] }[];
    }
  | { readonly code: 'weeds'; readonly lot: string }
  | { readonly code: 'test'; readonly kind: FailedTestKind; readonly lot: string }
  | {
      readonly code: 'laboratory';
      readonly lot: string;
      readonly analytes: readonly string[];
      /** By whose limits. */ readonly uses: readonly UseId[];
    };
/** Tests of which a failure speaks of what is in the compost, not of how ripe it is yet. */
type FailedTestKind = Extract<TestKind, 'sprout' | 'seedlings'>;

export type SiteQuestion = {
  /** The same as long as its cause stands in the log. */ readonly id: string;
  readonly cause: QuestionCause;
  readonly since: Instant;
  readonly batches: readonly BatchId[];
  readonly lots: readonly string[];
  /** Who settled it, and why; null: it is open. */ readonly closed: QuestionClosed | null;
};
type Found = Pick<SiteQuestion, 'id' | 'cause' | 'since'> & {
  /** Matter that it speaks of, as ids of lots and batches. */ readonly of: readonly string[];
  /** From when on what is made of it holds some of it; null: of all that was ever in it. */
  readonly from: Instant | null;
  /** Whether the batches that it came of are touched too. */ readonly back: boolean;
};

type LotsAtMoment = { readonly state: LotsState; readonly book: LotBook };

const checkQuestion = ({ at, probe }: CheckDoubt): string => `thermometer:${at}:${probe}`;

/** What checks put in doubt, and nobody has settled. */
export const openDoubts = (
  doubts: readonly CheckDoubt[],
  { closedQuestions }: Pick<SiteState, 'closedQuestions'>,
): CheckDoubt[] => doubts.filter((d) => !closedQuestions.has(checkQuestion(d)));

/** Titles of the rules that a batch met, and would not have met. */
const titlesUnmet = ({ rules }: BatchSnapshot, doubt: CheckDoubt): string[] =>
  rules
    .filter((r) => doubt.rules.some((d) => d.rule === r.rule && d.wasMet && !d.isMet))
    .map((r) => r.title);

function foundByChecks(board: readonly BatchSnapshot[]): Found[] {
  const byCheck = new Map<string, { batch: BatchSnapshot; doubt: CheckDoubt }[]>();
  for (const batch of board)
    for (const doubt of batch.checkDoubts) {
      const key = checkQuestion(doubt);
      byCheck.set(key, [...(byCheck.get(key) ?? []), { batch, doubt }]);
    }
  return [...byCheck].flatMap(([id, list]): Found[] => {
    const doubt = list[0]?.doubt;
    if (!doubt) return [];
    const unmet = list
      .map((x) => ({ batch: x.batch.id, titles: titlesUnmet(x.batch, x.doubt) }))
      .filter((u) => u.titles.length > 0);
    const { probe, offK, since, at } = doubt;
    return [
      {
        ...{ id, since: at, of: list.map((x) => x.batch.id), from: null, back: false },
        cause: { code: 'thermometer', probe, offK, since, unmet },
      },
    ];
  });
}

const foundByOutcomes = ({ outcomes, outs }: LotsState): Found[] =>
  outcomes.flatMap(({ id, at, data }): Found[] => {
    const out = outs.find((o) => o.id === data.out);
    if (data.found !== 'weeds' || !out) return [];
    const { lot } = out.data;
    return [
      {
        ...{ id: `weeds:${id}`, since: at, of: [lot], from: out.at, back: true },
        cause: { code: 'weeds', lot },
      },
    ];
  });

function foundByTests({ tests }: LotsState, { leastHotM3, now }: LotBook): Found[] {
  return tests.flatMap(({ id, lot, test }): Found[] => {
    const { kind } = test.values;
    if (kind !== 'sprout' && kind !== 'seedlings') return [];
    const { outcome } = assessTest(test, { ...USUAL_TEST_LIMITS, leastM3: leastHotM3 }, now);
    if (outcome !== 'fail') return [];
    return [
      {
        ...{ id: `test:${id}`, since: test.endedAt ?? test.startedAt, of: [lot] },
        ...{ from: test.startedAt, back: true, cause: { code: 'test', kind, lot } },
      },
    ];
  });
}

/** Limits that a sample misses, by the uses that ask for them: of sets of which any one is enough, none if one is met. */
function foundByLaboratory({ samples, uses, limitSets }: LotsState): Found[] {
  return samples.flatMap((sample): Found[] => {
    const missed = uses.flatMap((use) => {
      const sets = use.limitSets.flatMap((id) => findLimitSet(id, limitSets) ?? []);
      const failed = sets
        .map((s) => assessLimits(s.limits, [sample]))
        .filter((a) => a.standing === 'not-met');
      const lines = failed.flatMap((a) => a.lines).filter((l) => l.standing === 'not-met');
      return lines.map((l) => ({ use: use.id, analyte: l.limit.analyte }));
    });
    if (missed.length === 0) return [];
    const analytes = [...new Set(missed.map((m) => m.analyte))];
    const by = [...new Set(missed.map((m) => m.use))];
    const reportedAt = sample.reports.at(-1)?.at ?? sample.at;
    return [
      {
        ...{ id: `laboratory:${sample.id}`, since: reportedAt, of: [sample.lot] },
        ...{ from: sample.at, back: true },
        cause: { code: 'laboratory', lot: sample.lot, analytes, uses: by },
      },
    ];
  });
}

/** All that holds any share of what a question speaks of, and the batches that it came of. */
function touchedBy({ of, from, back }: Found, book: LotBook): string[] {
  const onward = traceFrom(book.site, of, from)
    .lots.filter(({ any }) => any[1] > 0)
    .map((l) => l.lot);
  const origins = back ? of.flatMap((lot) => book.originOf(lot).sources.map((s) => s.lot)) : [];
  return [...new Set([...of, ...onward, ...origins])];
}

/** Whether there may be any question: without one no lot need be followed. */
export const mayHaveQuestions = (
  board: readonly BatchSnapshot[],
  { outcomes, tests, samples }: LotsState,
): boolean =>
  board.some((b) => b.checkDoubts.length > 0) ||
  outcomes.some((o) => o.data.found === 'weeds') ||
  tests.some((t) => t.test.values.kind === 'sprout' || t.test.values.kind === 'seedlings') ||
  samples.some((s) => s.results.length > 0);

/** Every question of a site, open and settled, the latest first. */
export function siteQuestionsOf(
  board: readonly BatchSnapshot[],
  { closedQuestions }: Pick<SiteState, 'closedQuestions'>,
  { state, book }: LotsAtMoment,
): SiteQuestion[] {
  const found = [
    ...foundByChecks(board),
    ...foundByOutcomes(state),
    ...foundByTests(state, book),
    ...foundByLaboratory(state),
  ];
  const batches = new Set<string>(board.map((b) => b.id));
  return found
    .map((question): SiteQuestion => {
      const touched = touchedBy(question, book);
      const { id, cause, since } = question;
      return {
        ...{ id, cause, since, closed: closedQuestions.get(id) ?? null },
        batches: touched.flatMap((t) => (batches.has(t) ? (parseBatchId(t) ?? []) : [])),
        lots: touched.filter((t) => state.lots.has(t)),
      };
    })
    .sort((a, b) => b.since - a.since);
}

/** Whether nobody has settled a question yet. */
export const isOpen = ({ closed }: SiteQuestion): boolean => closed === null;
/** Whether a question speaks of a batch or a lot. */
export const isAbout = ({ batches, lots }: SiteQuestion, id: string): boolean =>
  lots.includes(id) || batches.some((b) => b === id);
/** Those that are open of a batch or a lot. */
export const openAbout = (questions: readonly SiteQuestion[], id: string): SiteQuestion[] =>
  questions.filter((q) => isOpen(q) && isAbout(q, id));
