import { say } from '../../../messages/say';
import { z } from 'zod';
import { figureWithUnit, joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Words, seeds, origin } from './shared';
import { seedText } from './text';

export const waterKind = describeKind({
  schema: z.looseObject({
    litres: z.number().min(0).max(1_000_000).optional(),
    clean: z.boolean(),
    seeds,
    words: Words.optional(),
    ...origin,
  }),
  scope: 'batch',
  movesMatter: true,
  correction: 'in-place',
  inherited: true,
  fileEvent: 'water',
  clocks: 'may-restart',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'water',
  tell: (data) => ({
    title: say('log.watered'),
    detail: joinParts(
      data.litres !== undefined && figureWithUnit('litres', data.litres),
      data.clean ? 'clean' : say('log.notCleanStartsClockOver'),
    ),
  }),
  record: (data) =>
    data.litres === undefined
      ? say('log.wateredCleanNotClean', {
          clean: data.clean ? 'clean' : 'other',
          seeds: seedText(data.seeds),
        })
      : say('log.wateredLCleanNotClean', {
          litres: data.litres,
          clean: data.clean ? 'clean' : 'other',
          seeds: seedText(data.seeds),
        }),
});
