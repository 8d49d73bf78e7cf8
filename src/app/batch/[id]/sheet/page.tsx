import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { SheetPage as default } from '@/features/build/server/pages/SheetPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.buildSheet');
  },
};
