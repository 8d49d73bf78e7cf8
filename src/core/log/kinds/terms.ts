import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
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
    title: say('log.rulesAndPolicyChanged'),
    detail: joinParts(
      say('log.ruleRules', { rules: data.rules.length }),
      data.siteVersion !== undefined &&
        say('log.versionOfTheSite', { siteVersion: data.siteVersion }),
      data.words,
    ),
  }),
  record: (data) => say('log.rulesAndPolicyChanged2', { rules: data.rules.join(', ') }),
});
