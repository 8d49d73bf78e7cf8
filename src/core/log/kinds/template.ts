import { libraryText } from '../../../messages/library-text';
import { say } from '../../../messages/say';
import { z } from 'zod';
import { TemplateSchema } from '../shapes';
import { describeKind } from './kind';

/** A method template of the site: each entry of an id is a version of it. */
export const templateKind = describeKind({
  schema: z.looseObject({ template: TemplateSchema }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'flag',
  tell: (data) => ({ title: say('log.methodOfTheSite'), detail: libraryText(data.template.name) }),
  record: () => null,
});
