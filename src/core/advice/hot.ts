import type { Limits } from '../log/shapes';
import type { Method } from '../evidence/types';
import { MS, type Instant } from '../quantity/instant';
import { APART_MS } from './turn';
import type { RoundHeat } from './trend';

/** What to do with a heap that is too hot: by the site's own limits, else those of its method. */
export type HotLevel = 'warn' | 'act' | 'danger';
/** A way out, the gentlest that may still help first; at danger, what comes before anything else. */
export type HotChoice = 'turn' | 'split' | 'wet' | 'cap-off' | 'look-again' | 'keep-back' | 'do-not-open' | 'call';

export type HotSituation = {
  readonly now: Instant;
  readonly limits: Limits;
  readonly kept: Method;
  readonly rounds: readonly RoundHeat[];
  readonly lastTurn: Instant | null;
  readonly volumeM3: number | null;
  readonly dry: boolean;
  /** A smell of burning, or a round whose reader said that it may be on fire. */
  readonly burnt: Instant | null;
};

export type HotAdvice = {
  readonly level: HotLevel;
  readonly coreC: number;
  readonly at: Instant;
  readonly limitC: number;
  /** Since when every round was over the limit to act, °C. */
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
/** What is older than this says nothing of the heat now. */
const STALE_MS = 3 * MS.day;

/** Null: it is not too hot, or nobody has looked in three days. */
export function hotAdvice(s: HotSituation): HotAdvice | null {
  const last = s.rounds.findLast((r) => r.at <= s.now);
  const burnt = s.burnt !== null && s.burnt > s.now - MS.day;
  if (!last || s.now - last.at > STALE_MS) return null;
  const { warnC, actC, dangerC } = s.limits;
  const level: HotLevel | null = last.peakC >= dangerC || (burnt && last.peakC >= warnC) ? 'danger' : last.peakC >= actC ? 'act' : last.peakC >= warnC ? 'warn' : null;
  if (level === null) return null;
  const cooler = s.rounds.findLastIndex((r) => r.at <= last.at && r.peakC < actC);
  const overSince = last.peakC >= actC ? s.rounds[cooler + 1]!.at : null;
  const turnedLately = s.lastTurn !== null && s.now - s.lastTurn < APART_MS;
  // A turning that did not cool it will not do so a second time on the same day.
  const turnedInVain = s.lastTurn !== null && overSince !== null && s.lastTurn > overSince;
  const big = (s.volumeM3 ?? 0) > SPLITS_OVER_M3;
  const choices: HotChoice[] = level === 'danger' ? ['keep-back', 'do-not-open', 'call', 'look-again'] : level === 'warn' ? ['look-again', ...(s.kept === 'static' ? (['cap-off'] as const) : [])] : [
    ...(s.kept === 'static' ? (['cap-off'] as const) : []), ...(s.dry ? (['wet'] as const) : []), ...(turnedLately || turnedInVain || s.kept === 'vessel' ? [] : (['turn'] as const)),
    ...(s.kept !== 'vessel' && (big || turnedInVain) ? (['split'] as const) : []), ...(s.dry ? [] : (['wet'] as const)), 'look-again',
  ];
  const followUpAt = last.at + FOLLOW_UP_H[level] * MS.hour;
  return {
    level, coreC: last.peakC, at: last.at, limitC: level === 'danger' ? dangerC : level === 'act' ? actC : warnC, overSince,
    escalate: overSince !== null && (turnedInVain || s.now - overSince > MS.day), choices, followUpAt, overdue: followUpAt < s.now, burnt,
  };
}
