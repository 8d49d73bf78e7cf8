import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { LotOutSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';
import { litresOrAll } from './text';

/** Something left the site or was used on it. */
export const lotOutKind = describeLotKind({
  schema: LotOutSchema,
  mark: 'move',
  tell: (data) => ({
    title: say('lots.wentOut', { how: data.how }),
    detail: joinParts(litresOrAll(data), data.bed?.name, data.party, data.words),
  }),
});
