import { getRequirementDescription } from '../evidence/requirements';
import type { Requirement, Rule } from '../evidence/rule';
import type { TempUnit } from '../quantity/units';

/** A rule in plain words, from its data: what is reckoned is what is read. */

export function requirementText(r: Requirement, unit: TempUnit): string {
  if (!('of' in r)) return getRequirementDescription(r.kind).text(r, unit);
  const parts = r.of.map((x) => requirementText(x, unit));
  return r.kind === 'anyOf'
    ? `any one of: ${parts.join('; or ')}`
    : `all of: ${parts.join('; and ')}`;
}

/** `United States, 40 CFR Part 503, Appendix B, 1993`. */
export const sourceText = (rule: Rule): string =>
  [
    rule.document.toLowerCase().startsWith(rule.jurisdiction) ? '' : rule.jurisdiction,
    rule.document,
    rule.section,
    rule.year,
  ]
    .filter(Boolean)
    .join(', ');

/** What may restart a rule's clock. */
export const CLOCK_TEXT = {
  germs: 'On the clock of germs: anything raw or unclean that goes in starts it again.',
  seeds: 'On the clock of seeds: anything with live seeds that goes in starts it again.',
} as const;

/** On a record: which text of a rule was judged by. */
export const heldText = (edition: number): string =>
  `Rule texts as held by this program, edition ${edition}: compare them with the current texts.`;

export const MEMORY_TEXT =
  'Its values were written down from memory: check with your local authority.';
