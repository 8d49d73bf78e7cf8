import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { SignInPage as default } from '@/features/people/server/pages/SignInPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.signIn');
  },
};
