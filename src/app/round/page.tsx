import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { RoundPage as default } from '@/features/round/server/pages/RoundPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.round.name;
  },
};
