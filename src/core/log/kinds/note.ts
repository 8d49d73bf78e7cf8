import { z } from 'zod';
import { describeKind } from './kind';
import { Words, origin } from './shared';

export const note = describeKind({
  schema: z.looseObject({ words: Words, ...origin }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: 'note',
  clocks: 'none',
  mark: 'note',
  tell: (data) => ({
    title: 'Note',
    detail: data.words || String((data as { text?: unknown }).text ?? ''),
  }),
  record: (data) => data.words || null,
});
