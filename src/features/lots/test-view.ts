import { say } from '@/messages/say';
import type { LotTest } from '@/core/lots/fold';
import { gapText } from '@/core/lots/texts';
import { TEST_OUTCOME_WORDS, TEST_WORDS } from '@/core/words/lots';
import { dayText, joinParts } from '@/core/quantity/format';
import { usualUse } from '@/core/status/lot-decision';
import { nameOfMatter, type LotsGiven } from './matter';

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
  /** Hashes of its pictures. */ readonly photos: readonly string[];
};
/** On which lot it was done, if not on this one, from when to when, and by whom. */
const whenTested = (given: LotsGiven, lot: string, { lot: tested, test, by }: LotTest): string => {
  const dayOf = (at: number): string => dayText(given.locale.timeZone, at);
  return joinParts(
    tested !== lot && say('lots.testOf', { lot: nameOfMatter(given, tested) }),
    say('lots.testFrom', { at: dayOf(test.startedAt), by }),
    test.endedAt !== null && say('lots.testTo', { at: dayOf(test.endedAt) }),
  );
};

/** The figure that a test comes to, with one digit behind the point. */
const figureText = (t: LotTest, figure: number | null): string =>
  figure === null
    ? ''
    : say('lots.testFigure', { kind: t.test.values.kind, figure: Math.round(figure * 10) / 10 });

export function testView(given: LotsGiven, lot: string, t: LotTest): TestView {
  const { book } = given;
  const evidence = book.testsFor(lot).find((e) => e.id === t.id);
  const use = usualUse(given.state);
  const assessed = evidence && use ? evidence.assessedFor(use) : null;
  const code = assessed?.outcome ?? 'open';
  return {
    id: t.id,
    kind: t.test.values.kind,
    title: TEST_WORDS[t.test.values.kind],
    outcome: TEST_OUTCOME_WORDS[code],
    code,
    figure: figureText(t, assessed?.figure ?? null),
    // A test that failed has said what it had to say.
    gaps: (code === 'fail' ? [] : (assessed?.gaps ?? [])).map((g) => gapText(g, code === 'open')),
    when: whenTested(given, lot, t),
    photos: t.entries.flatMap((e) => e.data.photos ?? []),
    stale: evidence ? !evidence.speaks : true,
    isOpen: t.lot === lot && t.test.endedAt === null && code !== 'pass',
  };
}
