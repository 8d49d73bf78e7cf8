import { say } from '../../../messages/say';
import { z } from 'zod';
import { describeKind } from './kind';

/** The last raw load went in: the clock starts at the entry's time. */
export const builtKind = describeKind({
  schema: z.looseObject({ /** The time as a file wrote it. */ as: z.string().optional() }),
  scope: 'batch',
  drawsOnStore: true,
  correction: 'in-place',
  inherited: true,
  fileEvent: null,
  clocks: 'starts',
  snapshots: 'own',
  mark: 'check',
  tell: () => ({ title: say('log.finishedAdding'), detail: say('log.lastRawMaterialInClock') }),
  record: () => say('log.finishedAddingLastRawMaterial'),
});
