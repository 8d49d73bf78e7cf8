import '@/messages/all';
import { workOutPlan } from '@/features/plan/server/queries';
import { readImport } from '@/features/bring/server/read-import';
import { recordPdf } from '@/features/record/server/pdf';
import { labelsPdf } from '@/features/labels/server/pdf';
import { followRequestSpeech, inSpeech } from '@/platform/request-speech';
import type { ThreadInput } from '@/platform/worker-threads';

followRequestSpeech();
const asked =
  <In, Out>(job: (input: In) => Promise<Out>) =>
  ({ speech, input }: ThreadInput<In>): Promise<Out> =>
    inSpeech(speech, () => job(input));

/** What runs in worker threads of the server, by name. */
export const planJob = asked(workOutPlan);
export const recordJob = asked(recordPdf);
export const labelsJob = asked(labelsPdf);
export const importJob = asked(readImport);
