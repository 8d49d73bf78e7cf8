import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { PlacesPage as default } from '@/features/places/server/pages/PlacesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.probePoints');
  },
};
