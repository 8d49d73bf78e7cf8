import { say } from '../../../messages/say';
import { z } from 'zod';
import { EntryIdSchema } from '../ids';
import { describeKind } from './kind';
import { Words } from './shared';

/** What a trainee logged was looked at by somebody else, and counts from then on. */
export const entryCheckKind = describeKind({
  schema: z.looseObject({ target: EntryIdSchema, words: Words.optional() }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: null,
  clocks: 'evidence',
  snapshots: 'own',
  mark: 'check',
  tell: (data) => ({ title: say('log.entryChecked'), detail: data.words ?? '' }),
  record: () => null,
});
