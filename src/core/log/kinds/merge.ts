import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { seeds, origin, act } from './shared';
import { seedText } from './text';

export const mergeKind = describeKind({
  schema: z.looseObject({
    withProven: z.boolean(),
    seeds,
    what: z.string().optional(),
    /** The heap that was joined to this one. */ from: BatchIdSchema.optional(),
    volumeM3: z.number().positive().max(100_000).optional(),
    ...act,
    ...origin,
  }),
  scope: 'batch',
  drawsOnStore: true,
  correction: 'strike',
  inherited: true,
  fileEvent: 'merge',
  clocks: 'may-restart',
  snapshots: 'own',
  mark: 'move',
  tell: (data) => ({
    title: say('log.joined'),
    detail: joinParts(
      data.what,
      data.withProven ? say('log.withBatchMetRule') : say('log.withBatchHasNotMet'),
    ),
  }),
  record: (data) =>
    data.what
      ? say('log.joinedWithBatchProvenMet', {
          withProven: data.withProven ? 'proven' : 'other',
          what: data.what,
          seeds: seedText(data.seeds),
        })
      : say('log.joinedWithBatchProvenMet2', {
          withProven: data.withProven ? 'proven' : 'other',
          seeds: seedText(data.seeds),
        }),
});
