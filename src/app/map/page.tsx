import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { MapPage as default } from '@/features/map/server/pages/MapPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.map.name;
  },
};
