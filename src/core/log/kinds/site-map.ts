import { say } from '../../../messages/say';
import { EntryIdSchema } from '../ids';
import { z } from 'zod';
import { SiteMapSchema } from '../store-shapes';
import { describeKind } from './kind';

/** Where bays, bins and rows lie. */
export const siteMapKind = describeKind({
  schema: z.looseObject({ map: SiteMapSchema, from: EntryIdSchema.nullable() }),
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'move',
  tell: () => ({ title: say('log.mapOfTheSite'), detail: '' }),
  record: () => null,
});
