import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { BringInPage as default } from '@/features/bring/server/pages/BringInPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.bring.name;
  },
};
