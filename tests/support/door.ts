import { siteRepo, type Site } from '@/db/repositories/site';
import { actAs, memberAccess } from './access';
import { aSite, freshDatabase } from './database';
import { closePools, pointPoolsAt } from './pools';

/** The door of the log on a fresh database with one site, as the running application has it. */
export async function doorOnSite() {
  const t = await freshDatabase();
  pointPoolsAt(t);
  await aSite(t.app);
  const site: Site = (await siteRepo(t.app).first())!;
  actAs(memberAccess(site, 'manager'));
  return {
    t,
    site,
    door: await import('@/entry/server/ingest-entry'),
    previewEntry: (await import('@/entry/server/preview-entry')).previewEntry,
    close: async (): Promise<void> => {
      await closePools();
      await t.drop();
    },
  };
}
export type Doored = Awaited<ReturnType<typeof doorOnSite>>;
