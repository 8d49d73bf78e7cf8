import { issueText } from '@/core/words/issue-text';
import { currentAccess, theDb } from '@/db/context';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo } from '@/db/repositories/site';
import { tempUnitOf } from '@/core/units/units';
import { now } from '@/platform/clock';
import { fieldsOf, sendBack, sendOn, siteCookie } from '@/entry/server/forms';
import { inSite } from '@/platform/current-request';
import { newId } from '@/platform/ids';
import { mayNameSite } from './queries';
import { SiteInput, type NamedSite } from '../input';

/** Makes a site with its first manager. @returns its id */
async function createSite(named: NamedSite, manager: string): Promise<string> {
  const site = newId();
  const unit = tempUnitOf(named.units);
  // What is written of a site is written for it: the database takes it for no other.
  await inSite(site, () =>
    theDb()
      .transaction()
      .execute(async (trx) => {
        await siteRepo(trx).create({ id: site, ...named, unit, demoUntil: null });
        const member = { site, person: manager, role: 'manager' as const, partner: null };
        await memberRepo(trx).setMember(member, now());
      }),
  );
  return site;
}

/** Names a new site; back to its form with what was typed, where something is wrong with it. */
export async function nameSite(request: Request): Promise<Response> {
  const typed = await fieldsOf(request);
  const parsed = SiteInput.safeParse(typed, { error: issueText });
  if (!parsed.success) return sendBack('/site', typed);
  const { person } = await currentAccess();
  if (!person) return sendOn('/sign-in');
  if (!(await mayNameSite())) return sendOn('/refused');
  return sendOn('/start', [siteCookie(await createSite(parsed.data, person.id))]);
}
