import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { RecordsPage as default } from '@/features/record/server/pages/RecordsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.records.name;
  },
};
