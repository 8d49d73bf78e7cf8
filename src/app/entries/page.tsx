import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { EntriesPage as default } from '@/features/log/server/pages/EntriesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.entries.name;
  },
};
