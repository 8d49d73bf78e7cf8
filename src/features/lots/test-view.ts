import { say } from '@/messages/say';
import type { LotTest } from '@/core/lots/fold';
import { gapText } from '@/core/lots/texts';
import { nameOfOutcome, nameOfTest } from '@/core/lots/words';
import { dayText, joinParts } from '@/core/quantity/format';
import { findUse, USES } from '@/core/release/uses';
import type { LotsGiven } from './matter';

/** How a test of maturity is shown. */

export type TestView = {
  readonly id: string;
  readonly kind: LotTest['test']['values']['kind'];
  readonly title: string;
  readonly outcome: string;
  readonly code: 'pass' | 'fail' | 'invalid' | 'open';
  readonly figure: string;
  readonly gaps: readonly string[];
  readonly when: string;
  readonly stale: boolean;
  readonly isOpen: boolean;
};
export function testView(given: LotsGiven, lot: string, t: LotTest): TestView {
  const { book, locale } = given;
  const evidence = book.testsFor(lot).find((e) => e.id === t.id);
  const use = findUse('growing-beds') ?? USES[0];
  const assessed = evidence && use ? evidence.assessedFor(use) : null;
  const code = assessed?.outcome ?? 'open';
  return {
    id: t.id,
    kind: t.test.values.kind,
    title: nameOfTest(t.test.values.kind),
    outcome: nameOfOutcome(code),
    code,
    figure:
      assessed?.figure == null
        ? ''
        : say('lots.testFigure', { kind: t.test.values.kind, figure: assessed.figure }),
    gaps: (assessed?.gaps ?? []).map((g) => gapText(g, code === 'open')),
    when: joinParts(
      say('lots.testFrom', { at: dayText(locale.timeZone, t.test.startedAt), by: t.by }),
      t.test.endedAt !== null &&
        say('lots.testTo', { at: dayText(locale.timeZone, t.test.endedAt) }),
    ),
    stale: evidence ? !evidence.speaks : true,
    isOpen: t.test.endedAt === null && code === 'open',
  };
}
