import { say } from '@/messages/say';
import { CROP_FAMILY_WORDS, RELEASE_ITEM_WORDS, TEST_WORDS, USE_WORDS } from '@/core/words/lots';
import { labValueText, limitAskText } from '@/core/lots/texts';
import { dayText, joinParts, listText } from '@/core/quantity/format';
import { diseasedFamiliesIn } from '@/core/mix/concerns';
import type { Standing } from '@/core/release/limits';
import { isInQuestion, latestDecision } from '@/core/status/lot-decision';
import type { AssessedUse } from '@/core/release/assess-release';
import type { ReleaseItem, UseCaution, UseId } from '@/core/release/uses';
import { nameOfMatter, unheatedText, type LotsGiven } from './matter';
import { testView } from './test-view';

/** What a release shows: the decision that stands, and what each use asks. */

export type UseView = {
  readonly id: UseId;
  readonly name: string;
  readonly standing: AssessedUse['standing'];
  readonly says: string;
  /** What to mind in this use. */ readonly cautions: readonly string[];
  readonly lines: readonly {
    readonly item: ReleaseItem;
    readonly name: string;
    readonly must: boolean;
    readonly standing: Standing;
    readonly says: string;
    readonly evidence: readonly { readonly text: string; readonly href: string | null }[];
  }[];
};
/** How a decision stands: what it says, and what puts it in question since. */
export type DecisionView = {
  readonly id: string;
  readonly decision: 'released' | 'hold' | 'refused';
  readonly text: string;
  readonly words: string | null;
  readonly reasons: readonly string[];
  /** What is not met any more. */ readonly questions: readonly string[];
  /** Whether that, or what speaks against its evidence, puts it in question. */
  readonly inQuestion: boolean;
};
export function decisionView(given: LotsGiven, lot: string): DecisionView | null {
  const { state, book, locale } = given;
  const standing = latestDecision(state, book, given.questions, lot);
  if (!standing) return null;
  const { entry: last, questions } = standing;
  const { decision, uses, reasons, words } = last.data;
  return {
    id: last.id,
    decision,
    text: say('lots.decidedBy', {
      decision,
      uses: listText(uses.map((u) => USE_WORDS[u as UseId])),
      by: last.by,
      at: dayText(locale.timeZone, last.at),
    }),
    words: words ?? null,
    reasons: reasons.map((r) =>
      say('lots.reasonLine', { item: RELEASE_ITEM_WORDS[r.item as ReleaseItem], words: r.words }),
    ),
    questions: questions.map((item) => RELEASE_ITEM_WORDS[item]),
    inQuestion: isInQuestion(standing),
  };
}

function evidenceViews(
  given: LotsGiven,
  line: AssessedUse['lines'][number],
  kind: 'germs' | 'seeds' | null,
  lot: string,
) {
  const { book, locale, state } = given;
  if (kind !== null)
    return book.factsOf(lot)[kind].map((e) => ({
      text: say('lots.metByBatch', {
        batch: nameOfMatter(given, e.batch),
        met: e.at === null ? 'no' : e.rimUnread ? 'rim' : 'yes',
        at: e.at === null ? '' : dayText(locale.timeZone, e.at),
      }),
      href: `/batch/${e.batch}`,
    }));
  if (line.item === 'limits')
    return line.limits.map((l) => ({
      text: say('lots.limitLine', {
        analyte: l.limit.analyte,
        asks: limitAskText(l.limit),
        found: l.results.length > 0 ? listText(l.results.map(labValueText)) : say('lots.noResult'),
        standing: l.standing === 'not-met' ? 'notmet' : l.standing,
      }),
      href: null,
    }));
  return line.evidence.flatMap((id) => {
    const t = state.tests.find((x) => (x.id as string) === id);
    if (!t) return [];
    const v = testView(given, lot, t);
    return [{ text: joinParts(v.title, v.outcome, v.stale && say('lots.stale')), href: null }];
  });
}

function lineSays(given: LotsGiven, lot: string, { use }: AssessedUse, item: ReleaseItem): string {
  const facts = given.book.factsOf(lot);
  switch (item) {
    case 'heated-throughout':
      return unheatedText(given, lot);
    case 'curing-days':
      return say('lots.saysDays', {
        days: facts.days === null ? 0 : Math.floor(facts.days),
        least: use.leastDays,
      });
    case 'maturity':
      return say('lots.saysMaturity', {
        atLeast: use.maturity.atLeast,
        of: listText(use.maturity.of.map((t) => TEST_WORDS[t])),
      });
    case 'bioassay':
      return say('lots.saysSprayed', { sprayed: facts.sprayed });
    case 'screened':
      return say('lots.saysMesh', {
        mesh: use.meshMm ?? 0,
        has: facts.meshMm === null ? 'no' : 'yes',
        own: facts.meshMm ?? 0,
      });
    case 'covered':
      return say('lots.saysCovered', {
        covered: facts.covered === null ? 'unknown' : facts.covered ? 'yes' : 'no',
      });
    default:
      return '';
  }
}

/** What to mind in a use, as far as it can matter for this lot. */
function cautionTexts(given: LotsGiven, lot: string, cautions: readonly UseCaution[]): string[] {
  const diseased = diseasedFamiliesIn(given.book.factsOf(lot).concerns);
  return cautions.flatMap((caution) => {
    if (caution === 'salt') return say('lots.cautionSalt');
    if (caution === 'plastic') return say('lots.cautionPlastic');
    if (diseased.length === 0) return [];
    return say('lots.cautionFamily', {
      families: listText(diseased.map((f) => CROP_FAMILY_WORDS[f])),
    });
  });
}

export function useView(given: LotsGiven, lot: string, assessed: AssessedUse): UseView {
  const kindOf = (item: ReleaseItem): 'germs' | 'seeds' | null =>
    item === 'germ-rule' ? 'germs' : item === 'seed-rule' ? 'seeds' : null;
  return {
    id: assessed.use.id,
    name: USE_WORDS[assessed.use.id],
    standing: assessed.standing,
    says: say('lots.useStands', {
      standing: assessed.standing,
      open: assessed.lines.filter((l) => l.standing !== 'met').length,
    }),
    cautions: cautionTexts(given, lot, assessed.use.cautions),
    lines: assessed.lines.map((l) => ({
      item: l.item,
      name: RELEASE_ITEM_WORDS[l.item],
      must: l.force === 'must',
      standing: l.standing,
      says: lineSays(given, lot, assessed, l.item),
      evidence: evidenceViews(given, l, kindOf(l.item), lot),
    })),
  };
}
