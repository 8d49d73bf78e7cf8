import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { CrewPage as default } from '@/features/day/server/pages/CrewPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.crew.name;
  },
};
