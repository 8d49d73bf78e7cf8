import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { UsesPage as default } from '@/features/lots/server/pages/UsesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.uses.name;
  },
};
