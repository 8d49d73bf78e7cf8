import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { FIXED_WORDS } from '../../words/acts';
import { describeKind } from './kind';
import { Words } from './shared';
import { FIXES } from './vocabulary';

/** One thing that was changed to mend it. */
export const fixKind = describeKind({
  schema: z.looseObject({
    fix: z.enum(FIXES),
    against: z.string().max(40).optional(),
    words: Words.optional(),
  }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: say('log.otherChange'),
    detail: joinParts(FIXED_WORDS[data.fix], data.words),
  }),
  record: () => null,
});
