import { issueText } from '@/core/words/issue-text';
import { z } from 'zod';
import { SiteRuleSchema } from '@/core/log/shapes';
import { ownRulesOf } from '@/core/formats/batch-file';
import type { Rule } from '@/core/evidence/rule';
import { pathText, type Problem } from '@/core/words/problem';
import { firstOf } from '@/core/quantity/present';

/** A rule as the form sends it, and as the core reckons it. */
export type RuleDraft = z.output<typeof SiteRuleSchema>;
/** A rule that is being typed: what is wrong with it is part of the answer. */
export const AskedRule = z.record(z.string(), z.unknown());
export type ParsedRule =
  | { readonly ok: true; readonly rule: Rule }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export function parseRule(draft: unknown): ParsedRule {
  const parsed = SiteRuleSchema.safeParse(draft, { error: issueText });
  if (parsed.success) return { ok: true, rule: firstOf(ownRulesOf([parsed.data])) };
  return {
    ok: false,
    problems: parsed.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })),
  };
}

/** `site-hen-litter` from a title, one that is not taken. */
export function ruleIdFor(title: string, taken: readonly string[]): string {
  const stem = `site-${
    title
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 36) || 'rule'
  }`;
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? stem : `${stem}-${n}`;
    if (!taken.includes(id)) return id;
  }
}
