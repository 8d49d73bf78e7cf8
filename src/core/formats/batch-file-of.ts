import type { UnitSystem } from '../units/units';
import { say } from '../../messages/say';
import { isoOf, type Instant } from '../quantity/instant';
import type { BatchState, LoggedEvent, SiteState, Terms } from '../log/fold';
import { getKindDescription, kindOfFileEvent } from '../log/entry';
import type { FileEvent, FileReading } from '../log/shapes';
import { LIBRARY_EDITION } from '../rules/library';
import type { BatchFile } from './batch-file';
import { lastOf } from '../quantity/present';

/** The site as a batch file names it. */
export type SiteHead = {
  readonly name: string;
  readonly timeZone: string;
  readonly unit: 'C' | 'F';
  /** What it measures in; absent: what goes with its thermometers. */
  readonly units?: UnitSystem;
};

/** The system of units that a site measures in. */
export const systemOfSite = ({ unit, units }: Pick<SiteHead, 'unit' | 'units'>): UnitSystem =>
  units ?? (unit === 'F' ? 'us' : 'metric');

function eventOf({ id, at, kind, data, by }: LoggedEvent): FileEvent {
  const { fileId, extra, ...rest } = data;
  const type = getKindDescription(kind).fileEvent!;
  // An observation or a release travels as a note that still says what it was.
  const was = kindOfFileEvent(type) === kind ? {} : { kind };
  return {
    by,
    ...was,
    ...extra,
    ...rest,
    id: fileId ?? id,
    at: extra?.at ?? isoOf(at),
    type,
  } as unknown as FileEvent;
}

/** What a handful says of the moisture, which the seed dose asks for. */
const MOISTURE_OF = { crumbles: 'dry', holds: 'moist', drops: 'moist', runs: 'wet' } as const;

/** A squeeze test counts as a moisture event too; one from a file has its own beside it already. */
function moistureOf(e: LoggedEvent): FileEvent[] {
  if (e.kind !== 'observation' || e.data.squeeze === undefined || e.data.fileId !== undefined)
    return [];
  return [
    {
      id: `${e.id}.moisture`,
      at: isoOf(e.at),
      type: 'moisture',
      state: MOISTURE_OF[e.data.squeeze],
      by: e.by,
    },
  ];
}

type NamedProbes = {
  /** A reading's thermometer under the name that tells it apart. */
  readonly probeOf: (reading: BatchState['readings'][number]) => string | undefined;
  /** Thermometers of this site that it was read with: the name here, and the name beside the brought-in ones. */
  readonly siteProbes: readonly { readonly id: string; readonly name: string }[];
};

/** The names that the thermometers of a batch have beside those of a file that was brought in. */
export function nameProbes(state: BatchState): NamedProbes {
  const own = new Set((state.opened.brought?.probes ?? []).map((p) => p.id));
  // A thermometer of this site whose id the brought-in file uses for another one is told apart.
  const siteProbe = (id: string): string => (own.has(id) ? say('formats.site', { id }) : id);
  const used = new Set<string>();
  const hand = new Set(
    state.entries.filter((e) => e.kind === 'round' && e.data.source === 'hand').map((e) => e.id),
  );
  for (const r of state.readings) if (r.probe !== undefined && hand.has(r.entry)) used.add(r.probe);
  return {
    probeOf: ({ probe, entry }) =>
      probe === undefined || !hand.has(entry) ? probe : siteProbe(probe),
    siteProbes: [...used].map((id) => ({ id, name: siteProbe(id) })),
  };
}

/** Readings of a batch as its file names them. */
const readingsOfState = (
  { readings }: BatchState,
  { probeOf }: NamedProbes,
): readonly FileReading[] =>
  readings.map((reading): FileReading => {
    const { entry: _entry, time: _time, ...r } = reading;
    return r.probe === undefined ? r : { ...r, probe: probeOf(reading) };
  });

/** Events that stand, as a batch file names them, each with its moment. */
export const eventsOfState = (
  state: BatchState,
): readonly { readonly at: Instant; readonly event: FileEvent }[] =>
  state.events
    .filter((e) => !state.struck.has(e.id))
    .flatMap((e) =>
      [eventOf(e), ...moistureOf(e)].map((event) => ({
        at: e.at,
        event: state.toCheck.has(e.id) ? asUnchecked(event) : event,
      })),
    );

/** An event that somebody is still to check: a turning is not counted as a full one. */
const asUnchecked = (event: FileEvent): FileEvent =>
  event.type === 'turn' ? { ...event, full: false, toCheck: true } : event;

/**
 * The batch as an open file. Evidence is made from the state directly (`evidence-of-state.ts`); that both say the same is held by
 * a test. Null while the batch is building: no clock has started.
 * @param terms the rules and policy to carry: those in force, unless an earlier version is asked for
 */
export function batchFileOf(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  terms: Terms = lastOf(state.terms),
): BatchFile | null {
  if (state.builtAt === null) return null;
  const { opened, builtAt } = state;
  const brought = opened.brought;
  const probes = nameProbes(state);
  const siteProbes = probes.siteProbes.map(({ id, name }) => ({
    id: name,
    checks: (siteState.probes.get(id) ?? []).map((c) => ({
      at: isoOf(c.at),
      referenceC: c.referenceC,
      readC: c.readC,
    })),
  }));
  const ambient = brought
    ? brought.ambient
    : siteState.ambient
        .filter((a) => a.at >= builtAt)
        .map((a) => ({ at: isoOf(a.at), value: a.value, unit: a.unit }));
  return {
    ...brought?.extra,
    format: 'zealous-heap/batch',
    version: 1,
    site: brought
      ? {
          ...extraOf(brought.extra, 'site'),
          name: brought.siteName,
          timeZone: brought.timeZone,
          ...(brought.unit ? { unit: brought.unit } : {}),
        }
      : { name: site.name, timeZone: site.timeZone, unit: site.unit },
    batch: {
      ...extraOf(brought?.extra, 'batch'),
      code: opened.code,
      method: opened.method,
      builtAt: state.builtAs ?? isoOf(builtAt),
      ...(opened.name === undefined ? {} : { name: opened.name }),
      ...(opened.shape === undefined ? {} : { shape: opened.shape }),
      ...(opened.coreDepthM === undefined ? {} : { coreDepthM: opened.coreDepthM }),
    },
    policy: terms.policy,
    points: state.points as BatchFile['points'],
    probes: [...(brought?.probes ?? []), ...siteProbes],
    readings: [...readingsOfState(state, probes)],
    ...(ambient ? { ambient } : {}),
    ...(terms.ownRules.length > 0 ? { rules: [...terms.ownRules] } : {}),
    ...(brought && terms.version === 1
      ? {}
      : {
          terms: {
            version: terms.version,
            since: isoOf(terms.since),
            siteVersion: terms.siteVersion,
            library: LIBRARY_EDITION,
            rules: terms.rules,
          },
        }),
    events: eventsOfState(state).map(({ event }) => event),
  };
}

const extraOf = (
  extra: Record<string, unknown> | undefined,
  key: string,
): Record<string, unknown> => (extra?.[key] ?? {}) as Record<string, unknown>;
