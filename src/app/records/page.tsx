import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { recordRows } from '@/features/record/view';
import { Records } from '@/features/record/ui/Records';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.records.name };

export default async function RecordsPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="records">
      <Records rows={recordRows(s.board, s.locale)} paper={s.unit === 'F' ? 'letter' : 'a4'} />
    </PageShell>
  );
}
