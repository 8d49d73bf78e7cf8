import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { PublicLotPage as default } from '@/features/lots/server/pages/PublicLotPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('record.lot');
  },
};
