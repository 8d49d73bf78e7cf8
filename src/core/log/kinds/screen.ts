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
  mark: 'screen',
  tell: () => ({ title: 'Screened', detail: '' }),
  record: () => 'Screened',
});
