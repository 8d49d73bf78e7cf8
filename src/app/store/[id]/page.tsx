import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { StoreLoadPage as default } from '@/features/store/server/pages/StoreLoadPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.load');
  },
};
