import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { SMELL_WORDS, SQUEEZE_WORDS } from '../../words/feel';
import { LotLookSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** A look at a curing lot: moisture, smell, cover, temperatures, what was done. */
export const lotLookKind = describeLotKind({
  schema: LotLookSchema,
  mark: 'squeeze',
  tell: (data) => ({
    title: say('lots.lookedAt'),
    detail: joinParts(
      data.squeeze && SQUEEZE_WORDS[data.squeeze].log,
      data.smell && SMELL_WORDS[data.smell],
      data.waterL !== undefined && say('bench.lOfWater', { waterL: data.waterL }),
      data.words,
    ),
  }),
});
