import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { PaperPage as default } from '@/features/round/server/pages/PaperPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.paperSheet'),
  () => say('app.paperSheet'),
);
