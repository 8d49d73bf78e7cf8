import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { WaitingPage as default } from '@/features/waiting/server/pages/WaitingPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.waiting.name;
  },
};
