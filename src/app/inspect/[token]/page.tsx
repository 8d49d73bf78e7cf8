import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { InspectPage as default } from '@/features/record/server/pages/InspectPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  // An address that opens a site to its bearer is no address to be found by.
  robots: { index: false, follow: false },
  get title() {
    return say('record.inspectorsLink');
  },
};
