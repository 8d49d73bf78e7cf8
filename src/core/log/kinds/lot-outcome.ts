import { LotOutcomeSchema } from '../lot-shapes';
import { OUTCOME_WORDS } from '../../words/lots';
import { describeLotKind } from './lot-kind';

/** What came of something that went out. */
export const lotOutcomeKind = describeLotKind({
  schema: LotOutcomeSchema,
  mark: 'note',
  tell: (data) => ({ title: OUTCOME_WORDS[data.found], detail: data.words ?? '' }),
});
