import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Moment } from './shared';

/** A task is given to somebody, or to a day. */
export const assignKind = describeKind({
  schema: z.looseObject({
    task: z.string().min(1).max(120),
    who: z.string().trim().max(60).optional(),
    /** The day it is moved to, its noon. */ day: Moment.optional(),
  }),
  scope: 'batch',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'walk',
  tell: (data) => ({
    title: 'Task',
    detail: joinParts(
      data.task,
      data.who && `for ${data.who}`,
      data.day !== undefined && 'moved to another day',
    ),
  }),
  record: () => null,
});
