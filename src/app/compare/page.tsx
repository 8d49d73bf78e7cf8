import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { ComparePage as default } from '@/features/compare/server/pages/ComparePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.compare.name;
  },
};
