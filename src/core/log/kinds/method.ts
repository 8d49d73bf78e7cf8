import { libraryText } from '../../../messages/library-text';
import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { TemplateSchema } from '../shapes';
import { describeKind } from './kind';
import { Words } from './shared';

/** The method that it is kept by, from now on. */
export const methodKind = describeKind({
  schema: z.looseObject({ template: TemplateSchema, words: Words.optional() }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'flag',
  tell: (data) => ({
    title: say('log.method'),
    detail: joinParts(libraryText(data.template.name), data.words),
  }),
  record: () => null,
});
