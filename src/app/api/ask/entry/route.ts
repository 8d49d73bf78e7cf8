import { answerEntryQuestion } from '@/entry/server/preview-entry';

export const POST = answerEntryQuestion;
