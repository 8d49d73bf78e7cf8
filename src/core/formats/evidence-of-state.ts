import type { Evidence, Probe, Reading } from '../evidence/types';
import type { BatchState, LoggedReading, SiteState, Terms } from '../log/fold';
import { instantOf, type Instant } from '../quantity/instant';
import { resolveFilePolicy } from './batch-file';
import { eventsOfState, nameProbes, type SiteHead } from './batch-file-of';

/** A moment that was parsed when it came in, and so can be read. */
const at = (text: string): Instant => instantOf(text);

/** Thermometers with their checks: those of a file that was brought in, then the site's own that it was read with. */
const probesOfState = (
  state: BatchState,
  siteState: SiteState,
  used: readonly { readonly id: string; readonly name: string }[],
): Probe[] => [
  ...(state.opened.brought?.probes ?? []).map((p) => ({
    id: p.id,
    checks: p.checks.map((c) => ({ at: at(c.at), referenceC: c.referenceC, readC: c.readC })),
  })),
  ...used.map(({ id, name }) => ({
    id: name,
    // A batch file has no entry ids for checks, so the evidence has none either.
    checks: (siteState.probes.get(id) ?? []).map((c) => ({
      at: c.at,
      referenceC: c.referenceC,
      readC: c.readC,
    })),
  })),
];

/** A reading as evidence. @param probe the name of its thermometer there */
export const readingOf = (r: LoggedReading, probe: string | undefined): Reading => ({
  id: r.id,
  at: r.time,
  point: r.point,
  probe,
  value: r.value,
  unit: r.unit,
  round: r.round,
  flag: r.flag,
  recordedAt: r.recordedAt === undefined ? undefined : at(r.recordedAt),
  ...(r.toCheck ? { toCheck: r.toCheck } : {}),
});

/**
 * What the log of a batch says, as evidence; the same that its exported file says, without a file between. Null while the batch is
 * building: no clock has started.
 * @param terms the policy that it is judged by
 */
export function evidenceOfState(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  terms: Terms,
): Evidence | null {
  const { builtAt, opened } = state;
  if (builtAt === null) return null;
  const { brought } = opened;
  const { probeOf, siteProbes } = nameProbes(state);
  return {
    timeZone: brought?.timeZone ?? site.timeZone,
    unit: (brought ? brought.unit : site.unit) ?? 'C',
    method: opened.method,
    builtAt,
    shape: opened.shape,
    coreDepthM: opened.coreDepthM,
    policy: resolveFilePolicy(terms.policy),
    points: state.points,
    probes: probesOfState(state, siteState, siteProbes),
    readings: state.readings.map((r) => readingOf(r, probeOf(r))),
    events: eventsOfState(state).map(({ at: moment, event }) => ({ ...event, at: moment })),
    ambient: brought
      ? (brought.ambient ?? []).map((a) => ({ at: at(a.at), value: a.value, unit: a.unit }))
      : siteState.ambient.filter((a) => a.at >= builtAt),
  };
}
