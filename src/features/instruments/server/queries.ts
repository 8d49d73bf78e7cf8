import { readBatchState } from '@/db/repositories/states';
import { driftOf, checkDue, isOff } from '@/core/evidence/drift';
import type { BatchRule } from '@/core/snapshot/assess-batch';
import { assessBatch } from '@/core/snapshot/assess-batch';
import type { ProbeCheck } from '@/core/evidence/types';
import { requireEntryId } from '@/core/log/ids';
import { foldSite, type LoggedCheck, type SiteState } from '@/core/log/fold';
import { MS } from '@/core/quantity/instant';
import { soonText, dayText } from '@/core/quantity/format';
import { boilingPointC } from '@/core/quantity/water';
import type { Locale } from '@/core/words/note';
import type { CheckEffect, CheckPreview } from '../check-preview';
import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { Site } from '@/db/repositories/site';
import { now as clockNow } from '@/platform/clock';
import { newId } from '@/platform/ids';
import { effectsOf, type Effect } from '@/entry/effects';

/** Thermometers of the site: what they are, how their checks went, what is due. */
export async function instrumentScreen(site: Site, { timeZone, now }: Locale) {
  const { probes, instruments, settings } = await snapshotRepo(theDb()).siteState(site);
  const list = [...instruments]
    .sort(([a], [b]) => a.localeCompare(b, 'en', { numeric: true }))
    .map(([name, known]) => {
      const checks = [...(probes.get(name) ?? [])].sort((a, b) => b.at - a.at);
      const due = checkDue(checks, known?.checkDays);
      return {
        name,
        known,
        due: due === null ? null : { text: dayText(timeZone, due), late: due <= now },
        drift: driftOf(checks, now),
        checks: checks.map((c) => ({
          entry: c.entry,
          when: soonText(timeZone, c.at, now),
          referenceC: c.referenceC,
          readC: c.readC,
          off: isOff(c, known?.accuracyK),
        })),
      };
    });
  return {
    list,
    altitudeM: settings.altitudeM,
    boilsC: boilingPointC(settings.altitudeM),
    settings,
  };
}

/** A check that is not logged yet. */
type NewCheck = ProbeCheck & { readonly probe: string };

const changesOf = (list: readonly Effect[]): Effect[] => list.filter((e) => !e.none);

/** The site with other checks of one thermometer. */
const withChecks = (
  siteState: SiteState,
  probe: string,
  checks: readonly LoggedCheck[],
): SiteState => ({ ...siteState, probes: new Map(siteState.probes).set(probe, checks) });

/** What other checks of a thermometer would make of the rules of each batch that was read with it, one list for each change. */
async function effectsOnBatches(
  site: Site,
  siteState: SiteState,
  probe: string,
  changed: readonly SiteState[],
): Promise<{ readonly heaps: number; readonly lists: readonly CheckEffect[][] }> {
  const at = clockNow();
  const lists = changed.map((): CheckEffect[] => []);
  let heaps = 0;
  for (const id of await logRepo(theDb()).batchIds(site.id)) {
    const state = await readBatchState(theDb(), id);
    if (!state?.readings.some((r) => r.probe === probe)) continue;
    heaps += 1;
    const assessed = (s: SiteState): readonly BatchRule[] =>
      assessBatch(state, site, s, at)?.rules ?? [];
    const [was, heap] = [assessed(siteState), state.opened.name ?? state.opened.code];
    changed.forEach((s, i) => {
      const effects = changesOf(effectsOf(was, assessed(s), heap));
      if (effects.length > 0) lists[i]?.push({ heap, effects });
    });
  }
  return { heaps, lists };
}

/** What a check of a thermometer would do to the verdicts of every batch that was read with it. */
export async function checkEffects(
  site: Site,
  { probe, ...check }: NewCheck,
): Promise<CheckPreview> {
  const siteState = foldSite(await logRepo(theDb()).ofSite(site.id));
  const checks = siteState.probes.get(probe) ?? [];
  const entry = requireEntryId(newId());
  const before = checks.filter((c) => c.at < check.at);
  const last = before.length > 0 ? Math.max(...before.map((c) => c.at)) : null;
  // Two hours after the check before it, so that the two are not taken for one.
  const everSince = last === null ? 0 : Math.min(check.at, last + 2 * MS.hour + 1);
  const { heaps, lists } = await effectsOnBatches(
    site,
    siteState,
    probe,
    [check.at, everSince].map((at) =>
      withChecks(siteState, probe, [...checks, { ...check, entry, at }]),
    ),
  );
  const [counts = [], doubts = []] = lists;
  return { since: last === null ? null : dayText(site.timeZone, last), counts, doubts, heaps };
}

/** What voiding a check would do to them. Null: it does not stand in the log. */
export async function voidEffects(site: Site, entry: string): Promise<CheckPreview | null> {
  const siteState = foldSite(await logRepo(theDb()).ofSite(site.id));
  const found = [...siteState.probes].find(([, list]) => list.some((c) => c.entry === entry));
  if (!found) return null;
  const [probe, checks] = found;
  const rest = checks.filter((c) => c.entry !== entry);
  const { heaps, lists } = await effectsOnBatches(site, siteState, probe, [
    withChecks(siteState, probe, rest),
  ]);
  return { since: null, counts: lists[0] ?? [], doubts: [], heaps };
}
