import { say } from '@/messages/say';
import { dayText, durationText, soonText, whenText } from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Locale } from '@/core/words/note';

type Reason =
  | { code: 'BUILDING' }
  | { code: 'PROVEN' }
  | { code: 'EARNED'; hours: number }
  | { code: 'PAUSED'; hours: number }
  | { code: 'LOST' }
  | { code: 'UNREAD'; since: number }
  | { code: 'NOT_HOT' }
  | { code: 'NO_RULE' };
type NotNow =
  | { code: 'BUILDING' }
  | { code: 'ON_HOLD' }
  | { code: 'READ_LATELY'; at: number; due: number | null }
  | { code: 'AFTER_TURN'; due: number };

/** Why the heaps are walked in that order. */
export const routeWhyText = () => say('terms.mostFinishedFirstRawestLast');

/** How far a heap is: why it stands there in the walk. */
export function routeReasonText(r: Reason, { timeZone }: Locale): string {
  switch (r.code) {
    case 'UNREAD':
      return say('status.unreadSince', { day: dayText(timeZone, r.since) });
    case 'BUILDING':
      return say('terms.stillBeingBuilt');
    case 'PROVEN':
      return say('terms.met');
    case 'EARNED':
      return durationText(r.hours);
    case 'PAUSED':
      return say('terms.pausedAt', { hours: durationText(r.hours) });
    case 'LOST':
      return say('terms.startsOverNoTimeCounted');
    case 'NOT_HOT':
      return say('terms.nothingCountsYet');
    case 'NO_RULE':
      return say('terms.noRuleToMeet');
  }
}

/** A moment that may lie so far off that the name of its day means the last one too. */
const farText = (at: number, timeZone: string, now: number): string =>
  at - now > 3 * MS.day ? whenText(timeZone, at, now) : soonText(timeZone, at, now);

/** Why a heap need not be read now. */
export function notNowText(n: NotNow, { timeZone, now }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  switch (n.code) {
    case 'ON_HOLD':
      return say('terms.isOnHold');
    case 'BUILDING':
      return say('terms.isStillBeingBuilt');
    case 'READ_LATELY':
      return n.due === null
        ? say('terms.read', { at: at(n.at) })
        : say('terms.readDue', { at: at(n.at), due: farText(n.due, timeZone, now) });
    case 'AFTER_TURN':
      return say('terms.wasTurnedReadIt', { due: at(n.due) });
  }
}
