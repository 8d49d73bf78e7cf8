import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { LotsPage as default } from '@/features/lots/server/pages/LotsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.lots.name;
  },
};
