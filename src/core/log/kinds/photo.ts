import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { Words, walk } from './shared';

/** A picture; its bytes lie beside the log under their SHA-256. */
export const photoKind = describeKind({
  schema: z.looseObject({
    sha256: z.string().regex(/^[0-9a-f]{64}$/),
    width: z.int().positive(),
    height: z.int().positive(),
    words: Words.optional(),
    ...walk,
  }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'note',
  tell: (data) => ({ title: say('log.photo'), detail: data.words ?? '' }),
  record: () => null,
});
