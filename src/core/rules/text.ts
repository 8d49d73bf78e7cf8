import { say } from '../../messages/say';
import { getRequirementDescription } from '../evidence/requirements';
import type { Requirement, Rule } from '../evidence/rule';
import type { TempUnit } from '../units/units';

/** A rule in plain words, from its data: what is reckoned is what is read. */

export function requirementText(r: Requirement, unit: TempUnit): string {
  if (!('of' in r)) return getRequirementDescription(r.kind).text(r, unit);
  const parts = r.of.map((x) => requirementText(x, unit));
  return r.kind === 'anyOf'
    ? say('rules.anyOneOf', { parts: parts.join('; or ') })
    : say('rules.allOf', { parts: parts.join('; and ') });
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
  get germs() {
    return say('rules.pathogenClockAnythingRawOr');
  },
  get seeds() {
    return say('rules.weedSeedClockAnythingWith');
  },
} as const;

/** On a record: which text of a rule was judged by. */
export const heldText = (edition: number): string => say('rules.ruleTextsAsInThis', { edition });

/** Said of a rule whose values were not compared with its text. */
export const memoryText = (): string => say('rules.itsValuesWereWrittenDown');
