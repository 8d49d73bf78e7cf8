import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** Whether what trainees log counts before somebody else has checked it; it holds for what is logged from then on. */
export const traineePolicyKind = describeKind({
  schema: z.looseObject({ countAtOnce: z.boolean() }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'check',
  tell: ({ countAtOnce }) => ({
    title: countAtOnce ? say('log.traineesCount') : say('log.traineesAreChecked'),
    detail: '',
  }),
  record: () => null,
});
