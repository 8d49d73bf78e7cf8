import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { SKIP_WORDS } from '../../words/skip';
import { describeKind } from './kind';
import { Words, walk } from './shared';
import { SKIPS } from './vocabulary';

/** A heap was left out of a walk over the site. */
export const skipKind = describeKind({
  schema: z.looseObject({ reason: z.enum(SKIPS), words: Words.optional(), ...walk }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'walk',
  tell: (data) => ({
    title: say('log.skippedAtACheck'),
    detail: joinParts(SKIP_WORDS[data.reason], data.words),
  }),
  record: () => null,
});
