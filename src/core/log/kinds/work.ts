import { say } from '../../../messages/say';
import { z } from 'zod';
import { WorkSchema } from '../shapes';
import { describeKind } from './kind';

/** Crew, machine, hours, hose, limits, chores. */
export const workKind = describeKind({
  schema: z.looseObject({ work: WorkSchema }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'walk',
  tell: () => ({ title: say('terms.crewAndHours'), detail: '' }),
  record: () => null,
});
