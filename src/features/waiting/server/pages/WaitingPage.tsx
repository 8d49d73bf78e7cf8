import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { deviceMemoryTexts } from '../device-memory-texts';
import { Waiting } from '../../ui/Waiting';

export async function WaitingPage() {
  const s = await loadPageContext();
  const places = Object.fromEntries(
    s.board.map((d) => [d.id, d.field.places.map((p) => ({ id: p.id, label: p.label ?? p.id }))]),
  );
  return (
    <PageShell s={s} place="round">
      <Waiting
        timeZone={s.site.timeZone}
        places={places}
        sendsForOthers={s.records}
        texts={deviceMemoryTexts()}
      />
    </PageShell>
  );
}
