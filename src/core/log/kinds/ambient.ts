import { say } from '../../../messages/say';
import { z } from 'zod';
import { tempText } from '../../quantity/format';
import { toCelsius } from '../../units/units';
import { Unit } from '../shapes';
import { describeKind } from './kind';
import { walk } from './shared';

/** Air temperature of the site. */
export const ambientKind = describeKind({
  schema: z.looseObject({ value: z.number(), unit: Unit, ...walk }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'asleep',
  mark: 'probe',
  tell: (data, { unit }) => ({
    title: say('log.airTemperature'),
    detail: tempText(toCelsius(data.value, data.unit), unit),
  }),
  record: () => null,
});
