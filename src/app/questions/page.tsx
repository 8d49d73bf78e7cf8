import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { QuestionsPage as default } from '@/features/questions/server/pages/QuestionsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.questions.name;
  },
};
