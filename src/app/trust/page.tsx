import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { TrustPage as default } from '@/features/people/server/pages/TrustPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.trustTitle');
  },
};
