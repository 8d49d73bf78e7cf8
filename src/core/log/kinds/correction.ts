import { say } from '../../../messages/say';
import { EntryIdSchema } from '../ids';
import { z } from 'zod';
import { joinParts, tempText } from '../../quantity/format';
import { toCelsius } from '../../units/units';
import { Unit } from '../shapes';
import { describeKind } from './kind';

/** Strikes an entry or one reading of it, and may put another value in the reading's place. */
export const correctionKind = describeKind({
  schema: z.looseObject({
    target: EntryIdSchema,
    reading: z.string().optional(),
    value: z.number().optional(),
    unit: Unit.optional(),
    reason: z.string().trim().min(3).max(500),
    /** What is right instead of the whole entry: its time, what it says. The corrected entry is written beside this one. */
    instead: z
      .looseObject({ at: z.string().max(40).optional(), data: z.record(z.string(), z.unknown()) })
      .optional(),
  }),
  scope: 'batch',
  correction: 'none',
  inherited: true,
  fileEvent: null,
  clocks: 'evidence',
  snapshots: 'target',
  mark: 'note',
  tell: (data, { unit }) => ({
    title: say('log.correction'),
    detail: joinParts(
      data.instead !== undefined && say('log.corrected'),
      data.value !== undefined &&
        say('log.now', { data: tempText(toCelsius(data.value, data.unit ?? 'C'), unit, 1) }),
      data.reason,
    ),
  }),
  record: () => null,
});
