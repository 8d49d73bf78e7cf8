import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Words, knowing } from './shared';
import { knowingText, knowingLogText } from './text';

/** Held to be ready by somebody who says so. */
export const readyKind = describeKind({
  schema: z.looseObject({ words: Words.optional(), ...knowing }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'note',
  tell: (data) => ({
    title: say('log.markedReady'),
    detail: joinParts(knowingLogText(data.knowing), data.words),
  }),
  record: (data) =>
    data.words
      ? say('log.markedReady2', { knowing: knowingText(data.knowing), words: data.words })
      : say('log.markedReady3', { knowing: knowingText(data.knowing) }),
});
