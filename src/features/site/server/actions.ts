'use server';
import { redirect } from 'next/navigation';
import { theDb, theSite } from '@/db/context';
import { siteRepo } from '@/db/repositories/site';
import { tempUnitOf } from '@/core/units/units';
import { newId } from '@/platform/ids';
import { SiteInput } from '../input';

export type SiteAnswer = {
  readonly problems: Partial<Record<'name' | 'timeZone' | 'units', string>>;
  readonly typed: Record<string, string>;
};

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
  if (!(await theSite()))
    await siteRepo(theDb()).create({
      id: newId(),
      ...parsed.data,
      unit: tempUnitOf(parsed.data.units),
      demoUntil: null,
    });
  redirect('/start');
}
