import type { Fix } from '../log/entry';
import type { Limits, MethodTemplate } from '../log/shapes';
import type { Method } from '../evidence/types';
import type { Instant } from '../quantity/instant';
import { courseOf, type Course } from './course';
import { diagnose, type Diagnosis, type DiagnosisSituation } from './diagnose';
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
  readonly proof: ProofState;
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
  readonly growth: DiagnosisSituation['growth'];
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
  readonly changes: readonly { readonly at: Instant; readonly what: Fix }[];
  readonly flowLPerMin: number;
  readonly bucketL: number;
};
export type Situation = HeapFacts & { readonly now: Instant };

const LIVE: readonly StageCode[] = ['heating', 'hot', 'cooling', 'dormant'];
/** Whether it still has its own heat to give: not building, held, curing or at its end. */
export const isLive = (s: { readonly stage: Stage }): boolean => LIVE.includes(s.stage.code);
/** Whether it has left the site or is at its end. */
export const isGone = (s: { readonly stage: Stage }): boolean => s.stage.code === 'released' || s.stage.code === 'ended';

const dry = (s: Situation): boolean => s.squeeze?.squeeze === 'crumbles' || s.squeeze?.squeeze === 'holds';
const lastTurn = (s: Situation): Instant | null => s.turns.at(-1) ?? null;

export const turnOf = (s: Situation): TurnAdvice => turnAdvice(s);

/** Null: it is not too hot, or is no longer a heap that works. */
export const hotOf = (s: Situation): HotAdvice | null => (isLive(s) || s.stage.code === 'building' || s.stage.code === 'on-hold'
  ? hotAdvice({ now: s.now, limits: s.limits, kept: s.kept, rounds: s.rounds, lastTurn: lastTurn(s), volumeM3: s.volumeM3, dry: dry(s), burnt: s.burnt }) : null);

/** What its last reading means; null: nothing read since it was built. */
export function courseFor(s: Situation): Course | null {
  const last = s.rounds.at(-1);
  return last && s.builtAt !== null && last.at >= s.builtAt ? courseOf(s.template, s.builtAt, last.peakC, last.at, s.airC, s.turns.findLast((t) => t <= last.at) ?? null) : null;
}

export const diagnosesOf = (s: Situation): Diagnosis[] => (isLive(s) ? diagnose({ ...s, course: courseFor(s) }) : []);

export function waterOf(s: Situation): WaterAdvice {
  const moisture: WaterSituation['moisture'] = s.squeeze === null ? null : { at: s.squeeze.at, by: 'squeeze', squeeze: s.squeeze.squeeze };
  const since = s.watered.filter((w) => moisture !== null && w.at > moisture.at).reduce((sum, w) => sum + (w.litres ?? 0), 0);
  return waterAdvice({ now: s.now, template: s.template, volumeM3: s.volumeM3, moisture, wateredSinceL: since, coreC: s.rounds.at(-1)?.peakC ?? null, airC: s.airC, flowLPerMin: s.flowLPerMin, bucketL: s.bucketL });
}
