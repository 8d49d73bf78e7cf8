import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { SharePage as default } from '@/features/people/server/pages/SharePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.share');
  },
};
