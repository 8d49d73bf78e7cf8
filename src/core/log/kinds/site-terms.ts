import { z } from 'zod';
import { countText, joinParts } from '../../quantity/format';
import { SoundPolicySchema } from '../shapes';
import { describeKind } from './kind';
import { Words } from './shared';

/** The rules and the evidence policy that the site works to: each entry is a version. */
export const siteTermsKind = describeKind({
  schema: z.looseObject({
    policy: SoundPolicySchema,
    rules: z.array(z.string()),
    words: Words.optional(),
  }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'check',
  tell: (data) => ({
    title: 'Rules and policy of the site',
    detail: joinParts(countText(data.rules.length, 'rule'), data.words),
  }),
  record: () => null,
});
