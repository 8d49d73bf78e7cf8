import { isoOf } from '../quantity/instant';
import type { BatchState, LoggedEvent, SiteState, Terms } from '../log/fold';
import { getKindDescription, kindOfFileEvent } from '../log/entry';
import type { FileEvent } from '../log/shapes';
import { LIBRARY_EDITION } from '../rules/library';
import type { BatchFile } from './batch-file';

/** The site as a batch file names it. */
export type SiteHead = {
  readonly name: string;
  readonly timeZone: string;
  readonly unit: 'C' | 'F';
};

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

/**
 * The batch as an open file: the one way from the log to evidence, so that a verdict on the screen and one
 * reckoned from the exported file cannot differ. Null while the batch is building: no clock has started.
 * @param terms the rules and policy to carry: those in force, unless an earlier version is asked for
 */
export function batchFileOf(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  terms: Terms = state.terms.at(-1)!,
): BatchFile | null {
  if (state.builtAt === null) return null;
  const { opened } = state;
  const brought = opened.brought;
  const own = new Set((brought?.probes ?? []).map((p) => p.id));
  // A thermometer of this site whose id the brought-in file uses for another one is told apart.
  const siteProbe = (id: string): string => (own.has(id) ? `${id} (site)` : id);
  const used = new Set<string>();
  const hand = new Set(
    state.entries.filter((e) => e.kind === 'round' && e.data.source === 'hand').map((e) => e.id),
  );
  const readings = state.readings.map(({ entry, ...r }) => {
    if (r.probe === undefined || !hand.has(entry)) return r;
    used.add(r.probe);
    return { ...r, probe: siteProbe(r.probe) };
  });
  const siteProbes = [...used].map((id) => ({
    id: siteProbe(id),
    checks: (siteState.probes.get(id) ?? []).map((c) => ({
      at: isoOf(c.at),
      referenceC: c.referenceC,
      readC: c.readC,
    })),
  }));
  const builtAt = state.builtAt;
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
    readings,
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
    events: state.events
      .filter((e) => !state.struck.has(e.id))
      .flatMap((e) => [eventOf(e), ...moistureOf(e)]),
  };
}

const extraOf = (
  extra: Record<string, unknown> | undefined,
  key: string,
): Record<string, unknown> => (extra?.[key] ?? {}) as Record<string, unknown>;
