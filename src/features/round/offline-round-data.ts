import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { FieldPlace } from '@/core/snapshot/round-snapshot';
import { statusOfBatch } from '@/core/status/batch-status';
import { saysOf } from '@/telling/status/says';
import { heapPicture, type HeapPicture } from '@/telling/status/picture';
import { routeOf } from '@/core/status/route';
import { checkDue } from '@/core/evidence/drift';
import { planDoubts } from '@/core/heap/plan';
import { bordersOf } from '@/core/heap/row';
import { positionText } from '@/core/words/position';
import type { SiteState } from '@/core/log/fold';
import type { Instrument } from '@/core/log/shapes';
import { soonText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import { toCelsius, type TempUnit } from '@/core/units/units';
import type { Locale } from '@/core/words/note';
import { planDoubtText } from '@/core/words/plan';
import { notNowText, routeReasonText } from '@/telling/status/route';
import { valueAt } from '@/core/quantity/present';

/** All that a round over the site needs on a phone with no signal; it is kept there and made anew whenever there is one. */
export type OfflineRoundData = {
  /** The hub's time when it was made, ms. */
  readonly now: number;
  readonly site: { readonly name: string; readonly timeZone: string };
  /** Unit to show where no thermometer says another. */
  readonly unit: TempUnit;
  readonly by: string;
  /** The walk to be made: the one that is under way, or one that every device that asks now would begin. */
  readonly walk: { readonly id: string; readonly openSince: number | null };
  readonly manualOrder: boolean;
  readonly heaps: readonly RoundHeap[];
  readonly instruments: readonly RoundInstrument[];
  readonly air: { readonly at: number; readonly c: number } | null;
};
export type RoundHeap = {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly place: string;
  readonly reason: string;
  /** Facts that its line states. */ readonly says?: string | undefined;
  readonly due: boolean;
  readonly notNow: string | null;
  readonly picture: HeapPicture;
  readonly shape: string | null;
  readonly coreDepthM: number | null;
  readonly lengthM: number | null;
  readonly minPoints: number;
  readonly floorC: number;
  readonly probe: string | null;
  readonly places: readonly FieldPlace[];
  /** What is doubtful about where it is read, in words. */
  readonly doubts: readonly string[];
  readonly walk: {
    readonly id: string;
    readonly at: number;
    readonly by: string;
    readonly done: 'read' | 'left';
  } | null;
  /** Its page asks for caution: too hot. */
  /** How dangerous its heat is, where it is. */ readonly danger: 'fire' | 'high' | null;
};
export type RoundInstrument = Pick<
  Instrument,
  'name' | 'unit' | 'stemM' | 'minC' | 'maxC' | 'out'
> & {
  readonly kind: string | null;
  readonly settleS: number;
  readonly checked: string | null;
  /** A check is due. */ readonly checkLate: boolean;
};

/** Half a minute, or more by the instrument (common practice). */
const SETTLE_S = 30;
/** A walk that somebody began is joined within so long. */
const JOIN_MS = 3 * MS.hour;

/** @param freshWalk id of a walk not yet begun, the same for every device until the next round is logged: made from the time of the last one */
export function createOfflineRoundData(
  site: { name: string; timeZone: string; unit: TempUnit },
  board: readonly BatchSnapshot[],
  state: SiteState,
  by: string,
  locale: Locale,
  freshWalk: (after: number) => string,
): OfflineRoundData {
  const { now, unit } = locale;
  const byId = new Map(board.map((d) => [d.id, d]));
  const placed = board.map((d) => ({ id: d.id, name: d.name ?? d.code, position: d.position }));
  const instruments = [...state.instruments].map(([name, known]): RoundInstrument => {
    const checks = state.probes.get(name) ?? [];
    const last = checks.reduce((a, c) => Math.max(a, c.at), -Infinity);
    const due = checkDue(checks, known?.checkDays);
    return {
      name,
      unit: known?.unit ?? site.unit,
      kind: known?.kind ?? null,
      settleS: known?.settleS ?? SETTLE_S,
      checked: due === null ? null : soonText(site.timeZone, last, now),
      checkLate: due === null || due <= now,
      ...(known?.stemM === undefined ? {} : { stemM: known.stemM }),
      ...(known?.minC === undefined ? {} : { minC: known.minC }),
      ...(known?.maxC === undefined ? {} : { maxC: known.maxC }),
      ...(known?.out === undefined ? {} : { out: known.out }),
    };
  });
  const stems = new Map(instruments.map((i) => [i.name, i.stemM ?? null]));
  const heaps = routeOf(board, state.walkOrder, now).map(
    ({ id, reason, due, notNow }): RoundHeap => {
      const d = valueAt(byId, id);
      const status = statusOfBatch(d, now);
      const { danger } = status;
      const { shape, coreDepthM, lengthM, minPoints, places, probe, walk } = d.field;
      const doubts = planDoubts(places, {
        coreDepthM,
        stemM: probe === null ? null : (stems.get(probe) ?? null),
        minPoints,
        borders: bordersOf(placed, id),
        borderM: state.settings.borderM,
      });
      return {
        id,
        code: d.code,
        name: d.name ?? d.code,
        place: positionText(d.position),
        reason: routeReasonText(reason, locale),
        says: saysOf(status, 'danger', 'act:read'),
        due,
        notNow: notNow && notNowText(notNow, locale),
        picture: heapPicture(d, locale),
        shape,
        coreDepthM,
        lengthM,
        minPoints,
        floorC: d.situation.proof.floorC,
        probe,
        places,
        doubts: doubts.map(planDoubtText),
        walk,
        danger: danger.level === 'fire' || danger.level === 'high' ? danger.level : null,
      };
    },
  );
  const walked = board.flatMap((d) => (d.field.walk ? [d.field.walk] : []));
  const open = walked
    .filter((w) => now - w.at < JOIN_MS && w.at <= now)
    .sort((a, b) => b.at - a.at)[0];
  const since = open ? Math.min(...walked.filter((w) => w.id === open.id).map((w) => w.at)) : null;
  const lastRound = board.reduce((a, d) => Math.max(a, d.latest?.at ?? 0), 0);
  const air = state.ambient
    .filter((a) => a.at <= now)
    .reduce<{ at: number; c: number } | null>(
      (a, x) => (a === null || x.at >= a.at ? { at: x.at, c: toCelsius(x.value, x.unit) } : a),
      null,
    );
  return {
    now,
    site: { name: site.name, timeZone: site.timeZone },
    unit,
    by,
    walk: { id: open?.id ?? freshWalk(lastRound), openSince: since },
    manualOrder: state.walkOrder !== null,
    heaps,
    instruments,
    air,
  };
}
