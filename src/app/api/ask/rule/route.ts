import { atQuestion } from '@/entry/server/at-question';
import { AskedRule } from '@/features/rules/input';
import { previewRule } from '@/features/rules/server/preview-rule';

export const POST = atQuestion(AskedRule, previewRule);
