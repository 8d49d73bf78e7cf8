import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { TracePage as default } from '@/features/lots/server/pages/TracePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.trace.name;
  },
};
