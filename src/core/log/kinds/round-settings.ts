import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** Distances and heights that the rounds of the site go by. */
export const roundSettingsKind = describeKind({
  schema: z.looseObject({
    stretchM: z.number().min(1).max(100),
    borderM: z.number().min(0).max(10),
    altitudeM: z.number().min(-430).max(6000),
  }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'probe',
  tell: () => ({ title: say('log.distancesForTemperatureChecks'), detail: '' }),
  record: () => null,
});
