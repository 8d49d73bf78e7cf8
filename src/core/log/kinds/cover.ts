import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { origin } from './shared';

export const coverKind = describeKind({
  schema: z.looseObject({ ...origin }),
  scope: 'batch',
  correction: 'none',
  inherited: true,
  fileEvent: 'cover',
  clocks: 'none',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'cure',
  tell: () => ({ title: say('log.cover'), detail: '' }),
  record: () => say('log.cover'),
});
