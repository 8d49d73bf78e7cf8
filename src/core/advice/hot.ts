import type { Limits } from '../log/shapes';
import type { Method } from '../evidence/types';
import { MS, type Instant } from '../quantity/instant';
import { APART_MS } from './turn';
import { theilSen, type RoundHeat } from './trend';
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
  /** On its way up to the limit to act within a day; null: it is not. */
  readonly rising: {
    readonly perDay: number;
    readonly reachesAt: Instant;
    readonly actC: number;
  } | null;
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

/** A rise is measured over the checks of the last two days, which must span six hours at least. */
const RISE_MS = 2 * MS.day;
const RISE_SPAN_MS = 6 * MS.hour;
/** Slower rises are ignored, K a day. */
const RISES_K = 1;
/** A warning is given at most this long before the limit to act is reached. */
const AHEAD_MS = MS.day;

/** When a pile that is not too hot yet will reach the limit to act; null: not within a day. */
function risingOf({ rounds, lastTurn, limits, now }: HotSituation): HotAdvice['rising'] {
  const last = rounds.findLast((r) => r.at <= now);
  const from = Math.max(lastTurn ?? -Infinity, (last?.at ?? 0) - RISE_MS);
  const checks = rounds.filter((r) => r.at <= now && r.at > from);
  const first = checks[0];
  if (!first || !last || last.peakC >= limits.actC || last.at - first.at < RISE_SPAN_MS)
    return null;
  const perDay = theilSen(checks.map((r) => ({ at: r.at, c: r.peakC })))?.perDay ?? 0;
  if (perDay < RISES_K) return null;
  const reachesAt = last.at + Math.round(((limits.actC - last.peakC) / perDay) * MS.day);
  return reachesAt - last.at <= AHEAD_MS ? { perDay, reachesAt, actC: limits.actC } : null;
}

/** Whether a round answers a smell of burning before it: read later, and below the limit from which heat is watched. */
const answersSmell = (
  { at, peakC }: RoundHeat,
  { burnt, limits }: Pick<HotSituation, 'burnt' | 'limits'>,
): boolean => burnt !== null && at > burnt && peakC < limits.warnC;

type HotState = {
  readonly rising: HotAdvice['rising'];
  /** Turned since it is too hot, and still too hot. */ readonly turnedInVain: boolean;
  /** Something was done since, or it was read long ago: only reading it shows how hot it is. */
  readonly isOpenQuestion: boolean;
};
const only = (is: boolean, ...choices: readonly HotChoice[]): readonly HotChoice[] =>
  is ? choices : [];

/** What may be done, the gentlest first. */
function choicesFor(
  s: HotSituation,
  level: HotLevel,
  { rising, turnedInVain, isOpenQuestion }: HotState,
): readonly HotChoice[] {
  if (level === 'danger') return AT_DANGER;
  if (isOpenQuestion) return ['look-again'];
  const isBig = (s.volumeM3 ?? 0) > SPLITS_OVER_M3 && s.kept !== 'vessel';
  const capOff = only(s.kept === 'static', 'cap-off');
  if (level === 'warn')
    return [
      ...only(rising !== null && isBig, 'split'),
      ...only(rising !== null && s.dry, 'wet'),
      'look-again',
      ...capOff,
    ];
  const turnedLately = s.lastTurn !== null && s.now - s.lastTurn < APART_MS;
  return [
    ...capOff,
    ...only(s.dry, 'wet'),
    ...only(!turnedLately && !turnedInVain && s.kept !== 'vessel', 'turn'),
    ...only(isBig || (turnedInVain && s.kept !== 'vessel'), 'split'),
    ...only(!s.dry, 'wet'),
    'look-again',
  ];
}

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
          rising: null,
          escalate: false,
          choices: AT_DANGER,
          followUpAt: s.burnt + FOLLOW_UP_H.danger * MS.hour,
          overdue: s.burnt + FOLLOW_UP_H.danger * MS.hour < s.now,
          burnt,
        }
      : null;
  const rising = risingOf(s);
  const level: HotLevel | null =
    last.peakC >= dangerC || burnt
      ? 'danger'
      : last.peakC >= actC
        ? 'act'
        : last.peakC >= warnC || rising !== null
          ? 'warn'
          : null;
  if (level === null) return null;
  const old = s.now - last.at > STALE_MS;
  const cooler = s.rounds.findLastIndex((r) => r.at <= last.at && r.peakC < actC);
  const overSince = last.peakC >= actC ? itemAt(s.rounds, cooler + 1).at : null;
  // A turning that did not cool it will not do so a second time on the same day.
  const turnedInVain = s.lastTurn !== null && overSince !== null && s.lastTurn > overSince;
  const answeredAt = s.cooledAt !== null && s.cooledAt > last.at ? s.cooledAt : null;
  const choices = choicesFor(s, level, {
    rising,
    turnedInVain,
    isOpenQuestion: answeredAt !== null || old,
  });
  const readIn = FOLLOW_UP_H[level] * MS.hour;
  // Read again before it gets there, and not more often than a heap that is there.
  const halfWay = rising
    ? Math.max(FOLLOW_UP_H.act * MS.hour, (rising.reachesAt - last.at) / 2)
    : Infinity;
  const followUpAt = (answeredAt ?? last.at) + Math.min(readIn, halfWay);
  return {
    level,
    coreC: last.peakC,
    at: last.at,
    answeredAt,
    old,
    limitC: level === 'danger' ? dangerC : level === 'act' ? actC : warnC,
    dangerC,
    overSince,
    rising: level === 'warn' ? rising : null,
    escalate:
      overSince !== null && overSince < last.at && (turnedInVain || last.at - overSince > MS.day),
    choices,
    followUpAt,
    overdue: followUpAt < s.now,
    burnt,
  };
}
