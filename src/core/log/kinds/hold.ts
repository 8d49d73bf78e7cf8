import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { Words } from './shared';

/** Put on hold, or taken up again. */
export const holdKind = describeKind({
  schema: z.looseObject({ on: z.boolean(), reason: Words.optional() }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: data.on ? say('log.putOnHold') : say('log.takenOffHold'),
    detail: data.reason ?? '',
  }),
  record: () => null,
});
