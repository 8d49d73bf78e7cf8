import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { LabReportSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** A laboratory reported on a sample. */
export const labReportKind = describeLotKind({
  schema: LabReportSchema,
  mark: 'check',
  tell: (data) => ({
    title: say('lots.resultsLogged'),
    detail: joinParts(say('lots.resultsMany', { results: data.results.length }), data.words),
  }),
});
