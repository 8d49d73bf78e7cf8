import type { Limits } from '../log/shapes';
import type { Method } from '../evidence/types';
import { MS, type Instant } from '../quantity/instant';
import { APART_MS } from './turn';
import type { RoundHeat } from './trend';
import { itemAt } from '../quantity/present';

/** What to do with a heap that is too hot: by the site's own limits, else those of its method. */
type HotLevel = 'warn' | 'act' | 'danger';
/** A way out, the gentlest that may still help first; at danger, what comes before anything else. */
export type HotChoice =
  'turn' | 'split' | 'wet' | 'cap-off' | 'look-again' | 'keep-back' | 'do-not-open' | 'call';

export type HotSituation = {
  readonly now: Instant;
  readonly limits: Limits;
  readonly kept: Method;
  readonly rounds: readonly RoundHeat[];
  readonly lastTurn: Instant | null;
  /** When something was last done that cools it; null: nothing was. */
  readonly cooledAt: Instant | null;
  readonly volumeM3: number | null;
  readonly dry: boolean;
  /** A smell of burning, or a round whose reader said that it may be on fire; a later round below the limit to watch answers it. */
  readonly burnt: Instant | null;
};

export type HotAdvice = {
  readonly level: HotLevel;
  /** As last read; null: never read, somebody smelled burning. */
  readonly coreC: number | null;
  readonly at: Instant;
  readonly limitC: number;
  /** From where it is a danger: a figure below is not shown as reaching it. */ readonly dangerC: number;
  /** What was done since that reading: it has answered it, and only reading shows whether it was enough. Null: nothing. */
  readonly answeredAt: Instant | null;
  /** Read so long ago that it says little of the heat now. */
  readonly old: boolean;
  /** Since when every round was over the limit to act. */
  readonly overSince: Instant | null;
  /** It was cooled once and is still too hot, or has been for a day: somebody else must know. */
  readonly escalate: boolean;
  readonly choices: readonly HotChoice[];
  /** Read it again by then. */
  readonly followUpAt: Instant;
  readonly overdue: boolean;
  readonly burnt: boolean;
};

/** How soon it is read again, h: within the day, within hours, within the hour (common practice). */
const FOLLOW_UP_H: Readonly<Record<HotLevel, number>> = { warn: 24, act: 4, danger: 1 };
/** Heaps over this are better halved than turned, m³ (common practice: two smaller heaps shed more heat). */
const SPLITS_OVER_M3 = 4;
const AT_DANGER: readonly HotChoice[] = ['keep-back', 'do-not-open', 'call', 'look-again'];
/** What is older than this says little of the heat now. */
const STALE_MS = 3 * MS.day;

/** Whether a round answers a smell of burning before it: read later, and below the limit from which heat is watched. */
const answersSmell = (
  { at, peakC }: RoundHeat,
  { burnt, limits }: Pick<HotSituation, 'burnt' | 'limits'>,
): boolean => burnt !== null && at > burnt && peakC < limits.warnC;

/** Null: it was not too hot when it was last read, and nobody smelled burning. What nobody has read since stays, for nothing says that it cooled. */
export function hotAdvice(s: HotSituation): HotAdvice | null {
  const last = s.rounds.findLast((r) => r.at <= s.now);
  const { warnC, actC, dangerC } = s.limits;
  const burnt =
    s.burnt !== null && s.burnt <= s.now && (last === undefined || !answersSmell(last, s));
  if (!last)
    return burnt
      ? {
          level: 'danger',
          coreC: null,
          at: s.burnt,
          limitC: dangerC,
          dangerC,
          answeredAt: null,
          old: false,
          overSince: null,
          escalate: false,
          choices: AT_DANGER,
          followUpAt: s.burnt + FOLLOW_UP_H.danger * MS.hour,
          overdue: s.burnt + FOLLOW_UP_H.danger * MS.hour < s.now,
          burnt,
        }
      : null;
  const level: HotLevel | null =
    last.peakC >= dangerC || burnt
      ? 'danger'
      : last.peakC >= actC
        ? 'act'
        : last.peakC >= warnC
          ? 'warn'
          : null;
  if (level === null) return null;
  const old = s.now - last.at > STALE_MS;
  const cooler = s.rounds.findLastIndex((r) => r.at <= last.at && r.peakC < actC);
  const overSince = last.peakC >= actC ? itemAt(s.rounds, cooler + 1).at : null;
  const turnedLately = s.lastTurn !== null && s.now - s.lastTurn < APART_MS;
  // A turning that did not cool it will not do so a second time on the same day.
  const turnedInVain = s.lastTurn !== null && overSince !== null && s.lastTurn > overSince;
  const big = (s.volumeM3 ?? 0) > SPLITS_OVER_M3;
  const answeredAt = s.cooledAt !== null && s.cooledAt > last.at ? s.cooledAt : null;
  const choices: readonly HotChoice[] =
    level === 'danger'
      ? AT_DANGER
      : answeredAt !== null || old
        ? ['look-again']
        : level === 'warn'
          ? ['look-again', ...(s.kept === 'static' ? (['cap-off'] as const) : [])]
          : [
              ...(s.kept === 'static' ? (['cap-off'] as const) : []),
              ...(s.dry ? (['wet'] as const) : []),
              ...(turnedLately || turnedInVain || s.kept === 'vessel' ? [] : (['turn'] as const)),
              ...(s.kept !== 'vessel' && (big || turnedInVain) ? (['split'] as const) : []),
              ...(s.dry ? [] : (['wet'] as const)),
              'look-again',
            ];
  const followUpAt = (answeredAt ?? last.at) + FOLLOW_UP_H[level] * MS.hour;
  return {
    level,
    coreC: last.peakC,
    at: last.at,
    answeredAt,
    old,
    limitC: level === 'danger' ? dangerC : level === 'act' ? actC : warnC,
    dangerC,
    overSince,
    escalate:
      overSince !== null && overSince < last.at && (turnedInVain || last.at - overSince > MS.day),
    choices,
    followUpAt,
    overdue: followUpAt < s.now,
    burnt,
  };
}
