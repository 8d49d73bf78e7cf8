import { say } from '../../../messages/say';
import { figureWithUnit, joinParts } from '../../quantity/format';
import { LotSizeSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** How much of a lot there is, measured. */
export const lotSizeKind = describeLotKind({
  schema: LotSizeSchema,
  mark: 'note',
  tell: (data) => ({
    title: say('lots.measured'),
    detail: joinParts(figureWithUnit('litres', data.litres), data.words),
  }),
});
