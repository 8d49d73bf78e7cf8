import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { SoundPolicySchema } from '../shapes';
import { describeKind } from './kind';
import { Words } from './shared';
import { COUNTRIES } from './vocabulary';

/** The rules and the evidence policy that the site works to: each entry is a version. */
export const siteTermsKind = describeKind({
  schema: z.looseObject({
    policy: SoundPolicySchema,
    rules: z.array(z.string()),
    /** The country that somebody gave for the site; null: another country than these. */
    country: z.enum(COUNTRIES).nullable().optional(),
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
    title: say('log.rulesPolicySite'),
    detail: joinParts(say('log.ruleRules', { rules: data.rules.length }), data.words),
  }),
  record: () => null,
});
