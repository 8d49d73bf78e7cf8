import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { UsesPage as default } from '@/features/lots/server/pages/UsesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('lots.usesAndLimits');
  },
};
