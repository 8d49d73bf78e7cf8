import { say } from '@/messages/say';
import { titleOfBatch } from '@/features/frame/server/title';

export { BatchPage as default } from '@/features/batch/server/pages/BatchPage';
export const dynamic = 'force-dynamic';
export const generateMetadata = titleOfBatch(() => say('app.batch'));
