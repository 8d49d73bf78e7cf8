'use server';
import { revalidatePath } from 'next/cache';
import { reckon } from '@/core/digest/digest';
import type { Entry, NewEntry } from '@/core/log/entry';
import { foldBatch, foldSite } from '@/core/log/fold';
import { ownRulesOf } from '@/core/formats/batch-file';
import { findRule } from '@/core/rules/library';
import { PROBLEM, type Problem } from '@/core/words/problem';
import { requireSite, theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { writeEntries } from '@/db/write';
import { now } from '@/platform/clock';
import { log } from '@/platform/log';
import { parseEntryForm, type EntryForm } from '../input';
import { effectsOf, type Effect } from '../view';

export type Preview = { readonly effects: readonly Effect[] | null; readonly problems: readonly Problem[] };
export type LogAnswer = { readonly ok: true; readonly already: boolean } | { readonly ok: false; readonly problems: readonly Problem[] };
const problem = (path: string, message: string): LogAnswer => ({ ok: false, problems: [{ path, message }] });

/** The one door for what a person logs. The same id twice is answered as done, once. */
export async function logEntry(form: EntryForm): Promise<LogAnswer> {
  const site = await requireSite();
  const at = now();
  const parsed = parseEntryForm(form, site.timeZone, at);
  if (!parsed.ok) return parsed;
  const { entry } = parsed;
  const wrong = await misplaced(entry);
  if (wrong) return wrong;
  try {
    const { already } = await writeEntries(theDb(), site, [entry], at);
    revalidatePath('/', 'layout');
    return { ok: true, already: already.length > 0 };
  } catch (error) {
    log.error({ error: error instanceof Error ? error.message : error, entry: entry.id }, 'an entry was not written');
    return problem('(form)', 'It could not be written just now. What you typed is still here: try again.');
  }
}

/** What no single form can tell: whether the batch, the place or the entry it speaks of is there. */
async function misplaced(entry: NewEntry): Promise<LogAnswer | null> {
  if (entry.kind === 'opened') return entry.batch === entry.id ? null : problem('batch', 'A new heap takes the id of the entry that opens it.');
  if (entry.batch === null) return null;
  const entries = await logRepo(theDb()).ofBatch(entry.batch);
  if (entries.length === 0) return problem('batch', 'There is no such heap on this site.');
  const state = foldBatch(entries);
  if (entry.kind === 'round') {
    const places = new Set(state.opened.points.map((p) => p.id));
    const i = entry.data.readings.findIndex((r) => !places.has(r.point));
    if (i >= 0) return problem(`data.readings[${i}].point`, `This heap has no place '${entry.data.readings[i]!.point}'.`);
  }
  if (entry.kind === 'terms') {
    const own = ownRulesOf(entry.data.ownRules);
    const unknown = entry.data.rules.find((id) => !findRule(id, own));
    if (unknown !== undefined) return problem('data.rules', PROBLEM.unknownRule(unknown));
  }
  if (entry.kind === 'correction') {
    const { target, reading } = entry.data;
    if (!entries.some((e) => e.id === target)) return problem('data.target', 'The entry to correct is not in this heap’s log.');
    if (reading !== undefined && !state.readings.some((r) => r.id === reading && r.flag === undefined)) return problem('data.reading', 'That reading is not there, or is struck already.');
  }
  return null;
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
