import { say } from '../../../messages/say';
import { LotDecisionSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** A named person released a lot for its uses, put it on hold, or refused it. */
export const lotDecisionKind = describeLotKind({
  schema: LotDecisionSchema,
  mark: 'flag',
  tell: (data) => ({
    title: say('lots.decided', { decision: data.decision }),
    detail: data.words ?? '',
  }),
});
