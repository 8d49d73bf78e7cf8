import { requireSite } from '@/db/context';
import { timeTyped } from '@/entry/input';
import { now } from '@/platform/clock';
import type { CheckPreview } from '../check-preview';
import type { AskedCheck } from '../input';
import { checkEffects, voidEffects } from './queries';

/** What a check of a thermometer, or voiding one, would do to past and present verdicts; worked out, and not logged. Null: its time cannot be, or it is not there. */
export async function previewCheck(check: AskedCheck): Promise<CheckPreview | null> {
  const site = await requireSite();
  if ('voids' in check) return voidEffects(site, check.voids);
  const moment = now();
  const at = check.at === null ? moment : timeTyped(check.at, site.timeZone, moment);
  if (typeof at === 'string') return null;
  return checkEffects(site, { ...check, at });
}
