import { joinParts } from '../../quantity/format';
import { LotOutSchema } from '../lot-shapes';
import { OUT_ALTHOUGH_WORDS, USE_WORDS, WENT_OUT_WORDS } from '../../words/lots';
import { describeLotKind } from './lot-kind';
import { litresOrAll } from './text';

/** Something left the site or was used on it. */
export const lotOutKind = describeLotKind({
  schema: LotOutSchema,
  mark: 'move',
  tell: (data) => ({
    title: WENT_OUT_WORDS[data.how],
    detail: joinParts(
      litresOrAll(data),
      data.bed?.name,
      data.use && USE_WORDS[data.use],
      data.party,
      data.grade,
      data.knowing && OUT_ALTHOUGH_WORDS[data.knowing],
      data.words,
    ),
  }),
});
