import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import type { BatchAssessment } from '@/core/snapshot/assess-batch';
import { factsOf } from '@/core/evidence/facts';
import { gradeOf, type OffSpan } from '@/core/evidence/grade';
import { GUARD_BANDS_C, strictness } from '@/core/evidence/strictness';
import { dayText } from '@/core/quantity/format';
import { findingText, GRADE_WORD } from '@/core/words/grade';
import type { Locale } from '@/core/words/note';
import { progressText, statusWord } from '@/core/evidence/verdict-words';

const COUNTS = {
  get hours() {
    return say('batch.hours');
  },
  get days() {
    return say('batch.calendarDays');
  },
} as const;

/** How the leading verdict hangs on its policy: coldest, median, mean; hours, days; three guard bands. */
export function strictnessView(
  { prepared, rules: accounts }: BatchAssessment,
  { timeZone, unit }: Locale,
) {
  const lead = accounts[0];
  if (!lead) return null;
  const cells = strictness(prepared, lead.rule);
  const band = (k: number): string =>
    k === 0
      ? say('batch.asRead')
      : say('batch.less', { k: unit === 'F' ? (k * 1.8).toFixed(1) : String(k), unit });
  return {
    title: libraryText(lead.rule.title),
    rows: (['hours', 'days'] as const).flatMap((counting) =>
      GUARD_BANDS_C.map((k) => ({
        name: `${COUNTS[counting]}, ${band(k)}`,
        cells: cells
          .filter((c) => c.counting === counting && c.guardBandC === k)
          .map(({ account: assessment, own }) => {
            const v = assessment.verdict;
            return {
              word: statusWord(factsOf(assessment)),
              text:
                v.provenAt === null
                  ? progressText(factsOf(assessment))
                  : dayText(timeZone, v.provenAt),
              proven: v.provenAt !== null,
              own,
            };
          }),
      })),
    ),
  };
}

/** How good the evidence is, apart from what it says. */
export function gradeView({ prepared, rules: accounts }: BatchAssessment, off: readonly OffSpan[]) {
  const grade = accounts[0] ? gradeOf(prepared, accounts[0].assessment, off) : null;
  return (
    grade && {
      word: GRADE_WORD[grade.grade],
      findings: grade.findings.map(({ finding, grade: own }) => ({
        code: finding.code,
        word: GRADE_WORD[own],
        ...findingText(finding),
      })),
    }
  );
}
