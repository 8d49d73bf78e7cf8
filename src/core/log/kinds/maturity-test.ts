import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { MaturityTestSchema } from '../lot-shapes';
import { TEST_WORDS } from '../../words/lots';
import { describeLotKind } from './lot-kind';

/** A test of maturity was begun, read or ended. */
export const maturityTestKind = describeLotKind({
  schema: MaturityTestSchema,
  mark: 'check',
  tell: (data) => ({
    title: TEST_WORDS[data.values.kind],
    detail: joinParts(
      data.ended
        ? say('lots.testEnded')
        : data.test === undefined
          ? say('lots.testBegun')
          : say('lots.testRead'),
      data.words,
    ),
  }),
});
