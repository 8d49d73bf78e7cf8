import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { InstrumentsPage as default } from '@/features/instruments/server/pages/InstrumentsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.instruments.name;
  },
};
