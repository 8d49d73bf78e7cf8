import { LotDecisionSchema } from '../lot-shapes';
import { DECISION_WORDS } from '../../words/lots';
import { describeLotKind } from './lot-kind';

/** A named person released a lot for its uses, put it on hold, or refused it. */
export const lotDecisionKind = describeLotKind({
  schema: LotDecisionSchema,
  mark: 'flag',
  tell: (data) => ({
    title: DECISION_WORDS[data.decision],
    detail: data.words ?? '',
  }),
});
