import { libraryText } from '@/messages/library-text';
import { factsOf } from '@/core/evidence/facts';
import type { Rule } from '@/core/evidence/rule';
import type { AssessedRule } from '@/core/evidence/verdict';
import { CLOCK_TEXT, requirementText, sourceText } from '@/core/rules/text';
import { dayText } from '@/core/quantity/format';
import type { TempUnit } from '@/core/units/units';
import type { Locale } from '@/core/words/note';
import { progressText, statusWord, turningsText } from '@/core/evidence/verdict-words';

/** A rule to read. */
export type RuleView = {
  readonly id: string;
  readonly title: string;
  readonly jurisdiction: string;
  readonly text: string;
  readonly source: string;
  readonly fromMemory: boolean;
  readonly clock: string;
  readonly methods: readonly ('turned' | 'static' | 'vessel')[];
  readonly conditions: readonly string[];
  readonly caution: string | null;
  readonly version: number | null;
};

export const ruleView = (rule: Rule, unit: TempUnit, version: number | null = null): RuleView => ({
  id: rule.id,
  title: libraryText(rule.title),
  jurisdiction: rule.jurisdiction,
  text: requirementText(rule.requirement, unit),
  source: sourceText(rule),
  fromMemory: rule.fromMemory,
  clock: CLOCK_TEXT[rule.clock],
  methods: rule.methods,
  conditions: rule.conditions.map(libraryText),
  caution: rule.caution === undefined ? null : libraryText(rule.caution),
  version,
});

/** A standing in a table cell. */
export function standingCell(
  { assessment }: Pick<AssessedRule, 'assessment'>,
  { timeZone }: Locale,
): { word: string; text: string; proven: boolean } {
  const v = assessment.verdict;
  const turned = v.turningsRequired ? `, ${turningsText(v)}` : '';
  return {
    word: statusWord(factsOf(assessment)),
    proven: v.status === 'proven',
    text:
      v.provenAt === null
        ? `${progressText(factsOf(assessment))}${turned}`
        : dayText(timeZone, v.provenAt),
  };
}
export type StandingCell = ReturnType<typeof standingCell>;
