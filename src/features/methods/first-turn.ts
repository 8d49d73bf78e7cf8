import { say } from '@/messages/say';
import type { Trigger } from '@/core/log/shapes';
import { typed } from '@/core/quantity/typed-number';

/** A first turning by the calendar that would come when the heap has worked out; null: it comes in time. */
export const firstTurnProblem = (
  trigger: Trigger | '',
  { firstDay, activeDays }: { readonly firstDay: string; readonly activeDays: string },
): string | null => {
  const [first, active] = [typed(firstDay), typed(activeDays)];
  const isLate = trigger === 'calendar' && first != null && active != null && first > active;
  return isLate ? say('methods.firstTurnTooLate', { first, active }) : null;
};
