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
    title: 'Said to be ready',
    detail: joinParts(knowingLogText(data.knowing), data.words),
  }),
  record: (data) =>
    `Said to be ready${knowingText(data.knowing)}${data.words ? `: ${data.words}` : ''}`,
});
