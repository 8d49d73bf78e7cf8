import { durationText, soonText } from '../quantity/format';
import type { Locale } from './note';

type Reason =
  | { code: 'BUILDING' }
  | { code: 'PROVEN' }
  | { code: 'EARNED'; hours: number }
  | { code: 'PAUSED'; hours: number }
  | { code: 'LOST' }
  | { code: 'NOT_HOT' }
  | { code: 'NO_RULE' };
type NotNow =
  | { code: 'GONE' }
  | { code: 'BUILDING' }
  | { code: 'READ_LATELY'; at: number; due: number | null }
  | { code: 'AFTER_TURN'; due: number };

export const ROUTE_WHY =
  'Most finished first, rawest last, so that nothing raw rides on the thermometer into a proven heap. To go back up the line, rinse it first.';

/** How far a heap is: why it stands there in the walk. */
export function routeReasonText(r: Reason): string {
  switch (r.code) {
    case 'BUILDING':
      return 'still building';
    case 'PROVEN':
      return 'proven';
    case 'EARNED':
      return durationText(r.hours);
    case 'PAUSED':
      return `paused at ${durationText(r.hours)}`;
    case 'LOST':
      return 'broken, nothing earned';
    case 'NOT_HOT':
      return 'nothing counts yet';
    case 'NO_RULE':
      return 'no rule claimed';
  }
}

/** Why a heap need not be read now. */
export function notNowText(n: NotNow, { timeZone, now }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  switch (n.code) {
    case 'GONE':
      return 'has gone out';
    case 'BUILDING':
      return 'is not closed yet';
    case 'READ_LATELY':
      return `read ${at(n.at)}${n.due === null ? '' : `, due ${at(n.due)}`}`;
    case 'AFTER_TURN':
      return `was turned: read it ${at(n.due)}`;
  }
}
