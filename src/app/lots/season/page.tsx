import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { SeasonPage as default } from '@/features/lots/server/pages/SeasonPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.season.name;
  },
};
