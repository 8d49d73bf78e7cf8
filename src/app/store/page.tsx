import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { StorePage as default } from '@/features/store/server/pages/StorePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.store.name;
  },
};
