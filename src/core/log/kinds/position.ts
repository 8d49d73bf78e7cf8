import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { positionText } from '../../words/position';
import { PositionSchema } from '../shapes';
import { describeKind } from './kind';
import { Words } from './shared';

/** A bay, or from where to where along a shared row. */
export const positionKind = describeKind({
  schema: z.looseObject({ position: PositionSchema, words: Words.optional() }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'move',
  tell: (data) => ({
    title: say('log.location'),
    detail: joinParts(positionText(data.position), data.words),
  }),
  record: () => null,
});
