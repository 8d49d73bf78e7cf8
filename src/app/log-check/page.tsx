import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { LogCheckPage as default } from '@/features/log-check/server/pages/LogCheckPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES['log-check'].name;
  },
};
