import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { LabelsPage as default } from '@/features/labels/server/pages/LabelsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.labels.name;
  },
};
