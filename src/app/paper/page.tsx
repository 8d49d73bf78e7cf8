import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { SitePaperPage as default } from '@/features/round/server/pages/SitePaperPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.paper.name;
  },
};
