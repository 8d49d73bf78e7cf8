import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { describeKind } from './kind';
import { act } from './shared';

/** A part of this heap was carried off and is a heap of its own from now on. */
export const splitKind = describeKind({
  schema: z.looseObject({
    to: BatchIdSchema,
    volumeM3: z.number().positive().max(100_000),
    /** What the part is called from now on, and where it stands. */ code: z
      .string()
      .trim()
      .min(1)
      .max(24),
    name: z.string().trim().max(60).optional(),
    bay: z.string().trim().max(40).optional(),
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
    title: say('log.splitOff'),
    detail: say('log.mBatchOwnNow', { volumeM3: data.volumeM3 }),
  }),
  record: () => null,
});
