import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

const Hash = z.string().regex(/^[0-9a-f]{64}$/);
const SHORT = 12;

/** A device saw the log end where the log now holds something else: it was changed, or put back to an older state. */
export const witnessKind = describeKind({
  schema: z.looseObject({
    /** What the device saw. */ saw: z.strictObject({ seq: z.int().min(1), hash: Hash }),
    /** What the log holds there now; null: nothing. */ found: Hash.nullable(),
  }),
  scope: 'site',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'flag',
  tell: ({ saw, found }) => ({
    title: say('log.witnessed'),
    detail: say('log.witnessSaw', {
      seq: String(saw.seq),
      saw: saw.hash.slice(0, SHORT),
      found: found?.slice(0, SHORT) ?? say('log.nothingThere'),
    }),
  }),
  record: () => null,
});
