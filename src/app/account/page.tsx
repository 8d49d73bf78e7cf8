import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { AccountPage as default } from '@/features/people/server/pages/AccountPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.account');
  },
};
