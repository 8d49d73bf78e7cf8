import { atQuestion } from '@/entry/server/at-question';
import { AskedReadings } from '@/features/bring/input';
import { listKnownReadings } from '@/features/bring/server/known-readings';

export const POST = atQuestion(AskedReadings, listKnownReadings);
