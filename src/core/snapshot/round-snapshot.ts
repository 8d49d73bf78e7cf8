import type { Instant } from '../quantity/instant';
import { toCelsius, type TempUnit } from '../units/units';
import type { BatchState, LoggedReading, PlanPlace } from '../log/fold';
import type { HeapSize } from '../heap/plan';

/** The last value at a place, as it was read. */
type LastRead = {
  readonly at: Instant;
  readonly c: number;
  readonly value: number;
  readonly unit: TempUnit;
  readonly marks?: unknown;
  readonly high?: unknown;
};
export type FieldPlace = PlanPlace & { readonly last: LastRead | null };

/** What a round needs of a heap beside its standing; small, for it is carried on phones. */
export type RoundSnapshot = HeapSize & {
  readonly minPoints: number;
  readonly places: readonly FieldPlace[];
  /** Thermometer of the last round by hand. */
  readonly probe: string | null;
  /** The last walk over the site that came by: it was read, or left out. */
  readonly walk: {
    readonly id: string;
    readonly at: Instant;
    readonly by: string;
    readonly done: 'read' | 'left';
  } | null;
};

const lastRead = (r: LoggedReading | undefined): LastRead | null =>
  r === undefined
    ? null
    : {
        at: r.time,
        c: toCelsius(r.value, r.unit),
        value: r.value,
        unit: r.unit,
        ...(r.marks === undefined ? {} : { marks: r.marks }),
        ...(r.high === undefined ? {} : { high: r.high }),
      };

/**
 * What a round needs of a heap: its places and what they read last. @param minPoints places that a round needs to be
 * complete
 */
export function createRoundSnapshot(state: BatchState, minPoints: number): RoundSnapshot {
  const walks = state.entries.filter(
    (e) =>
      !state.struck.has(e.id) &&
      (e.kind === 'round' || e.kind === 'skip') &&
      e.data.walk !== undefined,
  );
  const walked = walks.reduce<(typeof walks)[number] | null>(
    (a, e) => (a === null || e.at >= a.at ? e : a),
    null,
  );
  const { position, opened } = state;
  return {
    shape: opened.shape ?? null,
    coreDepthM: opened.coreDepthM ?? null,
    lengthM:
      position && 'row' in position
        ? Math.round((position.toM - position.fromM) * 100) / 100
        : null,
    minPoints,
    probe: state.tally.lastByProbe?.probe ?? null,
    walk:
      walked && (walked.kind === 'round' || walked.kind === 'skip')
        ? {
            id: walked.data.walk!,
            at: walked.at,
            by: walked.by,
            done: walked.kind === 'round' ? 'read' : 'left',
          }
        : null,
    places: state.plan.slice(0, 60).map(({ id, label, zone, depthM, side, alongM }) => ({
      id,
      ...(label === undefined ? {} : { label }),
      ...(zone === undefined ? {} : { zone }),
      ...(depthM === undefined ? {} : { depthM }),
      ...(side === undefined ? {} : { side }),
      ...(alongM === undefined ? {} : { alongM }),
      last: lastRead(state.tally.lastAt.get(id)),
    })),
  };
}
