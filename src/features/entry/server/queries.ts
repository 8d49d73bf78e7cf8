import { deepestOf, depthOf } from '@/core/heap/places';
import { foldBatch, foldSite } from '@/core/log/fold';
import { fromCelsius, toCelsius } from '@/core/quantity/units';
import { parseInstant } from '@/core/quantity/instant';
import { soonText } from '@/core/quantity/format';
import { resolvePolicy } from '@/core/evidence/policy';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';

/** Places of a heap with what each read last, for a round. Null: no such heap. */
export async function roundScreen(id: string, site: Site, { timeZone, unit, now }: Locale) {
  if (!/^[0-9a-f-]{36}$/i.test(id)) return null;
  const entries = await logRepo(theDb()).ofBatch(id);
  if (entries.length === 0) return null;
  const state = foldBatch(entries);
  const siteState = foldSite(await logRepo(theDb()).ofSite(site.id));
  const last = new Map<string, { at: number; c: number }>();
  for (const r of state.readings) {
    const at = parseInstant(r.at)!;
    const before = last.get(r.point);
    if (r.flag === undefined && (!before || at >= before.at)) last.set(r.point, { at, c: toCelsius(r.value, r.unit) });
  }
  const deepest = deepestOf(state.opened.points);
  return {
    name: state.opened.name ?? state.opened.code,
    minPoints: resolvePolicy(state.opened.policy as Parameters<typeof resolvePolicy>[0]).minPoints,
    probes: [...siteState.probes.keys()].sort(),
    places: state.opened.points.map((p) => {
      const l = last.get(p.id);
      return { id: p.id, label: p.label ?? p.id, depth: depthOf(p, deepest), last: l ? Math.round(fromCelsius(l.c, unit) * 10) / 10 : null, lastWhen: l ? soonText(timeZone, l.at, now) : null };
    }),
  };
}

/** Thermometers of the site with their checks, latest first. */
export async function instrumentScreen(site: Site, { timeZone, now }: Locale) {
  const { probes } = foldSite(await logRepo(theDb()).ofSite(site.id));
  return [...probes].sort(([a], [b]) => (a < b ? -1 : 1)).map(([id, checks]) => ({
    id, checks: [...checks].sort((a, b) => b.at - a.at).map((c) => ({ when: soonText(timeZone, c.at, now), ageDays: (now - c.at) / 86_400_000, referenceC: c.referenceC, readC: c.readC })),
  }));
}
