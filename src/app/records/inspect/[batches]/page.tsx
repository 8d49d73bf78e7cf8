import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { MakeLinkPage as default } from '@/features/record/server/pages/MakeLinkPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('record.inspectorsLink');
  },
};
