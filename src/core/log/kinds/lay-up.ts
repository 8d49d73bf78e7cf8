import { say } from '../../../messages/say';
import { EntryIdSchema } from '../ids';
import { z } from 'zod';
import { RecipeSchema } from '../store-shapes';
import { describeKind } from './kind';

/** What it is to be built by: a recipe as it was when it was chosen. */
export const layUpKind = describeKind({
  schema: z.looseObject({
    recipe: RecipeSchema,
    /** The entry that kept that version. */ from: EntryIdSchema.optional(),
  }),
  scope: 'batch',
  drawsOnStore: true,
  correction: 'strike',
  inherited: true,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'flag',
  tell: (data) => ({ title: say('log.buildSheet'), detail: data.recipe.name }),
  record: () => null,
});
