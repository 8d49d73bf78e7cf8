import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { Words, origin } from './shared';

/** Some files call the words of a note `text`. */
const textOf = (data: Readonly<Record<string, unknown>>): string =>
  typeof data.text === 'string' ? data.text : '';

export const noteKind = describeKind({
  schema: z.looseObject({ words: Words, ...origin }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: 'note',
  clocks: 'none',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'note',
  tell: (data) => ({
    title: say('log.note'),
    detail: data.words || textOf(data),
  }),
  record: (data) => data.words || null,
});
