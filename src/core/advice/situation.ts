import type { Limits, MethodTemplate } from '../log/shapes';
import type { Method } from '../evidence/types';
import { MS, type Instant } from '../quantity/instant';
import { courseOf, type Course, type ReheatTest } from './course';
import {
  diagnose,
  SENSES_LAST_MS,
  type Change,
  type Diagnosis,
  type DiagnosisSituation,
} from './diagnose';
import { hotAdvice, type HotAdvice } from './hot';
import type { Stage, StageCode } from './stage';
import type { RoundHeat } from './trend';
import { turnAdvice, type ProofState, type TurnAdvice } from './turn';
import { waterAdvice, type WaterAdvice, type WaterSituation } from './water';

/** What every advice about a heap looks at, as of its last entry; small enough to be kept beside it. Times are instants, temperatures °C. */
export type HeapFacts = {
  readonly stage: Stage;
  readonly kept: Method;
  readonly template: MethodTemplate;
  readonly limits: Limits;
  readonly builtAt: Instant | null;
  readonly volumeM3: number | null;
  /** Its volume when it was built. */
  readonly builtM3: number | null;
  /** Of the rule that is worked on: the leading one, or the first that is still to be met behind it. */
  readonly proof: ProofState;
  readonly rules: {
    /** How many rules it is kept under. */ readonly asked: number;
    readonly met: readonly { readonly title: string; readonly at: Instant }[];
  };
  /** Hottest place of the last round, with the air of that day where it was read. */
  readonly lastRead: {
    readonly at: Instant;
    readonly coreC: number;
    readonly airC: number | null;
  } | null;
  /** No hot round yet since it was built, nor before the clock last started again. */
  readonly neverHot: boolean;
  /** Full turnings by time. */
  readonly turns: readonly Instant[];
  /** Its hottest round ever, where that is older than the rest, then the last rounds by time. */
  readonly rounds: readonly RoundHeat[];
  readonly bayNeededBy: Instant | null;
  readonly airC: number | null;
  readonly squeeze: DiagnosisSituation['squeeze'];
  readonly smell: DiagnosisSituation['smell'];
  readonly pests: DiagnosisSituation['pests'];
  readonly seepage: Instant | null;
  readonly cover: DiagnosisSituation['cover'];
  readonly watered: DiagnosisSituation['watered'];
  /** Somebody smelled burning, or said that it may be on fire. */
  readonly burnt: Instant | null;
  readonly inputs: readonly string[] | null;
  /** Since when it is logged as dry, where that stops a rule that counts moist time only; null: it is not, or nothing asks. */
  readonly dryStops: Instant | null;
  readonly probe: DiagnosisSituation['probe'];
  /** The last things that were changed to mend it. */
  readonly changes: readonly Change[];
  readonly flowLPerMin: number;
  readonly bucketL: number;
  /** Below this a pile rarely stays hot here, m³. */ readonly leastHotM3: number;
};
export type Situation = HeapFacts & { readonly now: Instant };

const LIVE: readonly StageCode[] = ['heating', 'hot', 'cooling', 'dormant'];
/** Called ready or put to cure by somebody. */
export const isSaidDone = (s: { readonly stage: Stage }): boolean =>
  s.stage.code === 'curing' || s.stage.code === 'ready';
/**
 * Whether it is still worked: not building, held, cured or at its end. A person's word that it is ready or cures switches off
 * nothing that the readings still ask for: a rule that is not met keeps it live.
 */
export const isLive = (s: Pick<HeapFacts, 'stage' | 'proof'>): boolean =>
  s.stage.held === null &&
  (LIVE.includes(s.stage.code) ||
    (isSaidDone(s) && s.proof.status !== null && s.proof.status !== 'proven'));
/** Whether it has left the site or is at its end. */
export const isGone = (s: { readonly stage: Stage }): boolean =>
  s.stage.code === 'released' || s.stage.code === 'ended';

const dry = (s: Situation): boolean =>
  s.squeeze?.squeeze === 'crumbles' || s.squeeze?.squeeze === 'holds';
const lastTurn = (s: Situation): Instant | null => s.turns.at(-1) ?? null;

