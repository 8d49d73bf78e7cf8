import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { describeKind } from './kind';
import { act } from './shared';

/** One stands on top of the other in the same bay, something between them. */
export const stackKind = describeKind({
  schema: z.looseObject({ with: BatchIdSchema, layer: z.enum(['upper', 'lower']), ...act }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'move',
  tell: (data) => ({
    title:
      data.layer === 'upper' ? say('log.standsOnAnotherBatch') : say('log.anotherBatchStandsOn'),
    detail: '',
  }),
  record: () => null,
});
