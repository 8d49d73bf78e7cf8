import type { QuestionClosed } from '@/core/log/fold';
import type { LotsState } from '@/core/lots/fold';
import { dayText, listText } from '@/core/quantity/format';
import type { QuestionCause, SiteQuestion } from '@/core/status/open-questions';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { USE_WORDS } from '@/core/words/lots';
import type { Locale } from '@/core/words/note';
import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { gradientText } from './parts';

/** What a batch or a lot is called. */
export type NameOf = (id: string) => string;

function thermometerText(
  { probe, offK, since, unmet }: Extract<QuestionCause, { code: 'thermometer' }>,
  at: number,
  nameOf: NameOf,
  { unit, timeZone }: Locale,
): string {
  const read = say('status.thermometerOff', {
    probe,
    off: gradientText(offK, unit),
    way: offK > 0 ? 'high' : 'other',
    day: dayText(timeZone, at),
  });
  const from =
    since === null
      ? say('status.fromTheStart')
      : say('status.sinceCheckOf', { day: dayText(timeZone, since) });
  const losses = unmet.map(({ batch, titles }) =>
    say('status.hasNotMet', { batch: nameOf(batch), rules: listText(titles.map(libraryText)) }),
  );
  const loss =
    losses.length > 0
      ? say('status.wouldNotBeMet', { from, losses: listText(losses) })
      : say('status.wouldLoseTime', { from });
  return `${read} ${loss}`;
}

/** What speaks against the evidence, in a sentence or two. */
export function questionText(
  { cause, since }: Pick<SiteQuestion, 'cause' | 'since'>,
  nameOf: NameOf,
  locale: Locale,
): string {
  const day = dayText(locale.timeZone, since);
  switch (cause.code) {
    case 'thermometer':
      return thermometerText(cause, since, nameOf, locale);
    case 'weeds':
      return say('status.weedsCameUp', { lot: nameOf(cause.lot), day });
    case 'test':
      return cause.kind === 'sprout'
        ? say('status.weedsInTest', { lot: nameOf(cause.lot), day })
        : say('status.seedlingsHarmed', { lot: nameOf(cause.lot), day });
    case 'laboratory':
      return say('status.laboratoryOver', {
        lot: nameOf(cause.lot),
        day,
        analytes: listText(cause.analytes),
        uses: listText(cause.uses.map((u) => USE_WORDS[u])),
      });
  }
}

/** What a question speaks of, by name; empty: of nothing that is listed. */
const touchesText = (
  { batches, lots }: Pick<SiteQuestion, 'batches' | 'lots'>,
  nameOf: NameOf,
): string =>
  batches.length + lots.length === 0
    ? ''
    : say('status.speaksOf', { names: listText([...batches, ...lots].map(nameOf)) });

/** Who settled it, when, and why. */
const closedText = ({ at, by, reason }: QuestionClosed, { timeZone }: Locale): string =>
  say('status.settledBy', { by, day: dayText(timeZone, at), reason });

/** Something to clear up, as it is read: what it is, and what it concerns. */
export type QuestionLine = {
  readonly id: string;
  readonly text: string;
  readonly touches: string;
  /** Who settled it, and why; null: it is open. */ readonly settled: string | null;
};

/** What batches and lots are called. */
export const namesOf =
  (board: readonly BatchSnapshot[], { lots }: Pick<LotsState, 'lots'>): NameOf =>
  (id) => {
    const batch = board.find((b) => (b.id as string) === id);
    const lot = lots.get(id);
    if (batch) return batch.name ?? batch.code;
    return lot ? (lot.name ? `${lot.code}, ${lot.name}` : lot.code) : id;
  };

/** Questions in words. */
export const questionLines = (
  questions: readonly SiteQuestion[],
  nameOf: NameOf,
  locale: Locale,
): QuestionLine[] =>
  questions.map((q) => ({
    id: q.id,
    text: questionText(q, nameOf, locale),
    touches: touchesText(q, nameOf),
    settled: q.closed && closedText(q.closed, locale),
  }));
