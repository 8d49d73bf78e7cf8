import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { PlacesPage as default } from '@/features/places/server/pages/PlacesPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.probePoints'),
  () => say('app.probePoints'),
);
