import { say } from '../../../messages/say';
import { z } from 'zod';
import { InstrumentSchema } from '../shapes';
import { describeKind } from './kind';

/** A thermometer of the site as it is now: each entry of a name is a version. */
export const instrumentKind = describeKind({
  schema: z.looseObject({ instrument: InstrumentSchema }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'probe',
  tell: (data) => ({ title: say('log.thermometer'), detail: data.instrument.name }),
  record: () => null,
});
