import { say } from '../../../messages/say';
import { z } from 'zod';
import { SiteRuleSchema } from '../shapes';
import { describeKind } from './kind';

/** A rule that the site wrote itself: each entry of an id is a version of it. */
export const ruleKind = describeKind({
  schema: z.looseObject({ rule: SiteRuleSchema }),
  scope: 'site',
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'none',
  mark: 'check',
  tell: (data) => ({ title: say('log.ruleOfTheSite'), detail: data.rule.title }),
  record: () => null,
});
