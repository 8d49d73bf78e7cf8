import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { figureWithUnit, joinParts } from '../../quantity/format';
import { TRANSFER_WORDS } from '../../words/transfer';
import { describeKind } from './kind';
import { Words, act } from './shared';
import { TRANSFER_KINDS } from './vocabulary';

/** Something left this heap: for another one, or for good. */
export const transferKind = describeKind({
  schema: z.looseObject({
    what: z.enum(TRANSFER_KINDS),
    to: BatchIdSchema.optional(),
    /** Whether it carries germs, and seeds, with it. */ raw: z.boolean(),
    seeds: z.boolean(),
    litres: z.number().positive().max(1_000_000).optional(),
    words: Words.optional(),
    ...act,
  }),
  scope: 'batch',
  movesMatter: true,
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'move',
  tell: (data) => ({
    title: say('log.removed', { name: TRANSFER_WORDS[data.what].name }),
    detail: joinParts(
      data.litres !== undefined && figureWithUnit('litres', data.litres),
      data.to && say('log.intoAnotherBatch'),
      data.words,
    ),
  }),
  record: () => null,
});
