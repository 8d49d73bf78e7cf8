import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { describeKind } from './kind';

/** The order of the walk over the site, set by hand. Empty: the hygienic order again. */
export const walkOrderKind = describeKind({
  schema: z.looseObject({ batches: z.array(BatchIdSchema) }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'walk',
  tell: () => ({ title: say('log.orderOfTheWalk'), detail: '' }),
  record: () => null,
});
