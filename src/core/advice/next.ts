import { MS, type Instant } from '../quantity/instant';

/** What to do next with a heap, as data; the words are in words/advice.ts. */
export type Advice =
  | { readonly code: 'CLOSE_WHEN_BUILT' }
  | { readonly code: 'TOO_HOT'; readonly peakC: number; readonly limitC: number; readonly danger: boolean }
  | { readonly code: 'READ_AFTER_TURN'; readonly turnedAt: Instant; readonly due: Instant; readonly second: boolean }
  | { readonly code: 'READ_BEFORE_LOST'; readonly due: Instant; readonly last: Instant; readonly creditedHours: number; readonly maxGapHours: number }
  | { readonly code: 'READ_RECOVERING'; readonly due: Instant; readonly valueC: number; readonly floorC: number }
  | { readonly code: 'TURN_OWED'; readonly owed: number; readonly due: Instant }
  | { readonly code: 'KEEP_READING'; readonly due: Instant; readonly missingHours: number }
  | { readonly code: 'WAIT_FOR_HEAT'; readonly due: Instant; readonly valueC: number | null; readonly floorC: number }
  | { readonly code: 'FIND_OUT_WHY'; readonly due: Instant; readonly valueC: number; readonly floorC: number }
  | { readonly code: 'PROVEN_MOVE_ON'; readonly valueC: number | null }
  | { readonly code: 'LEAVE_TO_CURE' }
  | { readonly code: 'NOTHING' };

/** What the advice looks at. Times are instants, temperatures °C. */
export type Situation = {
  readonly now: Instant;
  readonly stage: 'building' | 'curing' | 'released' | 'live';
  readonly status: 'proven' | 'waiting' | 'running' | 'recovering' | 'broken' | null;
  readonly creditedHours: number;
  readonly requiredHours: number;
  readonly turningsOwed: number;
  readonly floorC: number;
  readonly maxGapHours: number;
  /** Latest hot round of the run. */
  readonly lastHot: Instant | null;
  /** Latest full round of any heat. */
  readonly lastRound: { readonly at: Instant; readonly valueC: number; readonly peakC: number } | null;
  readonly lastTurn: Instant | null;
  /** Until when a turning excuses a cold round. */
  readonly graceUntil: Instant | null;
  /** No hot round yet since it was built, nor before the clock last started again. */
  readonly neverHot: boolean;
  readonly builtAt: Instant | null;
};

/** The right mix rises within three days (common practice); from then on a cold heap wants looking into. */
const WARMS_WITHIN_MS = 3 * MS.day;

/** Limits of the trade with a method default (common practice): act from 70 °C, danger from 77 °C. */
export const TOO_HOT_C = 70;
export const DANGER_C = 77;

/** Rounds are a day apart while a run is on: half a day of slack within the usual 36 h. */
const ROUND_EVERY_MS = 24 * MS.hour;
/** Time after a turning at which the same day's reading is worth most: the heap has found its heat again, the light is still good. */
const AFTER_TURN_MS = 5 * MS.hour;

/** The readings asked for after a turning: the same afternoon, and the next day. Null once both are in or too late. */
function afterTurn(s: Situation): Advice | null {
  if (s.lastTurn === null || s.now - s.lastTurn > 36 * MS.hour) return null;
  const read = s.lastRound?.at ?? -Infinity;
  const [first, second] = [s.lastTurn + AFTER_TURN_MS, s.lastTurn + ROUND_EVERY_MS];
  if (read < s.lastTurn + 2 * MS.hour && s.now < s.lastTurn + 16 * MS.hour) return { code: 'READ_AFTER_TURN', turnedAt: s.lastTurn, due: first, second: false };
  if (read < s.lastTurn + 16 * MS.hour) return { code: 'READ_AFTER_TURN', turnedAt: s.lastTurn, due: second, second: true };
  return null;
}

/** One next act for a heap, the most pressing first. */
export function nextAdvice(s: Situation): Advice {
  if (s.stage === 'released') return { code: 'NOTHING' };
  if (s.lastRound && s.lastRound.peakC >= TOO_HOT_C && s.stage === 'live') return { code: 'TOO_HOT', peakC: s.lastRound.peakC, limitC: TOO_HOT_C, danger: s.lastRound.peakC >= DANGER_C };
  if (s.stage === 'building') return { code: 'CLOSE_WHEN_BUILT' };
  if (s.stage === 'curing') return { code: 'LEAVE_TO_CURE' };
  const runEnds = s.lastHot === null ? null : s.lastHot + s.maxGapHours * MS.hour;
  if (s.status === 'running' && runEnds !== null && runEnds - s.now <= (s.maxGapHours / 3) * MS.hour) {
    return { code: 'READ_BEFORE_LOST', due: runEnds, last: s.lastHot!, creditedHours: s.creditedHours, maxGapHours: s.maxGapHours };
  }
  if (s.status === 'recovering' && s.graceUntil !== null && s.lastRound) return { code: 'READ_RECOVERING', due: s.graceUntil, valueC: s.lastRound.valueC, floorC: s.floorC };
  if (s.status === 'proven') return { code: 'PROVEN_MOVE_ON', valueC: s.lastRound?.valueC ?? null };
  const turned = afterTurn(s);
  if (turned) return turned;
  const due = (s.lastRound?.at ?? s.builtAt ?? s.now) + ROUND_EVERY_MS;
  const young = s.neverHot && s.builtAt !== null && s.now - s.builtAt < WARMS_WITHIN_MS;
  if (s.status === 'waiting' || (s.status === 'broken' && young)) return { code: 'WAIT_FOR_HEAT', due, valueC: s.lastRound?.valueC ?? null, floorC: s.floorC };
  if (s.status === 'broken') return s.lastRound ? { code: 'FIND_OUT_WHY', due, valueC: s.lastRound.valueC, floorC: s.floorC } : { code: 'WAIT_FOR_HEAT', due, valueC: null, floorC: s.floorC };
  const missingHours = Math.max(0, s.requiredHours - s.creditedHours);
  if (s.turningsOwed > 0) {
    // Owed turnings are spread evenly over the time that is still missing.
    const spacing = Math.max(ROUND_EVERY_MS * 2, (missingHours * MS.hour) / (s.turningsOwed + 1));
    const turnDue = Math.max(s.now, (s.lastTurn ?? s.builtAt ?? s.now) + spacing);
    if (turnDue - s.now < ROUND_EVERY_MS * 1.5) return { code: 'TURN_OWED', owed: s.turningsOwed, due: turnDue };
  }
  return { code: 'KEEP_READING', due, missingHours };
}
