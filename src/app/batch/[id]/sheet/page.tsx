import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { SheetPage as default } from '@/features/build/server/pages/SheetPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.buildSheet'),
  () => say('app.buildSheet'),
);
