import {
  assessRule,
  prepare,
  type RuleAssessment,
  type Prepared,
  type AssessedRule,
} from '../evidence/verdict';
import type { Rule } from '../evidence/rule';
import { ownRulesOf } from '../formats/batch-file';
import type { SiteHead } from '../formats/batch-file-of';
import { evidenceOfState } from '../formats/evidence-of-state';
import type { BatchState, SiteState, Terms } from '../log/fold';
import type { Instant } from '../quantity/instant';
import { findRule } from '../rules/library';
import { itemAt, lastOf } from '../quantity/present';

/** Rules of some terms that are known, in the order in which they were chosen; none where no rule is claimed. */
function rulesOf(terms: Terms): Rule[] {
  const own = ownRulesOf([...terms.ownRules]);
  return terms.rules.map((id) => findRule(id, own)).filter((rule) => rule !== undefined);
}

/** How a batch stands to one rule. */
export type BatchRule = AssessedRule & {
  /** The rules and policy that the account was reached under. */
  readonly terms: Terms;
  /** Where a proof was kept from earlier terms: what those in force would say. Null: they ask for this rule no more. */
  readonly present?: RuleAssessment | null;
};

/** Everything a batch's page is drawn from, as of now: the leading rule first, the others as they were chosen. */
export type BatchAssessment = { readonly prepared: Prepared; readonly rules: readonly BatchRule[] };

/** A batch under one version of its terms. Null while it is building. */
export function assessUnderTerms(
  state: BatchState,
  terms: Terms,
  site: SiteHead,
  siteState: SiteState,
  now: Instant,
): BatchAssessment | null {
  const evidence = evidenceOfState(state, site, siteState, terms);
  if (!evidence) return null;
  const prepared = prepare(evidence, now);
  return {
    prepared,
    rules: rulesOf(terms).map((rule) => ({ rule, terms, assessment: assessRule(prepared, rule) })),
  };
}

/**
 * A batch under the terms in force; but a proof that was reached under earlier ones before they changed, and
 * that nothing raw has undone since, stands as it was reached.
 */
export function assessBatch(
  state: BatchState,
  site: SiteHead,
  siteState: SiteState,
  now: Instant,
): BatchAssessment | null {
  const inForce = assessUnderTerms(state, lastOf(state.terms), site, siteState, now);
  if (!inForce || state.terms.length === 1) return inForce;
  const assessed = new Map(inForce.rules.map((r) => [r.rule.id, r]));
  state.terms.slice(0, -1).forEach((terms, i) => {
    const until = itemAt(state.terms, i + 1).since;
    for (const earlier of assessUnderTerms(state, terms, site, siteState, now)?.rules ?? []) {
      const { provenAt } = earlier.assessment.verdict;
      const shown = assessed.get(earlier.rule.id);
      if (provenAt === null || provenAt > until || shown?.present !== undefined) continue;
      assessed.set(earlier.rule.id, { ...earlier, present: shown?.assessment ?? null });
    }
  });
  return { ...inForce, rules: [...assessed.values()] };
}

const share = ({ assessment: { verdict: v } }: AssessedRule): number =>
  v.status === 'proven' ? 2 : v.creditedHours / v.requiredHours;

/**
 * The rule that the work goes by: the leading one until it is met, then of those still to be met the one furthest from done,
 * germs before seeds. With all met it is the leading one.
 */
export function chooseWorkingRule<T extends AssessedRule>(accounts: readonly T[]): T | undefined {
  const open = accounts.filter(({ assessment: { verdict } }) => verdict.status !== 'proven');
  if (open.length === 0 || open[0] === accounts[0]) return accounts[0];
  return [...open].sort(
    (a, b) =>
      Number(a.rule.clock === 'seeds') - Number(b.rule.clock === 'seeds') || share(a) - share(b),
  )[0];
}
