import { say } from '../../../messages/say';
import { z } from 'zod';
import { EntryIdSchema } from '../ids';
import { describeKind } from './kind';

/** What a trainee logged was looked at by somebody else, and counts from then on. */
export const entryCheckKind = describeKind({
  schema: z.looseObject({ target: EntryIdSchema }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: null,
  clocks: 'evidence',
  snapshots: 'own',
  mark: 'check',
  tell: () => ({ title: say('log.entryChecked'), detail: '' }),
  record: () => null,
});
