import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { PaperPage as default } from '@/features/round/server/pages/PaperPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.paperSheet');
  },
};
