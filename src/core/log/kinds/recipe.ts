import { say } from '../../../messages/say';
import { EntryIdSchema } from '../ids';
import { z } from 'zod';
import { RecipeSchema } from '../store-shapes';
import { describeKind } from './kind';

/** A recipe: each entry of an id is a version. `from`: the version that it was changed from. */
export const recipeKind = describeKind({
  schema: z.looseObject({ recipe: RecipeSchema, from: EntryIdSchema.nullable() }),
  scope: 'store',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'note',
  tell: (data) => ({ title: say('log.recipe'), detail: data.recipe.name }),
  record: () => null,
});
