import { say } from '../../../messages/say';
import { z } from 'zod';
import { figureWithUnit, joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Words } from './shared';

/** A chore was done. */
export const choreKind = describeKind({
  schema: z.looseObject({
    chore: z.string().min(1).max(40),
    litres: z.number().min(0).max(1_000_000).optional(),
    words: Words.optional(),
  }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'walk',
  tell: (data) => ({
    title: say('log.regularTaskDone'),
    detail: joinParts(
      data.chore.replaceAll('-', ' '),
      data.litres !== undefined && figureWithUnit('litres', data.litres),
      data.words,
    ),
  }),
  record: () => null,
});
