import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** A thermometer held against a reference, for the whole site. */
export const probeCheckKind = describeKind({
  schema: z.looseObject({
    probe: z.string().trim().min(1).max(40),
    referenceC: z.number(),
    readC: z.number(),
    how: z.enum(['ice', 'boil', 'reference']).optional(),
    altitudeM: z.number().optional(),
    /** Whoever checked it says that it is so far off, and no slip. */
    certain: z.boolean().optional(),
  }),
  scope: 'site',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'evidence',
  snapshots: 'read-with',
  mark: 'check',
  tell: (data) => ({ title: say('log.thermometerChecked'), detail: data.probe }),
  record: () => null,
});
