import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { loadEntryRows } from '../queries';
import { Entries } from '../../ui/Entries';

/** Every entry of the site, newest first, before a day where one is asked for. */
export async function EntriesPage({
  searchParams,
}: {
  searchParams: Promise<{ readonly to?: string }>;
}) {
  const [{ to }, s] = [await searchParams, await loadPageContext()];
  const day = /^\d{4}-\d{2}-\d{2}$/.test(to ?? '') ? (to ?? null) : null;
  return (
    <PageShell s={s} place="entries">
      <Entries to={day ?? ''} {...await loadEntryRows(s.site, s.board, day, s.locale)} />
    </PageShell>
  );
}
