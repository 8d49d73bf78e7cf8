import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { Words, Moment } from './shared';

/** Its bay is wanted for another heap by then; null: no longer. */
export const bayWantedKind = describeKind({
  schema: z.looseObject({ by: Moment.nullable(), words: Words.optional() }),
  scope: 'batch',
  correction: 'none',
  inherited: true,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: data.by === null ? say('log.bayNoLongerNeeded') : say('log.bayNeeded'),
    detail: data.words ?? '',
  }),
  record: () => null,
});
