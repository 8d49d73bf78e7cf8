import { say } from '../../../messages/say';
import { z } from 'zod';
import { figureWithUnit, joinParts } from '../../quantity/format';
import { SHAPES, SHAPE_WORDS } from '../../words/shape';
import { MeasuresSchema } from '../shapes';
import { describeKind } from './kind';
import { Words, act } from './shared';

/** Its size, measured again: by outer measures, or as somebody judges it. */
export const sizeKind = describeKind({
  schema: z
    .looseObject({
      measures: MeasuresSchema.optional(),
      /** As what it was measured. */ shape: z.enum(SHAPES).optional(),
      volumeM3: z.number().positive().max(100_000).optional(),
      words: Words.optional(),
      ...act,
    })
    .refine((s) => s.measures !== undefined || s.volumeM3 !== undefined, {
      path: ['volumeM3'],
      error: () => say('log.giveMeasurementsOrVolume'),
    }),
  scope: 'batch',
  movesMatter: true,
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: say('log.size'),
    detail: joinParts(
      data.measures &&
        [data.measures.lengthM, data.measures.widthM, data.measures.heightM]
          .map((m) => figureWithUnit('length', m))
          .join(' × '),
      data.shape && SHAPE_WORDS[data.shape],
      data.volumeM3 !== undefined && figureWithUnit('volume', data.volumeM3),
      data.words,
    ),
  }),
  record: () => null,
});
