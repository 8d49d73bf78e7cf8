import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';
import { origin } from './shared';

export const moistureKind = describeKind({
  schema: z.looseObject({ state: z.enum(['dry', 'moist', 'wet']), ...origin }),
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: 'moisture',
  clocks: 'evidence',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'squeeze',
  tell: (data) => ({ title: say('log.moisture'), detail: data.state }),
  record: (data) => say('log.moisture2', { state: data.state }),
});
