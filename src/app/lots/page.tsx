import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { LotsPage as default } from '@/features/lots/server/pages/LotsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('lots.title');
  },
};
