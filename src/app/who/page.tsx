import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { WhoPage as default } from '@/features/people/server/pages/WhoPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.whoHasPhone');
  },
};
