'use server';
import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { SITE_COOKIE } from '@/db/access';
import { currentAccess, theDb } from '@/db/context';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo } from '@/db/repositories/site';
import { tempUnitOf } from '@/core/units/units';
import { now } from '@/platform/clock';
import { YEAR_S } from '@/entry/server/forms';
import { env } from '@/platform/env';
import { inSite } from '@/platform/current-request';
import { newId } from '@/platform/ids';
import { mayNameSite } from './queries';
import { SiteInput, type NamedSite } from '../input';

export type SiteAnswer = {
  readonly problems: Partial<Record<'name' | 'timeZone' | 'units', string>>;
  readonly typed: Record<string, string>;
};

/** Makes a site with its first manager. */
function createSite(named: NamedSite, manager: string): Promise<void> {
  const site = newId();
  const unit = tempUnitOf(named.units);
  // What is written of a site is written for it: the database takes it for no other.
  return inSite(site, () =>
    theDb()
      .transaction()
      .execute(async (trx) => {
        await siteRepo(trx).create({ id: site, ...named, unit, demoUntil: null });
        const member = { site, person: manager, role: 'manager' as const, partner: null };
        await memberRepo(trx).setMember(member, now());
      }),
  ).then(() => chooseSite(site));
}

/** From now on this device asks for a site. */
async function chooseSite(site: string): Promise<void> {
  const jar = await cookies();
  jar.set(SITE_COOKIE, site, {
    ...{ httpOnly: true, sameSite: 'lax', path: '/', maxAge: YEAR_S },
    secure: env.isHttpsOnly(),
  });
}

/** Names a new site. */
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
  if (!(await mayNameSite())) redirect('/refused');
  await createSite(parsed.data, person.id);
  redirect('/start');
}
