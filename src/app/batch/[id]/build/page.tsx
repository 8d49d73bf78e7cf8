import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { BuildPage as default } from '@/features/build/server/pages/BuildPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.buildingTheBatch');
  },
};
