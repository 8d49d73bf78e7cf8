import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { StartPage as default } from '@/features/open/server/pages/StartPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.start.name;
  },
};
