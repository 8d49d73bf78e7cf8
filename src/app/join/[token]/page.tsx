import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { JoinPage as default } from '@/features/people/server/pages/JoinPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.join');
  },
};
