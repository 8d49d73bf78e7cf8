import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { SeasonPage as default } from '@/features/lots/server/pages/SeasonPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('lots.seasonTotals');
  },
};
