import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { OpenPage as default } from '@/features/open/server/pages/OpenPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.open.name;
  },
};
