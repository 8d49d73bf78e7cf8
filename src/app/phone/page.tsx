import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { PhonePage as default } from '@/features/phone/server/pages/PhonePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.phone.name;
  },
};
