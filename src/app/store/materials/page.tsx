import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { MaterialsPage as default } from '@/features/store/server/pages/MaterialsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.materials.name;
  },
};
