import { z } from 'zod';
import { joinParts } from '../../quantity/format';
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
  correction: 'in-place',
  inherited: true,
  fileEvent: 'water',
  clocks: 'may-restart',
  snapshots: 'own',
  mark: 'water',
  tell: (data) => ({
    title: 'Watered',
    detail: joinParts(
      data.litres !== undefined && `${data.litres} L`,
      data.clean ? 'clean' : 'not clean: starts the clock again',
    ),
  }),
  record: (data) =>
    `Watered${data.litres === undefined ? '' : `, ${data.litres} L`}, ${data.clean ? 'clean' : 'not clean'}${seedText(data.seeds)}`,
});
