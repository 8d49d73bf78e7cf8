import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { DEFER_WORDS, taskText } from '../../words/acts';
import { describeKind } from './kind';
import { Words, Moment } from './shared';
import { DEFER_REASONS } from './vocabulary';

/** An advised act is put off: until when it is looked at again, and why. */
export const deferKind = describeKind({
  schema: z.looseObject({
    task: z.string().min(1).max(120),
    until: Moment,
    reason: z.enum(DEFER_REASONS),
    words: Words.optional(),
    /** It cannot be done at all, for now. */ impossible: z.boolean().optional(),
  }),
  scope: 'batch',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: data.impossible ? say('log.notPossible') : say('log.postponed'),
    detail: joinParts(taskText(data.task), DEFER_WORDS[data.reason].toLowerCase(), data.words),
  }),
  record: () => null,
});
