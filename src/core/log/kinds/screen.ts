import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { origin } from './shared';

export const screenKind = describeKind({
  schema: z.looseObject({ ...origin }),
  scope: 'batch',
  correction: 'none',
  inherited: true,
  fileEvent: 'screen',
  clocks: 'none',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'screen',
  tell: () => ({ title: say('log.screened'), detail: '' }),
  record: () => say('log.screened'),
});
