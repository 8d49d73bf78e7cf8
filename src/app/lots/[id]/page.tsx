import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { LotPage as default } from '@/features/lots/server/pages/LotPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('record.lot');
  },
};
