import { say } from '../../../messages/say';
import { z } from 'zod';
import { OwnMeasureSchema } from '../store-shapes';
import { describeKind } from './kind';

/** The site's own measures. */
export const measuresKind = describeKind({
  schema: z.looseObject({ measures: z.array(OwnMeasureSchema).max(40) }),
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'add',
  tell: () => ({ title: say('log.measuresOfTheSite'), detail: '' }),
  record: () => null,
});
