import type { MethodTemplate } from '../log/shapes';
import { MS, type Instant } from '../quantity/instant';
import { expectedAt } from './templates';

/**
 * What a reading means for this heap: by its own method, age and air, never by one threshold of the site. 32 °C is on course
 * in a static heap, an alarm on day 5 of a fast one, and near the end in month three (common practice).
 */
export type Course =
  | {
      readonly code: 'TOO_YOUNG' | 'ON_COURSE' | 'HOTTER' | 'COOLER' | 'JUST_TURNED';
      readonly coreC: number;
      readonly lowC: number;
      readonly highC: number;
      readonly ageDays: number;
      readonly airC: number | null;
    }
  | {
      readonly code: 'NEAR_END' | 'AT_AIR';
      readonly coreC: number;
      readonly lowC: number;
      readonly highC: number;
      readonly ageDays: number;
      readonly airC: number | null;
    };

/**
 * Whether staying cool after a turning shows anything: only where the heap was moist, big enough to hold heat, turned, and read
 * full on the days after (common practice). What is in the way is named, so that it can be put right first.
 */
export type ReheatTest =
  | {
      readonly code: 'SHOWS_NOTHING';
      readonly why: readonly ('small' | 'size-unknown' | 'dry' | 'not-squeezed')[];
    }
  | { readonly code: 'NOT_TURNED' }
  | { readonly code: 'READ_ON'; readonly turnedAt: Instant; readonly until: Instant }
  | { readonly code: 'STAYED_COOL'; readonly turnedAt: Instant; readonly checks: number };

/** Within so much of the air a core gives off no heat of its own that a thermometer could show, K. */
const AT_AIR_K = 3;
/** From here on it is near the end: not much above the air, K. */
const NEAR_AIR_K = 12;
/** Before half a day nothing can be told. */
const TOO_YOUNG_DAYS = 0.5;
/** Below this air a heap takes about half as long again to warm (common practice), °C. */
const COLD_AIR_C = 5;
const COLD_FACTOR = 1.5;
/** A turning opens the heap: for a day its heat says nothing of its course. */
const AFTER_TURN_MS = MS.day;

/** @param coreC hottest place of the latest round; @param at when it was read */
export function courseOf(
  template: MethodTemplate,
  builtAt: Instant,
  coreC: number,
  at: Instant,
  airC: number | null,
  lastTurn: Instant | null,
): Course {
  const ageDays = (at - builtAt) / MS.day;
  const slow = airC !== null && airC < COLD_AIR_C && ageDays < 10 ? COLD_FACTOR : 1;
  const { lowC, highC } = expectedAt(template, ageDays / slow);
  const facts = { coreC, lowC, highC, ageDays, airC };
  if (ageDays < TOO_YOUNG_DAYS) return { code: 'TOO_YOUNG', ...facts };
  if (coreC > highC) return { code: 'HOTTER', ...facts };
  if (airC !== null && ageDays > template.activeDays && coreC - airC <= AT_AIR_K)
    return { code: 'AT_AIR', ...facts };
  if (
    ageDays > template.activeDays &&
    coreC < 45 &&
    (airC === null || coreC - airC <= NEAR_AIR_K || coreC < lowC + 10)
  )
    return { code: 'NEAR_END', ...facts };
  if (coreC >= lowC) return { code: 'ON_COURSE', ...facts };
  return {
    code:
      lastTurn !== null && at - lastTurn < AFTER_TURN_MS && at >= lastTurn
        ? 'JUST_TURNED'
        : 'COOLER',
    ...facts,
  };
}
