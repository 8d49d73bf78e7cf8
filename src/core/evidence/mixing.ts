import type { Instant } from '../quantity/instant';
import { doseAlong, type DeathLine } from './doses';
import type { ShareRange } from './hot-share';
import type { Clock } from './types';
import type { RuleAssessment, Prepared } from './verdict';

/**
 * What turning does for the part that was not hot, with random mixing (Haug, The Practical Handbook of Compost
 * Engineering, 1993; from memory). Outside-to-inside turning does better than these figures.
 */

/** Share of the material that was never in the hot part: (1 − s)^(N + 1). */
export const neverHot = (hotShare: number, turnings: number): number =>
  (1 - hotShare) ** (turnings + 1);

/** Expected survivors per seed or organism: the product over the stages of (1 − s) + s · 10^(−d). */
export const survivors = (hotShare: number, logsOfStages: readonly number[]): number =>
  logsOfStages.reduce((left, d) => left * (1 - hotShare + hotShare * 10 ** -d), 1);

/**
 * log₁₀ reductions that one dose is taken for here: a dose is a time that is said to kill, not a number of
 * logs. 99.9 % of germs, 99 % of seeds; common practice, and on the careful side.
 */
const LOGS_PER_DOSE = { germs: 3, seeds: 2 } as const satisfies Record<Clock, number>;

/** Times at which a leading rule's counted turnings cut the segment into stages. */
const stagesOf = (turnings: readonly Instant[]): { from: Instant; to: Instant }[] =>
  [-Infinity, ...turnings].map((from, i) => ({ from, to: turnings[i] ?? Infinity }));

/** A figure that falls as the hot share grows, under both of its bounds. @returns the lesser first */
export const overShare = (
  [low, high]: ShareRange,
  figure: (share: number) => number,
): ShareRange => [figure(high), figure(low)];

/** log₁₀ reductions of each stage between the counted turnings of the leading rule. */
export function logsOfStages(
  prepared: Prepared,
  lead: RuleAssessment,
  line: DeathLine,
  clock: Clock,
): number[] {
  return stagesOf(lead.progress.counted.map(({ turn }) => turn.at)).map(
    (stage) => LOGS_PER_DOSE[clock] * doseAlong(prepared, line, clock, stage),
  );
}
