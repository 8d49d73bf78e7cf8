import { say } from '@/messages/say';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { recordRows } from '../../view';
import { Records } from '../../ui/Records';

export async function RecordsPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="records">
      <Records
        labels={{
          link: say('record.inspectorsLink'),
          builtDays: [say('record.builtFrom'), say('record.builtTo')],
        }}
        rows={recordRows(s.board, s.locale)}
        paper={s.unit === 'F' ? 'letter' : 'a4'}
      />
    </PageShell>
  );
}
