import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { origin } from './shared';

export const cureKind = describeKind({
  schema: z.looseObject({ ...origin }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: 'cure',
  clocks: 'none',
  snapshots: 'own',
  mark: 'cure',
  tell: () => ({ title: say('log.curingStarted'), detail: '' }),
  record: () => say('log.curingStarted'),
});
