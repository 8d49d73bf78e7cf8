import { say } from '../../../messages/say';
import { joinParts } from '../../quantity/format';
import { ScreeningSchema } from '../lot-shapes';
import { describeLotKind } from './lot-kind';

/** Lots were screened: what went in, and what came out as fines, overs and rejects. */
export const screeningKind = describeLotKind({
  schema: ScreeningSchema,
  mark: 'screen',
  tell: (data) => ({
    title: say('log.screened'),
    detail: joinParts(say('lots.meshOf', { meshMm: data.meshMm }), data.words),
  }),
});
