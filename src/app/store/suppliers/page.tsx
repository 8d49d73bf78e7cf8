import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { SuppliersPage as default } from '@/features/store/server/pages/SuppliersPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.suppliers.name;
  },
};
