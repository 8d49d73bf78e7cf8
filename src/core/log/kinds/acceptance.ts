import { say } from '../../../messages/say';
import { z } from 'zod';
import { AcceptLineSchema } from '../store-shapes';
import { describeKind } from './kind';

/** What the site takes, asks about and refuses. */
export const acceptanceKind = describeKind({
  schema: z.looseObject({ lines: z.array(AcceptLineSchema).max(200) }),
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'check',
  tell: (data) => ({
    title: say('terms.whatWeAccept'),
    detail: say('log.lineLines', { lines: data.lines.length }),
  }),
  record: () => null,
});
