import type { OutDoubt } from '../log/lot-shapes';
import { assessUse, questionsOf } from '../release/assess-release';
import { findUse, type ReleaseItem, type Use, type UseId } from '../release/uses';
import { openAbout, type SiteQuestion } from './open-questions';
import type { LotBook } from '../lots/book';
import type { LotsState } from '../lots/fold';

/** The decision about a lot that stands at a moment, and what puts it in question since. */
export type LatestDecision = {
  readonly entry: LotsState['decisions'][number];
  /** Items of its uses that are not met any more, for which nobody gave a reason. */
  readonly questions: readonly ReleaseItem[];
  /** What speaks against its evidence and is not settled. */ readonly open: readonly SiteQuestion[];
};

/** What was decided last about a lot; null: nothing was. */
export function latestDecision(
  state: LotsState,
  book: LotBook,
  questions: readonly SiteQuestion[],
  lot: string,
): LatestDecision | null {
  const entry = state.decisions.findLast((d) => d.data.lot === lot && d.at <= book.now);
  if (!entry) return null;
  const { decision, uses, reasons } = entry.data;
  const facts = book.factsOf(lot);
  if (decision !== 'released' || facts.empty) return { entry, questions: [], open: [] };
  const assessed = uses
    .flatMap((id) => findUse(id, state.uses) ?? [])
    .map((use) => assessUse(use, facts, book.now));
  return {
    entry,
    questions: questionsOf(assessed, reasons),
    open: openAbout(questions, lot),
  };
}

/** Whether a release is in question: something that it rests on is not met any more, or speaks against it. */
export const isInQuestion = ({ questions, open }: LatestDecision): boolean =>
  questions.length + open.length > 0;

/** Why a lot should not go out now; null: it is released, and nothing speaks against it. @param use what it would be used for; null: nobody said */
export function outDoubtOf(
  state: LotsState,
  book: LotBook,
  questions: readonly SiteQuestion[],
  lot: string,
  use: UseId | null,
): OutDoubt | null {
  const standing = latestDecision(state, book, questions, lot);
  if (standing === null) return 'not-released';
  const { decision } = standing.entry.data;
  if (decision === 'hold') return 'on-hold';
  if (decision === 'refused') return 'refused';
  if (isInQuestion(standing)) return 'in-question';
  return use !== null && !standing.entry.data.uses.includes(use) ? 'other-use' : null;
}

/** The use by whose limits a test is shown where nobody asks for one: most of it goes onto growing beds. */
export const usualUse = ({ uses }: Pick<LotsState, 'uses'>): Use | undefined =>
  findUse('growing-beds', uses) ?? uses[0];
