import { say } from '../../../messages/say';
import { BatchIdSchema, LotIdSchema } from '../ids';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { END_WORDS } from '../../words/acts';
import { describeKind } from './kind';
import { Words, act, knowing } from './shared';
import { END_REASONS } from './vocabulary';
import { knowingText, knowingLogText } from './text';

/** It is at its end, by decision. */
export const endedKind = describeKind({
  schema: z.looseObject({
    reason: z.enum(END_REASONS),
    into: BatchIdSchema.optional(),
    /** The curing lot that it went into. */ lot: LotIdSchema.optional(),
    words: Words.optional(),
    ...knowing,
    ...act,
  }),
  scope: 'batch',
  movesMatter: true,
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: say('log.finished'),
    detail: joinParts(END_WORDS[data.reason], knowingLogText(data.knowing), data.words),
  }),
  record: (data) =>
    data.words
      ? say('log.finished2', {
          endwords: END_WORDS[data.reason],
          knowing: knowingText(data.knowing),
          words: data.words,
        })
      : say('log.finished3', {
          endwords: END_WORDS[data.reason],
          knowing: knowingText(data.knowing),
        }),
});
