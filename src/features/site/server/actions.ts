'use server';
import { redirect } from 'next/navigation';
import { currentAccess, publicSite, theDb } from '@/db/context';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo } from '@/db/repositories/site';
import { tempUnitOf } from '@/core/units/units';
import { now } from '@/platform/clock';
import { newId } from '@/platform/ids';
import { SiteInput, type NamedSite } from '../input';

export type SiteAnswer = {
  readonly problems: Partial<Record<'name' | 'timeZone' | 'units', string>>;
  readonly typed: Record<string, string>;
};

/** Makes a site with its first manager. */
const createSite = (named: NamedSite, manager: string): Promise<void> =>
  theDb()
    .transaction()
    .execute(async (trx) => {
      const site = newId();
      const unit = tempUnitOf(named.units);
      await siteRepo(trx).create({ id: site, ...named, unit, demoUntil: null });
      const member = { site, person: manager, role: 'manager' as const, partner: null };
      await memberRepo(trx).setMember(member, now());
    });

/** Names a new site; done once. */
export async function nameSite(_before: SiteAnswer, form: FormData): Promise<SiteAnswer> {
  const typed = Object.fromEntries(
    [...form].filter((pair): pair is [string, string] => typeof pair[1] === 'string'),
  );
  const parsed = SiteInput.safeParse(typed);
  if (!parsed.success)
    return {
      typed,
      problems: Object.fromEntries(parsed.error.issues.map((i) => [String(i.path[0]), i.message])),
    };
  const { person } = await currentAccess();
  if (!person) redirect('/sign-in');
  if (!(await publicSite())) await createSite(parsed.data, person.id);
  redirect('/start');
}
