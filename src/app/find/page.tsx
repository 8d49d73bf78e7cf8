import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { FindPage as default } from '@/features/find/server/pages/FindPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.find.name;
  },
};
