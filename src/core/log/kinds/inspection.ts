import { say } from '../../../messages/say';
import { z } from 'zod';
import { isoOf } from '../../quantity/instant';
import { BatchIdSchema } from '../ids';
import { describeKind } from './kind';
import { Moment, Words } from './shared';

/** Somebody from outside may read some batches until a day, by a link of which the log holds the hash alone. */
export const inspectionKind = describeKind({
  schema: z.looseObject({
    batches: z.array(BatchIdSchema).min(1).max(200),
    until: Moment,
    tokenHash: z.string().regex(/^[0-9a-f]{64}$/),
    /** For whom it was made. */ for: Words.optional(),
  }),
  scope: 'site',
  // Voiding it closes the link.
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'note',
  tell: ({ until }) => ({
    title: say('record.inspectorsLink'),
    detail: isoOf(until).slice(0, 10),
  }),
  record: () => null,
});
