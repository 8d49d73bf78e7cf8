import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { CalendarPage as default } from '@/features/plan/server/pages/CalendarPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.calendar.name;
  },
};
