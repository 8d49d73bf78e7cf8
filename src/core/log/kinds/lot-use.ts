import { say } from '../../../messages/say';
import { USE_WORDS } from '../../words/lots';
import { LotUseSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** What a use of compost asks was changed for this site. */
export const lotUseKind = describeLotKind({
  schema: LotUseSchema,
  mark: 'note',
  tell: (data) => ({
    title: say('lots.useChanged', { use: USE_WORDS[data.use] }),
    detail: data.words ?? '',
  }),
});
