import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { Words, origin, act } from './shared';

export const moveKind = describeKind({
  schema: z.looseObject({ words: Words.optional(), ...act, ...origin }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: 'move',
  clocks: 'none',
  snapshots: 'own',
  mark: 'move',
  tell: (data) => ({ title: say('log.moved'), detail: data.words ?? '' }),
  record: () => say('log.moved'),
});
