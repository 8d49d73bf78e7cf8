import { say } from '../../../messages/say';
import { LotOutcomeSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** What came of something that went out. */
export const lotOutcomeKind = describeLotKind({
  schema: LotOutcomeSchema,
  mark: 'note',
  tell: (data) => ({ title: say('lots.outcome', { found: data.found }), detail: data.words ?? '' }),
});
