import { DEMO_PEOPLE } from '@/core/access/demo-people';
import type { Db } from '@/db/client';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo } from '@/db/repositories/site';

/** The made-up people of the made-up site; whoever opens the demo picks one of them. */
export async function layUpDemoPeople(db: Db, now: number): Promise<void> {
  const site = await siteRepo(db).first();
  if (!site) return;
  for (const { id, name, role, partner } of DEMO_PEOPLE) {
    await memberRepo(db).createDemoPerson(id, name);
    await memberRepo(db).setMember(
      { site: site.id, person: id, role, partner: partner ?? null },
      now,
    );
  }
}
