import { assessBatch } from '@/core/snapshot/assess-batch';
import type { Entry } from '@/core/log/entry';
import { foldBatch } from '@/core/log/fold';
import type { Problem } from '@/core/words/problem';
import { requireSite, theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import { AskedEntry, parseEntryForm } from '../input';
import { atQuestion } from './at-question';
import { effectsOf, type Effect } from '@/entry/effects';
import { createLinkedEntries } from './linked-entries';

export type Preview = {
  readonly effects: readonly Effect[] | null;
  readonly problems: readonly Problem[];
};
/**
 * What an entry would do to each verdict, reckoned and not kept; who writes it does not matter here.
 * Null effects: it cannot be said, for the reasons beside. Empty: no clock is running.
 */
export async function previewEntry(form: AskedEntry): Promise<Preview> {
  const site = await requireSite();
  const at = now();
  const parsed = parseEntryForm({ ...form, by: form.by.trim() || '?' }, site.timeZone, at);
  if (!parsed.ok) return { effects: null, problems: parsed.problems };
  const { entry } = parsed;
  if (entry.batch === null) return { effects: [], problems: [] };
  const siteState = await snapshotRepo(theDb()).siteState(site);
  const ends = await createLinkedEntries(theDb(), entry, site);
  if (!ends.ok) return { effects: null, problems: ends.problems };
  const all = [entry, ...ends.others];
  const judged = (list: readonly Entry[]) =>
    assessBatch(foldBatch(list), site, siteState, at)?.rules ?? [];
  const effects: Effect[] = [];
  // Each heap that the act touches; one that it opens has nothing to lose yet.
  for (const batch of new Set(
    all.flatMap((e) => (e.batch === null || e.kind === 'opened' ? [] : [e.batch])),
  )) {
    const entries = await logRepo(theDb()).ofBatch(batch);
    if (entries.length === 0) continue;
    const proposed = all
      .filter((e) => e.batch === batch)
      .map((e, i) => ({ ...e, seq: Number.MAX_SAFE_INTEGER - 100 + i, recordedAt: at, hash: '' }));
    const { opened } = foldBatch(entries);
    const name = opened.name ?? opened.code;
    const own = effectsOf(judged(entries), judged([...entries, ...proposed]), name);
    effects.push(
      ...(batch === entry.batch
        ? own
        : own.filter((e) => !e.none).map((e) => ({ ...e, rule: `${name}, ${e.rule}` }))),
    );
  }
  return { effects, problems: [] };
}

/** The same as a route. */
export const answerEntryQuestion = atQuestion(AskedEntry, previewEntry);
