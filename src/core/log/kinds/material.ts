import { libraryText } from '../../../messages/library-text';
import { say } from '../../../messages/say';
import { z } from 'zod';
import { MaterialSchema } from '../store-shapes';
import { describeKind } from './kind';

/** A material of the site's library: each entry of an id is a version. */
export const materialKind = describeKind({
  schema: z.looseObject({ material: MaterialSchema }),
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'add',
  tell: (data) => ({ title: say('log.material'), detail: libraryText(data.material.name) }),
  record: () => null,
});
