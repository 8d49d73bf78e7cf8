import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { SitePage as default } from '@/features/site/server/pages/SitePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.site.name;
  },
};
