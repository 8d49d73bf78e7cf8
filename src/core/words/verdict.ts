import { countText, dayText, durationText, missingText, spanText, tempBeside, whenText } from '../quantity/format';
import type { Instant } from '../quantity/instant';
import type { Locale, Note } from './note';

/** A sentence in pieces; strong ones are quantities and dates. */
export type Piece = { readonly text: string; readonly strong?: true };
const strong = (text: string): Piece => ({ text, strong: true });
const plain = (text: string): Piece => ({ text });
export const plainText = (pieces: readonly Piece[]): string => pieces.map((p) => p.text).join('');

export const STATUS_WORD = { proven: 'Proven', waiting: 'Not yet hot', running: 'Running', recovering: 'Paused', broken: 'Starts again' } as const;

/** What the sentence needs of a verdict and its rule. */
export type VerdictFacts = {
  readonly status: keyof typeof STATUS_WORD;
  readonly creditedHours: number;
  readonly requiredHours: number;
  readonly turningsCounted: number;
  readonly turningsRequired: number;
  readonly provenAt: Instant | null;
  readonly earliestProofAt: Instant | null;
  readonly notes: readonly Note[];
  readonly floorC: number;
  readonly combine: 'coldest' | 'mean' | 'median';
  readonly consecutive: boolean;
};

const WHERE = { coldest: 'in its coldest point', mean: 'on the mean of its points', median: 'on the median of its points' } as const;

function needs(v: VerdictFacts, { unit }: Locale): Piece[] {
  const missingHours = v.requiredHours - v.creditedHours;
  const turns = v.turningsRequired - v.turningsCounted;
  const time = missingHours > 0 ? [strong(missingText(missingHours)), plain(` more at ${tempBeside(v.floorC, v.floorC, unit)} ${WHERE[v.combine]}`)] : [];
  const owed = turns > 0 ? [strong(`${turns} more ${turns === 1 ? 'turning' : 'turnings'}`)] : [];
  return [plain('Needs '), ...time, ...(time.length && owed.length ? [plain(', and ')] : []), ...owed, plain('.')];
}

const couldBe = (v: VerdictFacts, locale: Locale): Piece[] => {
  if (v.earliestProofAt === null) return [];
  const turns = v.turningsRequired - v.turningsCounted;
  return v.creditedHours >= v.requiredHours && turns > 0
    ? [plain(' The time is reached: it waits for the turning and a hot round after it.')]
    : [plain(' Could be proven on '), strong(dayText(locale.timeZone, v.earliestProofAt)), plain('.')];
};

/** The verdict as a grower would say it. Credit is rounded down, what is missing up. */
export function verdictSentence(v: VerdictFacts, locale: Locale): Piece[] {
  const { timeZone, now, unit } = locale;
  switch (v.status) {
    case 'proven':
      return [strong(`Proven ${whenText(timeZone, v.provenAt!, now)}`), plain(`: ${durationText(v.creditedHours)} at ${tempBeside(v.floorC, v.floorC, unit)}${v.turningsCounted ? `, ${countText(v.turningsCounted, 'turning')}` : ''}.`)];
    case 'waiting':
      return [plain('No hot round yet. It needs '), strong(spanText(v.requiredHours)), plain(` at ${tempBeside(v.floorC, v.floorC, unit)} ${WHERE[v.combine]}`), ...(v.turningsRequired ? [plain(' and '), strong(countText(v.turningsRequired, 'turning'))] : []), plain('.')];
    case 'running':
      return [...needs(v, locale), ...couldBe(v, locale)];
    case 'recovering': {
      const pause = v.notes.findLast((n) => n.code === 'RECOVERING');
      return [strong(`Paused at ${durationText(v.creditedHours)}`), plain('. '), ...(pause ? [plain(pause.text)] : [plain('A turning excuses the wait; read it soon.')])];
    }
    case 'broken': {
      const why = v.notes.findLast((n) => ['COLD', 'OVER_CEILING', 'GAP', 'SLOW_RECOVERY', 'STALE'].includes(n.code));
      if (!why) return [plain('Not hot enough so far. '), ...needs(v, locale)];
      return [strong(v.consecutive ? 'Starts again: ' : 'Waits for heat: '), plain(why.text), plain(' '), ...needs(v, locale)];
    }
  }
}

/** Progress in a few words for the yard: `11 d 18 h of 15 d`. */
export const progressText = (v: Pick<VerdictFacts, 'creditedHours' | 'requiredHours'>): string =>
  `${durationText(v.creditedHours)} of ${durationText(v.requiredHours).replace(/ 0 h$/, '')}`;
