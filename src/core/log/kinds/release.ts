import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { origin } from './shared';

/** A named person let it go out. */
export const releaseKind = describeKind({
  schema: z.looseObject({ ...origin }),
  scope: 'batch',
  correction: 'none',
  inherited: false,
  fileEvent: 'note',
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: () => ({ title: say('log.released'), detail: '' }),
  record: () => say('log.released'),
});
