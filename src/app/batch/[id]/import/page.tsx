import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { IntoBatchPage as default } from '@/features/bring/server/pages/IntoBatchPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.importReadings'),
  () => say('app.importReadings'),
);
