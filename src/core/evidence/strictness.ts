import type { Policy } from './types';
import { assessRule, prepare, type RuleAssessment, type Prepared } from './verdict';
import type { Rule } from './rule';

/** One cell of the table that shows how a verdict hangs on its policy. */
export type StrictCell = {
  readonly combine: Policy['combine'];
  readonly counting: Policy['counting'];
  readonly guardBandC: number;
  readonly account: RuleAssessment;
  /** The policy in force. */ readonly own: boolean;
};

export const GUARD_BANDS_C = [0, 1, 2] as const;
const COMBINES = ['coldest', 'median', 'mean'] as const;
const COUNTINGS = ['hours', 'days'] as const;

/** The same evidence under coldest, median and mean, hours and days, and three guard bands; all else as in force. */
export function strictness(prepared: Prepared, rule: Rule): StrictCell[] {
  const { evidence, asOf } = prepared;
  return COUNTINGS.flatMap((counting) =>
    GUARD_BANDS_C.flatMap((guardBandC) =>
      COMBINES.map((combine): StrictCell => {
        const own =
          evidence.policy.combine === combine &&
          evidence.policy.counting === counting &&
          evidence.policy.guardBandC === guardBandC;
        return {
          combine,
          counting,
          guardBandC,
          own,
          account: own
            ? assessRule(prepared, rule)
            : assessRule(
                prepare(
                  { ...evidence, policy: { ...evidence.policy, combine, counting, guardBandC } },
                  asOf,
                ),
                rule,
              ),
        };
      }),
    ),
  );
}
