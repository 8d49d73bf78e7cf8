import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { FireCardPage as default } from '@/features/fire/server/pages/FireCardPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.fire.name;
  },
};
