import type { Rule } from '../evidence/rule';
import type { Method } from '../evidence/types';
import { AU_RULES } from './au';
import { CA_RULES } from './ca';
import { EU_RULES } from './eu';
import { PRACTICE_RULES } from './practice';
import { UK_RULES } from './uk';
import { US_RULES } from './us';

/** Counts up when a rule of the library changes, so that a file can say which library it was kept under. */
export const LIBRARY_EDITION = 2;

/** Every rule that ships. Check a value with your local authority before relying on it. */
export const RULE_LIBRARY: readonly Rule[] = [
  ...US_RULES,
  ...EU_RULES,
  ...CA_RULES,
  ...AU_RULES,
  ...UK_RULES,
  ...PRACTICE_RULES,
];

/** Rules of the library that are written for a method. */
export const rulesForMethod = (method: Method): Rule[] =>
  RULE_LIBRARY.filter((rule) => rule.methods.includes(method));

/** A rule in a few words. */
export const shortTitle = (rule: Rule): string => rule.short ?? rule.title;

/** Short titles that tell rules apart: where two have the same, as a site's own rules may, where they come from stands behind. */
export function titlesOf(rules: readonly Rule[]): ReadonlyMap<string, string> {
  return new Map(
    rules.map((r) => [
      r.id,
      rules.some((other) => other !== r && shortTitle(other) === shortTitle(r))
        ? `${shortTitle(r)} (${r.document})`
        : shortTitle(r),
    ]),
  );
}

/** A rule of the library by its id. */
export const findRule = (id: string, own: readonly Rule[] = []): Rule | undefined =>
  [...RULE_LIBRARY, ...own].find((rule) => rule.id === id);
