import type { Fix } from '../log/entry';
import { hoursToMs, MS, type Instant } from '../quantity/instant';
import type { Cause, RankedCause, Symptom } from './diagnose';
import type { HotAdvice } from './hot';
import { claimOf, type Claim } from './claim';
import {
  courseFor,
  diagnosesOf,
  hotOf,
  isGone,
  isLive,
  isSaidDone,
  turnOf,
  waterOf,
  type Situation,
} from './situation';
import type { StageCode } from './stage';
import type { TurnStrategy, TurnReason } from './turn';
import type { WaterAdvice } from './water';

/** What to do next with a heap, as data; the words are in words/advice.ts. */
export type Advice =
  | { readonly code: 'CLOSE_WHEN_BUILT' }
  | { readonly code: 'TOO_HOT'; readonly hot: HotAdvice }
  | {
      readonly code: 'READ_AFTER_TURN';
      readonly turnedAt: Instant;
      readonly due: Instant;
      readonly second: boolean;
    }
  | {
      readonly code: 'READ_BEFORE_LOST';
      readonly due: Instant;
      readonly last: Instant;
      readonly creditedHours: number;
      readonly maxGapHours: number;
    }
  | {
      readonly code: 'READ_RECOVERING';
      readonly due: Instant;
      readonly valueC: number;
      readonly floorC: number;
    }
  | {
      readonly code: 'TURN';
      readonly due: Instant;
      readonly latest: Instant | null;
      readonly by: TurnStrategy | null;
      readonly reasons: readonly TurnReason[];
      readonly waiting: TurnReason | null;
      readonly owed: number;
    }
  | {
      readonly code: 'WATER';
      readonly due: Instant;
      readonly water: Extract<WaterAdvice, { code: 'WATER' }>;
    }
  | { readonly code: 'SQUEEZE_AGAIN'; readonly due: Instant; readonly drySince: Instant }
  | { readonly code: 'KEEP_READING'; readonly due: Instant; readonly missingHours: number }
  | {
      readonly code: 'WAIT_FOR_HEAT';
      readonly due: Instant;
      readonly valueC: number | null;
      readonly floorC: number;
      /** Past the week in which the right mix gets hot. */ readonly late: boolean;
    }
  | { readonly code: 'READ_QUIET'; readonly due: Instant; readonly coreC: number | null }
  | {
      readonly code: 'MEND';
      readonly due: Instant;
      readonly symptom: Symptom;
      readonly cause: Cause;
      readonly fix: Fix;
      readonly coreC: number | null;
      readonly signs: RankedCause['for'];
      readonly unseen: RankedCause['unknown'];
    }
  | {
      readonly code: 'FIND_OUT_WHY';
      readonly due: Instant;
      readonly valueC: number;
      readonly floorC: number;
    }
  | { readonly code: 'PROVEN_MOVE_ON'; readonly valueC: number | null; readonly at: Instant | null }
  | {
      readonly code: 'ASLEEP';
      readonly due: Instant;
      readonly coreC: number;
      readonly at: Instant;
      readonly creditedHours: number;
    }
  | { readonly code: 'READ_RUN_DOWN'; readonly due: Instant; readonly coreC: number | null }
  | {
      readonly code: 'LEAVE_TO_CURE';
      readonly due: Instant;
      readonly since: Instant;
      readonly by: string | null;
      readonly claim: Claim;
    }
  | { readonly code: 'ON_HOLD'; readonly since: Instant; readonly reason: string | null }
  | {
      readonly code: 'READY';
      readonly due: Instant;
      readonly since: Instant;
      readonly by: string | null;
      readonly claim: Claim;
    }
  | {
      readonly code: 'NOTHING';
      readonly stage: StageCode;
      readonly reason: string | null;
      readonly by: string | null;
      readonly since: Instant;
      readonly claim: Claim;
    };

