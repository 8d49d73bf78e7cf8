import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** A manager took note of what does not fit in the log, and says why it is so: the fault stays readable, pages are silent about it. */
export const faultNotedKind = describeKind({
  schema: z.looseObject({
    faults: z
      .array(
        z.looseObject({ code: z.string().max(40), seq: z.int().min(0), id: z.string().max(80) }),
      )
      .min(1)
      .max(2000),
    words: z.string().trim().min(1).max(2000),
  }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'flag',
  tell: ({ faults, words }) => ({
    title: say('log.faultNoted', { n: faults.length }),
    detail: words,
  }),
  record: () => null,
});
