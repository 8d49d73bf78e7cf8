import { say } from '../../../messages/say';
import { LoadIdSchema } from '../ids';
import { z } from 'zod';
import { tempText } from '../../quantity/format';
import { toCelsius } from '../../units/units';
import { Unit } from '../shapes';
import { describeKind } from './kind';
import { Words } from './shared';

/** Temperature of a stock heap. */
export const loadHeatKind = describeKind({
  schema: z.looseObject({
    load: LoadIdSchema,
    value: z.number().min(-60).max(400),
    unit: Unit,
    words: Words.optional(),
  }),
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'probe',
  tell: (data, { unit }) => ({
    title: say('log.stackTemperature'),
    detail: tempText(toCelsius(data.value, data.unit), unit),
  }),
  record: () => null,
});
