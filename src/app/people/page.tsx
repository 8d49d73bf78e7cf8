import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { PeoplePage as default } from '@/features/people/server/pages/PeoplePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.title');
  },
};
