import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { LotMoveSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';
import { litresOrAll } from './text';

/** Matter was moved from a load, a batch or a lot into a lot. */
export const lotMoveKind = describeLotKind({
  schema: LotMoveSchema,
  mark: 'move',
  tell: (data) => ({ title: say('log.moved'), detail: joinParts(litresOrAll(data), data.words) }),
});
