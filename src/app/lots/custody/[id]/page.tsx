import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { CustodyPage as default } from '@/features/lots/server/pages/CustodyPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('lots.custodySheet');
  },
};
