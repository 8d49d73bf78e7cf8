import { z } from 'zod';
import { countText, joinParts } from '../../quantity/format';
import { RuleSchema, SoundPolicySchema } from '../shapes';
import { describeKind } from './kind';
import { Words, siteVersion } from './shared';

/** Other rules or another policy for this batch, from when the log took it. What was proven before stays proven under what held then. */
export const termsKind = describeKind({
  schema: z.looseObject({
    policy: SoundPolicySchema,
    rules: z.array(z.string()),
    ownRules: z.array(RuleSchema).default([]),
    siteVersion,
    words: Words.optional(),
  }),
  scope: 'batch',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'rules',
  snapshots: 'own',
  mark: 'check',
  tell: (data) => ({
    title: 'Rules and policy changed',
    detail: joinParts(
      countText(data.rules.length, 'rule'),
      data.siteVersion !== undefined && `version ${data.siteVersion} of the site`,
      data.words,
    ),
  }),
  record: (data) => `Rules and policy changed: ${data.rules.join(', ')}`,
});