/** What was done last that cools a heap: turned, watered, split, its cover taken off. */
function cooledAt(s: Situation): Instant | null {
  const done = [
    ...s.turns,
    ...s.watered.map((w) => w.at),
    ...s.changes.filter((c) => c.what === 'shrink' || c.what === 'uncover').map((c) => c.at),
  ].filter((at) => at <= s.now);
  return done.length > 0 ? Math.max(...done) : null;
}

/** Whether and when to turn it. */
export const turnOf = (s: Situation): TurnAdvice => turnAdvice(s);

/** Null: it was not too hot when it was last read. What left the site hot, or was called finished, is as hot as it was read. */
export const hotOf = (s: Situation): HotAdvice | null =>
  hotAdvice({
    now: s.now,
    limits: s.limits,
    kept: s.kept,
    rounds: s.rounds,
    cooledAt: cooledAt(s),
    lastTurn: lastTurn(s),
    volumeM3: s.volumeM3,
    dry: dry(s),
    burnt: s.burnt,
  });

/** What its last reading means; null: nothing read since it was built. */
export function courseFor(s: Situation): Course | null {
  const last = s.rounds.at(-1);
  return last && s.builtAt !== null && last.at >= s.builtAt
    ? courseOf(
        s.template,
        s.builtAt,
        last.peakC,
        last.at,
        s.lastRead?.at === last.at ? s.lastRead.airC : s.airC,
        s.turns.findLast((t) => t <= last.at) ?? null,
      )
    : null;
}

/** A heap is read on this many days after the turning that tests it, and at least so often (common practice). */
const REHEAT_MS = 5 * MS.day;
const REHEAT_CHECKS = 3;
/** A turning longer ago than this is no test of the heap as it is now. */
const TEST_LASTS_MS = 14 * MS.day;

/** What a heap near its end shows by staying cool, or what would make it show something. */
export function reheatTestOf(s: Situation): ReheatTest {
  const squeeze =
    s.squeeze !== null && s.now - s.squeeze.at <= SENSES_LAST_MS ? s.squeeze.squeeze : null;
  const why = [
    ...(s.volumeM3 === null
      ? (['size-unknown'] as const)
      : s.volumeM3 < s.leastHotM3
        ? (['small'] as const)
        : []),
    ...(squeeze === null
      ? (['not-squeezed'] as const)
      : squeeze === 'crumbles' || squeeze === 'holds'
        ? (['dry'] as const)
        : []),
  ];
  if (why.length > 0) return { code: 'SHOWS_NOTHING', why };
  const turnedAt = s.turns.at(-1);
  if (turnedAt === undefined || s.now - turnedAt > TEST_LASTS_MS) return { code: 'NOT_TURNED' };
  const checks = s.rounds.filter((r) => r.at > turnedAt && r.at <= turnedAt + REHEAT_MS).length;
  return checks >= REHEAT_CHECKS
    ? { code: 'STAYED_COOL', turnedAt, checks }
    : { code: 'READ_ON', turnedAt, until: turnedAt + REHEAT_MS };
}

/** Whether danger is on it: then nothing else is advised, not even what others would say. */
export const isDangerous = (s: Situation): boolean => hotOf(s)?.level === 'danger';

/** What is wrong with it, and what may help; none where it is gone or dangerous. */
export const diagnosesOf = (s: Situation): Diagnosis[] =>
  isLive(s) && !isDangerous(s) ? diagnose({ ...s, course: courseFor(s) }) : [];

/** How much water it wants, by the last squeeze and what was watered since. */
export function waterOf(s: Situation): WaterAdvice {
  const moisture: WaterSituation['moisture'] =
    s.squeeze === null ? null : { at: s.squeeze.at, by: 'squeeze', squeeze: s.squeeze.squeeze };
  const since = s.watered
    .filter((w) => moisture !== null && w.at > moisture.at)
    .reduce((sum, w) => sum + (w.litres ?? 0), 0);
  return waterAdvice({
    now: s.now,
    template: s.template,
    volumeM3: s.volumeM3,
    moisture,
    wateredSinceL: since,
    coreC: s.rounds.at(-1)?.peakC ?? null,
    airC: s.airC,
    flowLPerMin: s.flowLPerMin,
    bucketL: s.bucketL,
  });
}
