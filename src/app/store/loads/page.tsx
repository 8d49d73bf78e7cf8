import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { LoadsPage as default } from '@/features/store/server/pages/LoadsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.loads.name;
  },
};
