import { atDoor } from '@/entry/server/at-door';
import { makeCalendarKey } from '@/features/plan/server/calendar-key';

export const POST = atDoor('calendar', makeCalendarKey);
