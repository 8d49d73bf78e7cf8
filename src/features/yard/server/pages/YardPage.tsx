import { tasksOf } from '@/core/advice/tasks';
import { cardOf } from '@/core/snapshot/card';
import { tempText } from '@/core/quantity/format';
import { Today } from '@/features/day/ui/Today';
import { availableLabourNow, roundsOfSite, todayView } from '@/features/day/view';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { AirStrip } from '../../ui/AirStrip';
import { EmptyYard, Yard } from '../../ui/Yard';
import { storeDue } from '@/features/store/server/queries';
import { yardScreen } from '../../view';

const TWO_DAYS_MS = 172_800_000;

export async function YardPage() {
  const s = await loadPageContext();
  const screen = yardScreen(s.board, s.locale, s.prefs.volume);
  const { work } = s.siteState;
  const tasks = tasksOf(
    s.board.map(cardOf),
    { ...roundsOfSite(s.siteState, s.now), loads: await storeDue(s.site.id, s.now) },
    s.now,
  );
  const today = (
    <Today
      view={todayView(
        tasks,
        availableLabourNow(work, s.site.timeZone, s.now),
        work?.machine?.name ?? null,
        s.siteState.fireCard !== null,
        s.locale,
      )}
      by={s.prefs.by}
    />
  );
  const sky = (
    <AirStrip
      air={s.air}
      from={s.now - TWO_DAYS_MS}
      to={s.now}
      label={(c) => tempText(c, s.unit)}
    />
  );
  return (
    <PageShell s={s} place="yard" sky={sky}>
      {s.board.length > 0 ? (
        <Yard {...screen} today={today} />
      ) : (
        <EmptyYard today={tasks.length > 0 ? today : null} />
      )}
    </PageShell>
  );
}
