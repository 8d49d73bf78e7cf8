import { atQuestion } from '@/entry/server/at-question';
import { AskedCheck } from '@/features/instruments/input';
import { previewCheck } from '@/features/instruments/server/preview-check';

export const POST = atQuestion(AskedCheck, previewCheck);