/** The right mix rises within three days (common practice); from then on a cold heap wants looking into. */
const WARMS_WITHIN_MS = 3 * MS.day;
/** Rounds are a day apart while a run is on: half a day of slack within the usual 36 h. */
const ROUND_EVERY_MS = 24 * MS.hour;
/** A heap without a rule to prove, or asleep, is read once a week (common practice). */
const QUIET_EVERY_MS = 7 * MS.day;
/** Time after a turning at which the same day's reading is worth most: the heap has found its heat again, the light is still good. */
const AFTER_TURN_MS = 5 * MS.hour;
/** A turning further off than this is not what comes next. */
const TURN_SOON_MS = 36 * MS.hour;
const TODAY_MS = 12 * MS.hour;

type Heat = Situation['rounds'][number];
const lastRound = (s: Situation): Heat | null => s.rounds.at(-1) ?? null;

/** The readings asked for after a turning: the same afternoon, and the next day. Null once both are in or too late. */
function afterTurn(s: Situation): Advice | null {
  const turnedAt = s.turns.at(-1);
  if (turnedAt === undefined || s.now - turnedAt > 36 * MS.hour) return null;
  const read = lastRound(s)?.at ?? -Infinity;
  const [first, second] = [turnedAt + AFTER_TURN_MS, turnedAt + ROUND_EVERY_MS];
  if (read < turnedAt + 2 * MS.hour && s.now < turnedAt + 16 * MS.hour)
    return { code: 'READ_AFTER_TURN', turnedAt, due: first, second: false };
  if (read < turnedAt + 16 * MS.hour)
    return { code: 'READ_AFTER_TURN', turnedAt, due: second, second: true };
  return null;
}

/** A reading without which something is lost: before the gap is used up, before a turning's grace is over. */
function readOrLose(s: Situation): Advice | null {
  const { proof: p } = s;
  const runEnds = p.lastHot === null ? null : p.lastHot + hoursToMs(p.maxGapHours);
  if (
    p.status === 'running' &&
    runEnds !== null &&
    runEnds - s.now <= (p.maxGapHours / 3) * MS.hour
  )
    return {
      code: 'READ_BEFORE_LOST',
      due: runEnds,
      last: p.lastHot!,
      creditedHours: p.creditedHours,
      maxGapHours: p.maxGapHours,
    };
  const last = lastRound(s);
  if (p.status === 'recovering' && p.graceUntil !== null && last)
    return { code: 'READ_RECOVERING', due: p.graceUntil, valueC: last.valueC, floorC: p.floorC };
  return null;
}

/** The turning that comes next; null: none within sight. */
export function turnNext(s: Situation): Extract<Advice, { code: 'TURN' }> | null {
  if (!isLive(s) || s.stage.code === 'dormant') return null;
  const { act, due, latest, by, reasons, waiting } = turnOf(s);
  return act === 'turn' && due !== null
    ? { code: 'TURN', due, latest, by, reasons, waiting, owed: s.proof.turningsOwed }
    : null;
}

/** What would mend it; null: nothing is wrong that something speaks for. */
export function mendNext(s: Situation): Extract<Advice, { code: 'MEND' }> | null {
  const [worst] = diagnosesOf(s);
  const cause = worst?.causes[0];
  if (!worst || !cause) return null;
  const last = s.changes.at(-1);
  // One change at a time: after each it is left alone for a day and a half, to see what it did.
  const due = Math.max(s.now, (last?.at ?? -Infinity) + 1.5 * MS.day);
  return {
    code: 'MEND',
    due,
    symptom: worst.symptom,
    cause: cause.cause,
    fix: cause.fix,
    coreC: worst.coreC,
    signs: cause.for,
    unseen: cause.unknown,
  };
}

/** Whether what is wrong is that it has no heat: that is mended before it is turned, one change at a time. */
export const lostItsHeat = (mend: { readonly symptom: Symptom } | null): boolean =>
  mend?.symptom === 'NOT_HEATING' || mend?.symptom === 'COOLED_EARLY';

