import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { LabSampleSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** A sample was drawn for a laboratory. The entry's id is the sample's. */
export const labSampleKind = describeLotKind({
  schema: LabSampleSchema,
  mark: 'check',
  tell: (data) => ({
    title: say('lots.sampleDrawn'),
    detail: joinParts(
      data.laboratory,
      data.composite !== undefined && say('lots.compositeOf', { composite: data.composite }),
      data.words,
    ),
  }),
});
