import type { Hold, Requirement, Rule } from '../evidence/rule';
import { countText, spanText, tempBeside } from '../quantity/format';
import type { TempUnit } from '../quantity/units';

/** A rule in plain words, from its data: what is reckoned is what is read. */

const at = (celsius: number, unit: TempUnit): string => tempBeside(celsius, celsius, unit);

const range = (floorC: number, ceilingC: number | undefined, unit: TempUnit): string =>
  ceilingC === undefined
    ? `at ${at(floorC, unit)} or more`
    : `between ${at(floorC, unit)} and ${at(ceilingC, unit)}`;

function holdText(h: Hold, unit: TempUnit): string {
  const turned =
    h.turnings > 0 ? `, with ${countText(h.turnings, 'full turning')} at least in that time` : '';
  return `${spanText(h.hours)} ${h.consecutive ? 'in a row' : 'in all'} ${range(h.floorC, h.ceilingC, unit)}${turned}${h.moist ? ', counted only while the heap is moist' : ''}`;
}

export function requirementText(r: Requirement, unit: TempUnit): string {
  switch (r.kind) {
    case 'hold':
      return holdText(r, unit);
    case 'staged':
      return `${spanText(r.holdHours)} in a row ${range(r.floorC, r.ceilingC, unit)} before each of ${countText(r.stages, 'full turning')}`;
    case 'within':
      return `${holdText({ ...r.outer, consecutive: true }, unit)}, and inside that time ${spanText(r.inner.hours)} in all ${range(r.inner.floorC, r.inner.ceilingC, unit)}`;
    case 'meanAbove':
      return `${spanText(r.hours)} in a row ${range(r.floorC, undefined, unit)}, with a mean above ${at(r.meanC, unit)} over that time`;
    case 'anyOf':
      return `any one of: ${r.of.map((x) => requirementText(x, unit)).join('; or ')}`;
    case 'allOf':
      return `all of: ${r.of.map((x) => requirementText(x, unit)).join('; and ')}`;
  }
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
