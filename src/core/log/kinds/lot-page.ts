import { say } from '../../../messages/say';
import { LotPageSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** The public page of a lot was switched on or off. */
export const lotPageKind = describeLotKind({
  schema: LotPageSchema,
  mark: 'note',
  tell: (data) => ({
    title: data.shown ? say('lots.pageOn') : say('lots.pageOff'),
    detail: '',
  }),
});
