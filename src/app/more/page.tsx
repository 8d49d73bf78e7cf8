import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { MorePage as default } from '@/features/frame/server/pages/MorePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.more.name;
  },
};
