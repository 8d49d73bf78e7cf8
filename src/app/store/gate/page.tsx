import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { GatePage as default } from '@/features/store/server/pages/GatePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.gate.name;
  },
};
