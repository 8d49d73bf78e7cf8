import { readBatchState } from '@/db/repositories/states';
import { driftOf, checkDue, isOff } from '@/core/evidence/drift';
import type { BatchRule } from '@/core/snapshot/assess-batch';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { foldSite, type SiteState } from '@/core/log/fold';
import { soonText, dayText } from '@/core/quantity/format';
import { boilingPointC } from '@/core/quantity/water';
import type { Locale } from '@/core/words/note';
import type { CheckEffect, CheckPreview } from '../check-preview';
import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { Site } from '@/db/repositories/site';
import { now as clockNow } from '@/platform/clock';
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

type NewCheck = {
  readonly probe: string;
  readonly referenceC: number;
  readonly readC: number;
  readonly at: number;
};

const told = (list: readonly Effect[]): Effect[] => list.filter((e) => !e.none);

/** What a check of a thermometer would do to the verdicts of every heap that was read with it. */
export async function checkEffects(site: Site, check: NewCheck): Promise<CheckPreview> {
  const at = clockNow();
  const repo = logRepo(theDb());
  const [siteState, ids] = [foldSite(await repo.ofSite(site.id)), await repo.batchIds(site.id)];
  const before = (siteState.probes.get(check.probe) ?? []).filter((c) => c.at < check.at);
  const last = before.length > 0 ? Math.max(...before.map((c) => c.at)) : null;
  const withCheck = (when: number): SiteState => ({
    ...siteState,
    probes: new Map([
      ...siteState.probes,
      [
        check.probe,
        [
          ...(siteState.probes.get(check.probe) ?? []),
          { at: when, referenceC: check.referenceC, readC: check.readC },
        ],
      ],
    ]),
  });
  // Two hours after the check before it, so that the two are not taken for one.
  const [asDated, everSince] = [
    withCheck(check.at),
    withCheck(last === null ? 0 : Math.min(check.at, last + 2 * 3_600_000 + 1)),
  ];
  const counts: CheckEffect[] = [];
  const doubts: CheckEffect[] = [];
  let heaps = 0;
  for (const id of ids) {
    const state = await readBatchState(theDb(), id);
    if (!state?.readings.some((r) => r.probe === check.probe)) continue;
    heaps += 1;
    const assessed = (s: SiteState): readonly BatchRule[] =>
      assessBatch(state, site, s, at)?.rules ?? [];
    const [was, heap] = [assessed(siteState), state.opened.name ?? state.opened.code];
    const [now, since] = [
      told(effectsOf(was, assessed(asDated), heap)),
      told(effectsOf(was, assessed(everSince), heap)),
    ];
    if (now.length > 0) counts.push({ heap, effects: now });
    if (since.length > 0) doubts.push({ heap, effects: since });
  }
  return { since: last === null ? null : dayText(site.timeZone, last), counts, doubts, heaps };
}
