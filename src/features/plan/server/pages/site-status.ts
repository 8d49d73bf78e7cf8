import { statusOfSite, type SiteStatus } from '@/core/status/site-status';
import type { PageContext } from '@/features/frame/server/queries';
import { lotsGiven } from '@/features/lots/server/queries';
import { lotTasks } from '@/features/lots/view';
import { storeDue } from '@/features/store/server/queries';

/** What can be said of the site’s day, with its lots and the loads in stock. */
export async function loadSiteStatus(s: PageContext): Promise<SiteStatus> {
  const other = {
    loads: await storeDue(s.site.id, s.now, s.asOf),
    lots: lotTasks(await lotsGiven(s)),
  };
  return statusOfSite(s.board, s.siteState, other, s.site.timeZone, s.now);
}
