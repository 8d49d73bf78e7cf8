import { openAbout, type SiteQuestion } from '@/core/status/open-questions';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { lotsRepo } from '@/db/repositories/lots';
import type { KnownSite } from '@/entry/server/lot-book';
import { readSiteQuestions } from '@/entry/server/site-questions';
import { namesOf, questionLines, type QuestionLine } from '@/telling/status/questions';

type Asking = KnownSite & { readonly locale: Locale };

async function linesOf(s: Asking, questions: readonly SiteQuestion[]): Promise<QuestionLine[]> {
  const { state } = await lotsRepo(theDb()).read(s.site.id, s.asOf);
  return questionLines(questions, namesOf(s.board, state), s.locale);
}

/** Everything that speaks against the evidence of a site, in words. */
export const loadQuestions = async (s: Asking): Promise<QuestionLine[]> =>
  linesOf(s, await readSiteQuestions(theDb(), s));

/** What is open of one batch, in words. */
export const loadOpenAbout = async (s: Asking, id: string): Promise<QuestionLine[]> =>
  linesOf(s, openAbout(await readSiteQuestions(theDb(), s), id));
