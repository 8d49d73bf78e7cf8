import { say } from '../../../messages/say';
import { RecallSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** A recall, or a rehearsal of one, with what it found. */
export const recallKind = describeLotKind({
  schema: RecallSchema,
  mark: 'flag',
  tell: (data) => ({
    title: data.rehearsal ? say('lots.recallRehearsed') : say('lots.recalled'),
    detail: data.reason ?? '',
  }),
});
