import type { Metadata } from 'next';
import { say } from '@/messages/say';

export { SignInCodePage as default } from '@/features/people/server/pages/SignInCodePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('people.codeTitle');
  },
};
