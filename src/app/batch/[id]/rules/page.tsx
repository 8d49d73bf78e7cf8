import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { BatchRulesPage as default } from '@/features/rules/server/pages/BatchRulesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.rulesOfThisBatch');
  },
};
