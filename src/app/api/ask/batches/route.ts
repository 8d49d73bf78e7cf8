import { atQuestion } from '@/entry/server/at-question';
import { AskedBatches } from '@/features/frame/input';
import { listBatches } from '@/features/frame/server/list-batches';

export const POST = atQuestion(AskedBatches, listBatches);
