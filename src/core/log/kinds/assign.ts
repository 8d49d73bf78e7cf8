import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { taskText } from '../../words/acts';
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
    title: say('log.task'),
    detail: joinParts(
      taskText(data.task),
      data.who && say('log.for', { who: data.who }),
      data.day !== undefined && say('log.movedToAnotherDay'),
    ),
  }),
  record: () => null,
});
