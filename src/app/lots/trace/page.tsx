import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { TracePage as default } from '@/features/lots/server/pages/TracePage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('lots.traceOrRecall');
  },
};
