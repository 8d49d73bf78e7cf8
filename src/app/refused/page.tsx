import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { RefusedPage as default } from '@/features/people/server/pages/RefusedPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.notForYou');
  },
};