/** The reading that is due in its turn: daily while it proves something, weekly once it is quiet. */
export function readNext(
  s: Situation,
): Extract<Advice, { code: 'KEEP_READING' | 'WAIT_FOR_HEAT' | 'READ_RUN_DOWN' | 'READ_QUIET' }> {
  const last = lastRound(s);
  const due = (last?.at ?? s.builtAt ?? s.now) + ROUND_EVERY_MS;
  const { status, floorC, creditedHours, requiredHours } = s.proof;
  const quiet = {
    due: (last?.at ?? s.builtAt ?? s.now - QUIET_EVERY_MS) + QUIET_EVERY_MS,
    coreC: last?.peakC ?? null,
  };
  if (status === 'running' || status === 'recovering')
    return { code: 'KEEP_READING', due, missingHours: Math.max(0, requiredHours - creditedHours) };
  if (s.builtAt !== null && s.now - s.builtAt > s.template.activeDays * MS.day)
    return { code: 'READ_RUN_DOWN', ...quiet };
  // Without a rule to meet no heat is a fault: it is looked at once a week.
  if (status === null || status === 'proven') return { code: 'READ_QUIET', ...quiet };
  return {
    code: 'WAIT_FOR_HEAT',
    due,
    valueC: last?.valueC ?? null,
    floorC,
    late: s.builtAt !== null && s.now - s.builtAt > QUIET_EVERY_MS,
  };
}

/** What a batch still needs that somebody put to cure or marked ready. */
function careNext(s: Situation): Advice {
  const water = waterOf(s);
  if (water.code === 'WATER') return { code: 'WATER', due: s.now, water };
  const { code, since, by } = s.stage;
  const said = { due: readNext(s).due, since, by, claim: claimOf(s, s.now) };
  return code === 'curing' ? { code: 'LEAVE_TO_CURE', ...said } : { code: 'READY', ...said };
}

/** One next act for a heap, the most pressing first. */
export function nextAdvice(s: Situation): Advice {
  const { stage, proof } = s;
  const hot = hotOf(s);
  if (hot && hot.level !== 'warn' && (!isGone(s) || hot.level === 'danger'))
    return { code: 'TOO_HOT', hot };
  if (stage.code === 'released' || stage.code === 'ended')
    return {
      code: 'NOTHING',
      stage: stage.code,
      reason: stage.reason,
      by: stage.by,
      since: stage.since,
      claim: claimOf(s, s.now),
    };
  if (stage.held) return { code: 'ON_HOLD', since: stage.held.at, reason: stage.held.reason };
  if (stage.code === 'building') return { code: 'CLOSE_WHEN_BUILT' };
  if (isSaidDone(s) && !isLive(s)) return careNext(s);
  const losing = readOrLose(s);
  if (losing) return losing;
  const last = lastRound(s);
  if (proof.status === 'proven')
    return { code: 'PROVEN_MOVE_ON', valueC: last?.valueC ?? null, at: last?.at ?? null };
  if (stage.code === 'dormant' && last)
    return {
      code: 'ASLEEP',
      due: last.at + QUIET_EVERY_MS,
      coreC: last.peakC,
      at: last.at,
      creditedHours: proof.creditedHours,
    };
  const turned = afterTurn(s);
  if (turned) return turned;
  const mend = mendNext(s);
  if (mend && lostItsHeat(mend)) return mend;
  const turn = turnNext(s);
  const water = waterOf(s);
  // A little dry is enough where a run hangs on it: dry, a heap falls within days. With a turning of today it is watered then.
  const dry =
    water.code === 'WATER' && (s.squeeze?.squeeze === 'crumbles' || proof.status === 'running');
  if (turn && turn.due - s.now < (dry ? TODAY_MS : TURN_SOON_MS)) return turn;
  if (dry) return { code: 'WATER', due: s.now, water };
  if (s.dryStops !== null) return { code: 'SQUEEZE_AGAIN', due: s.now, drySince: s.dryStops };
  if (mend) return mend;
  const young = s.neverHot && s.builtAt !== null && s.now - s.builtAt < WARMS_WITHIN_MS;
  const read = readNext(s);
  // One judgement: what is on course for its method is not asked what is wrong with it.
  const onCourse = ['ON_COURSE', 'JUST_TURNED', 'TOO_YOUNG'].includes(courseFor(s)?.code ?? '');
  if (proof.status === 'broken' && !young && !onCourse && last && read.code === 'WAIT_FOR_HEAT')
    return { code: 'FIND_OUT_WHY', due: read.due, valueC: last.valueC, floorC: proof.floorC };
  return read;
}
