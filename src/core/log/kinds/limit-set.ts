import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { LimitSetSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** The site wrote down a set of limits of its own, or changed one. */
export const limitSetKind = describeLotKind({
  schema: LimitSetSchema,
  mark: 'note',
  tell: (data) => ({
    title: say('lots.limitsWritten', { title: data.title }),
    detail: joinParts(data.document, data.words),
  }),
});
