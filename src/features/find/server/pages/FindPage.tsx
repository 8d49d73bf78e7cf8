import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { findOnSite } from '../queries';
import { Find } from '../../ui/Find';

/** What was typed is longer than anybody's question. */
const MOST_LETTERS = 100;

export async function FindPage({
  searchParams,
}: {
  searchParams: Promise<{ readonly q?: string | string[] }>;
}) {
  const [{ q }, s] = [await searchParams, await loadPageContext()];
  const typed = (typeof q === 'string' ? q : '').slice(0, MOST_LETTERS);
  return (
    <PageShell s={s} place="find">
      <Find typed={typed} found={await findOnSite(s.site, s.board, typed, s.locale)} />
    </PageShell>
  );
}
