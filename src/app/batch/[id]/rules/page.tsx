import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { BatchRulesPage as default } from '@/features/rules/server/pages/BatchRulesPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.rulesOfThisBatch'),
  () => say('app.rulesOfThisBatch'),
);
