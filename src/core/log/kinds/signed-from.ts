import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** From which entry on the installation has signed all: laid down once, where a log is older than signatures. */
export const signedFromKind = describeKind({
  schema: z.looseObject({ /** Number in the log. */ from: z.int().min(0) }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'check',
  tell: ({ from }) => ({ title: say('log.signedFrom', { seq: String(from) }), detail: '' }),
  record: () => null,
});
