import { mixShares } from '../flow/follow';
import type { Interval } from '../flow/trace';
import { MS, type Instant } from '../quantity/instant';

/** What a lot is like that takes in more, or gives it. */
export type JoiningLot = {
  /** Null: not known. */ readonly litres: number | null;
  /** Share that was never heated. */ readonly raw: Interval;
};

/** How much of a lot was never heated once it has taken in so much of another. @param litres null: not known */
export const unheatedAfter = (
  target: JoiningLot,
  from: JoiningLot,
  litres: number | null,
): Interval =>
  target.litres === 0 ? from.raw : mixShares(target.raw, target.litres, from.raw, litres);

const STALE_DAYS = 14;
/** Whether a lot should be measured before more goes in: it shrinks, and the share of what comes in looks smaller than it is. */
export const shouldMeasureFirst = (measuredAt: Instant | null, now: Instant): boolean =>
  measuredAt !== null && now - measuredAt > STALE_DAYS * MS.day;
