import { notFound } from 'next/navigation';
import { LotScreen } from '../../ui/LotScreen';
import { lotPageView } from '../../view';
import type { LotsGiven } from '../../matter';
import { lotRefOf, lotsGiven } from '../queries';
import { Concerns } from '@/ui/Concerns';
import { OpenQuestions } from '@/features/questions/ui/OpenQuestions';
import { openAbout } from '@/core/status/open-questions';
import { concernTexts } from '@/telling/status/concerns';
import { namesOf, questionLines } from '@/telling/status/questions';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

/** What speaks against the evidence of a lot, in words. */
const openLines = ({ questions, board, state, locale }: LotsGiven, id: string) =>
  questionLines(openAbout(questions, id), namesOf(board, state), locale);

/** What came in with its loads and limits its use; of an empty lot nothing is left to mind. */
const openConcerns = ({ book, store, locale }: LotsGiven, id: string): string[] =>
  book.isEmpty(id)
    ? []
    : concernTexts(book.factsOf(id).concerns, {
        store,
        timeZone: locale.timeZone,
        namesSuppliers: true,
      });

export async function LotPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await loadPageContext()];
  const given = await lotsGiven(s);
  const page = lotPageView(given, id);
  if (!page) notFound();
  return (
    <PageShell s={s} place="lots">
      <LotScreen
        page={page}
        lot={lotRefOf(s, given, id)}
        questions={<OpenQuestions lines={openLines(given, id)} />}
        concerns={<Concerns texts={openConcerns(given, id)} />}
      />
    </PageShell>
  );
}
