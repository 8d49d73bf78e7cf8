import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { OfflinePage as default } from '@/features/log/server/pages/OfflinePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.offline.name;
  },
};
