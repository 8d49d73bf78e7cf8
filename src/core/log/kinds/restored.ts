import { say } from '../../../messages/say';
import { z } from 'zod';
import { Time } from '../shapes';
import { describeKind } from './kind';

/** A backup was brought back: entries with the numbers after one and up to another were given up, and those numbers stay empty. */
export const restoredKind = describeKind({
  schema: z.looseObject({
    /** When the backup was made. */ madeAt: Time,
    /** The last number that came back. */ after: z.int().min(0),
    /** The last number that is known to have been there. */ upTo: z.int().min(0),
  }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'flag',
  tell: ({ madeAt, after, upTo }) => ({
    title: say('log.restored'),
    detail: say('log.restoredGaveUp', {
      madeAt: madeAt.slice(0, 16).replace('T', ' '),
      first: String(after + 1),
      last: String(upTo),
    }),
  }),
  record: () => null,
});
