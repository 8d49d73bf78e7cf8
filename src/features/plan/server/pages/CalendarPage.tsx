import { headers } from 'next/headers';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { calendarKeyJustMade } from '../calendar-key';
import { Feeds } from '../../ui/Feeds';

export async function CalendarPage() {
  const [s, head] = [await loadPageContext(), await headers()];
  return (
    <PageShell s={s} place="plan">
      <Feeds
        calendarKey={calendarKeyJustMade()}
        host={head.get('host') ?? ''}
        people={(s.siteState.work?.crew ?? []).map((p) => p.name)}
      />
    </PageShell>
  );
}
