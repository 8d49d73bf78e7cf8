'use server';
import { requireSite } from '@/db/context';
import { timeTyped } from '@/entry/input';
import { now } from '@/platform/clock';
import { checkEffects, type CheckPreview } from './queries';

export type { CheckEffect, CheckPreview } from './queries';

/** What a check of a thermometer would do to past and present verdicts, reckoned and not kept. Null: its time cannot be. */
export async function previewCheck(check: {
  probe: string;
  referenceC: number;
  readC: number;
  at: string | null;
}): Promise<CheckPreview | null> {
  const site = await requireSite();
  const moment = now();
  const at = check.at === null ? moment : timeTyped(check.at, site.timeZone, moment);
  if (typeof at === 'string' || ![check.referenceC, check.readC].every(Number.isFinite))
    return null;
  return checkEffects(site, { ...check, at });
}
