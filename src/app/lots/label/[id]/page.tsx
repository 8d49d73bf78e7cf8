import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { LotLabelPage as default } from '@/features/lots/server/pages/LotLabelPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('lots.label');
  },
};
