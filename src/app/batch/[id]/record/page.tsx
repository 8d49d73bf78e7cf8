import { say } from '@/messages/say';
import type { Metadata } from 'next';

export { RecordPage as default } from '@/features/record/server/pages/RecordPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return say('app.heatTreatmentRecord');
  },
};
