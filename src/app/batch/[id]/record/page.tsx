import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { RecordPage as default } from '@/features/record/server/pages/RecordPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(
  () => say('app.heatTreatmentRecord'),
  () => say('app.heatTreatmentRecord'),
);
