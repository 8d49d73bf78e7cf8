import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { BuildPage as default } from '@/features/build/server/pages/BuildPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.buildingTheBatch'),
  () => say('app.buildingTheBatch'),
);
