import { joinParts } from '../../quantity/format';
import { LotSchema } from '../lot-shapes';
import { LOT_BEGAN_WORDS } from '../../words/lots';
import { describeLotKind } from './lot-kind';

/** A lot begins: compost that cures, fines, overs or a product. The entry's id is the lot's. */
export const lotKind = describeLotKind({
  schema: LotSchema,
  mark: 'add',
  tell: (data) => ({
    title: LOT_BEGAN_WORDS[data.kind],
    detail: joinParts(data.code, data.name, data.where, data.words),
  }),
});
