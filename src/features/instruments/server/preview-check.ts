import { requireSite } from '@/db/context';
import { timeTyped } from '@/entry/input';
import { now } from '@/platform/clock';
import type { CheckPreview } from '../check-preview';
import type { AskedCheck } from '../input';
import { checkEffects } from './queries';

/** What a check of a thermometer would do to past and present verdicts, reckoned and not kept. Null: its time cannot be. */
export async function previewCheck(check: AskedCheck): Promise<CheckPreview | null> {
  const site = await requireSite();
  const moment = now();
  const at = check.at === null ? moment : timeTyped(check.at, site.timeZone, moment);
  if (typeof at === 'string') return null;
  return checkEffects(site, { ...check, at });
}
