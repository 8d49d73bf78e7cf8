import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { SamplePage as default } from '@/features/batch/server/pages/SamplePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.sample.name;
  },
};
