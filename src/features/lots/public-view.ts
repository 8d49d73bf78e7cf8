import { isInQuestion, latestDecision } from '@/core/status/lot-decision';
import { say } from '@/messages/say';
import { tracedShareText } from '@/core/flow/share-text';
import { dayText, listText, upperFirst } from '@/core/quantity/format';
import { LOT_KIND_WORDS, TEST_OUTCOME_WORDS, TEST_WORDS, USE_WORDS } from '@/core/words/lots';
import { findRule, shortTitle } from '@/core/rules/library';
import { standHeated, type LotFacts } from '@/core/release/assess-release';
import { usualUse } from '@/core/status/lot-decision';
import type { UseId } from '@/core/release/uses';
import { isGrave } from '@/core/mix/concerns';
import { concernTexts } from '@/telling/status/concerns';
import { nameOfMatter, unheatedText, type LotsGiven } from './matter';

/** What whoever scans a label may see of a lot: what it is made of, how it was heated, tests, cautions; no names of people. */
export type PublicLotView = {
  readonly site: string;
  readonly title: string;
  readonly made: readonly string[];
  readonly heated: readonly string[];
  readonly tests: readonly string[];
  readonly uses: string | null;
  /** What the site wrote for its label. */ readonly text: string | null;
  /** When some of it was first sold. */ readonly firstSold: string | null;
  readonly cautions: readonly string[];
  /** What went in that is to be minded at every use: for the label too. */
  readonly marks: readonly string[];
};

/** Materials by share; loads of one material are told together by their name. */
function madeOf(given: LotsGiven, lot: string): string[] {
  const { sources } = given.book.originOf(lot);
  return sources
    .filter((s) => given.store.loads.some((l) => (l.id as string) === s.lot))
    .map((s) => `${nameOfMatter(given, s.lot)}: ${tracedShareText(s.share)}`);
}

/** The rules that its batches met, and how much of it was never heated. */
function heatedOf(given: LotsGiven, lot: string, { germs }: LotFacts): string[] {
  const met = germs.flatMap((g) => {
    if (g.at === null || g.rule === null) return [];
    const rule = findRule(g.rule);
    return say('lots.heatedUnder', {
      batch: nameOfMatter(given, g.batch),
      rule: rule ? shortTitle(rule) : g.rule,
      at: dayText(given.locale.timeZone, g.at),
    });
  });
  return [...met, unheatedText(given, lot)];
}

/** When some of a lot was first sold. */
function firstSoldOf({ state, locale }: LotsGiven, lot: string): string | null {
  const sold = state.outs.find((o) => o.data.lot === lot && o.data.how === 'sold');
  return sold ? say('lots.firstSold', { at: dayText(locale.timeZone, sold.at) }) : null;
}

/** The public page of a lot; null: it is not switched on. */
export function publicLotView(given: LotsGiven, site: string, lot: string): PublicLotView | null {
  const { state, book } = given;
  const known = state.lots.get(lot);
  const page = state.pages.get(lot);
  if (!known || !page) return null;
  const facts = book.factsOf(lot);
  const use = usualUse(given.state);
  const decision = latestDecision(state, book, given.questions, lot);
  // The public page does not state a release that is in question.
  const stands = decision?.entry.data.decision === 'released' && !isInQuestion(decision);
  const released = stands ? decision.entry.data.uses : [];
  const concernsIn = (concerns: LotFacts['concerns']): string[] =>
    concernTexts(concerns, {
      store: given.store,
      timeZone: given.locale.timeZone,
      namesSuppliers: false,
    });
  return {
    site,
    title: `${LOT_KIND_WORDS[known.kind]} ${known.code}`,
    made: madeOf(given, lot),
    heated: heatedOf(given, lot, facts),
    tests: facts.tests
      .filter((t) => t.speaks)
      .map((t) => {
        const outcome = use ? t.assessedFor(use).outcome : 'open';
        return `${TEST_WORDS[t.kind]}: ${TEST_OUTCOME_WORDS[outcome]}`;
      }),
    uses:
      released.length > 0 ? upperFirst(listText(released.map((u) => USE_WORDS[u as UseId]))) : null,
    text: page.text,
    firstSold: firstSoldOf(given, lot),
    cautions: [
      say('lots.cautionHands'),
      say('lots.cautionDust'),
      say('lots.cautionPots'),
      ...concernsIn(facts.concerns.filter((c) => !isGrave(c))),
    ],
    marks: [
      ...(standHeated(facts) === 'met' ? [] : [say('lots.markUnheated')]),
      ...concernsIn(facts.concerns.filter(isGrave)),
    ],
  };
}
