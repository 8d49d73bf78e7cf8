import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { TakeInPage as default } from '@/features/store/server/pages/TakeInPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES['take-in'].name;
  },
};
