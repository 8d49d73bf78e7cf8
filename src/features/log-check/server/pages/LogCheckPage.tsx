import { localInput } from '@/core/quantity/calendar';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { LogCheck } from '../../ui/LogCheck';
import { loadLogCheck } from '../queries';

/** Whether the log fits, who vouches for it, and where a manager takes note of what does not fit. */
export async function LogCheckPage() {
  const s = await loadPageContext();
  const heap = {
    ...{ id: '', name: s.site.name, by: s.prefs.by, unit: s.unit },
    nowLocal: localInput(s.site.timeZone, s.now),
  };
  return (
    <PageShell s={s} place="log-check">
      <LogCheck
        view={await loadLogCheck(s.site, s.siteState, s.now)}
        heap={heap}
        manages={s.manages}
      />
    </PageShell>
  );
}
