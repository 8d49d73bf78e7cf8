import { say } from '../../../messages/say';
import { z } from 'zod';
import { FireCardSchema } from '../shapes';
import { describeKind } from './kind';

export const fireCardKind = describeKind({
  schema: z.looseObject({ card: FireCardSchema }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'flag',
  tell: () => ({ title: say('log.firePlan'), detail: '' }),
  record: () => null,
});
