'use server';
import { revalidatePath } from 'next/cache';
import { reckon } from '@/core/digest/digest';
import type { Entry } from '@/core/log/entry';
import { foldBatch, foldSite } from '@/core/log/fold';
import type { Problem } from '@/core/words/problem';
import { requireSite, theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { now } from '@/platform/clock';
import { parseEntryForm, timeTyped, type EntryForm } from '../input';
import { effectsOf, type Effect } from '../view';
import { takeIn, type Taken } from './door';
import { checkEffects, type CheckPreview } from './instruments';

export type { CheckEffect, CheckPreview } from './instruments';
export type Preview = { readonly effects: readonly Effect[] | null; readonly problems: readonly Problem[] };
/** The door for a form of its own action; forms that may be filled in without a signal go through the outbox. */
export async function logEntry(form: EntryForm): Promise<Taken> {
  const taken = await takeIn(form);
  if (taken.ok) revalidatePath('/', 'layout');
  return taken;
}

/**
 * What an entry would do to each verdict, reckoned and not kept; who writes it does not matter here.
 * Null effects: it cannot be said, for the reasons beside. Empty: no clock is running.
 */
export async function previewEntry(form: EntryForm): Promise<Preview> {
  const site = await requireSite();
  const at = now();
  const parsed = parseEntryForm({ ...form, by: form.by.trim() || '?' }, site.timeZone, at);
  if (!parsed.ok) return { effects: null, problems: parsed.problems };
  const { entry } = parsed;
  if (entry.batch === null) return { effects: [], problems: [] };
  const [entries, siteEntries] = await Promise.all([logRepo(theDb()).ofBatch(entry.batch), logRepo(theDb()).ofSite(site.id)]);
  if (entries.length === 0) return { effects: [], problems: [] };
  const siteState = foldSite(siteEntries);
  const judged = (list: readonly Entry[]) => reckon(foldBatch(list), site, siteState, at)?.accounts ?? [];
  const proposed = { ...entry, seq: Infinity, recordedAt: at, hash: '' } as Entry;
  const { opened } = foldBatch(entries);
  return { effects: effectsOf(judged(entries), judged([...entries, proposed]), opened.name ?? opened.code), problems: [] };
}

/** What a check of a thermometer would do to past and present verdicts, reckoned and not kept. Null: its time cannot be. */
export async function previewCheck(check: { probe: string; referenceC: number; readC: number; at: string | null }): Promise<CheckPreview | null> {
  const site = await requireSite();
  const moment = now();
  const at = check.at === null ? moment : timeTyped(check.at, site.timeZone, moment);
  if (typeof at === 'string' || ![check.referenceC, check.readC].every(Number.isFinite)) return null;
  return checkEffects(site, { ...check, at });
}
