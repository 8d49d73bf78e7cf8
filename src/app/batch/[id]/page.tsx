import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { BatchPage as default } from '@/features/batch/server/pages/BatchPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.batch');
  },
};
