import {
  countText,
  dayText,
  durationText,
  missingText,
  spanText,
  tempBeside,
  tempText,
  whenText,
} from '../quantity/format';
import type { Instant } from '../quantity/instant';
import type { Locale, Note } from './note';

/** A sentence in pieces; strong ones are quantities and dates. */
export type Piece = { readonly text: string; readonly strong?: true };
const strong = (text: string): Piece => ({ text, strong: true });
const plain = (text: string): Piece => ({ text });
export const plainText = (pieces: readonly Piece[]): string => pieces.map((p) => p.text).join('');

const STATUS_WORD = {
  proven: 'Proven',
  waiting: 'Nothing counts yet',
  running: 'Running',
  recovering: 'Paused',
  broken: 'Starts again',
} as const;

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
  /** The latest round that counted as hot; null: none. */
  readonly latestHotAt: Instant | null;
  readonly floorC: number;
  readonly combine: 'coldest' | 'mean' | 'median';
  readonly consecutive: boolean;
  /** What the rule asks beside these hours and turnings. */
  readonly form:
    | { readonly kind: 'hold' }
    | { readonly kind: 'staged'; readonly stageHours: number }
    | {
        readonly kind: 'within';
        readonly outerHours: number;
        readonly outerFloorC: number;
        readonly innerHours: number;
        readonly innerFloorC: number;
      }
    | { readonly kind: 'meanAbove'; readonly meanC: number };
  /** Mean of the run so far, where a mean is asked for. */
  readonly reachedMeanC: number | null;
};

/** Notes that say how a run was lost. */
const BREAKS = ['COLD', 'OVER_CEILING', 'GAP', 'SLOW_RECOVERY', 'STALE'];
const lastBreak = (notes: readonly Note[]): Note | undefined =>
  notes.findLast((n) => BREAKS.includes(n.code));

/** How a standing is told apart: nothing starts again where nothing was lost, and hours that add up wait for more heat. */
export type DisplayStatus = VerdictFacts['status'] | 'adds-up';
export function displayStatusOf(
  v: Pick<VerdictFacts, 'status' | 'notes' | 'consecutive'>,
): DisplayStatus {
  if (v.status !== 'broken') return v.status;
  return lastBreak(v.notes) ? (v.consecutive ? 'broken' : 'adds-up') : 'waiting';
}

/** A standing in a word or two. */
export function statusWord(v: Pick<VerdictFacts, 'status' | 'notes' | 'consecutive'>): string {
  const told = displayStatusOf(v);
  return told === 'adds-up' ? 'Waits for heat' : STATUS_WORD[told];
}

const WHERE = {
  coldest: 'in its coldest point',
  mean: 'on the mean of its points',
  median: 'on the median of its points',
} as const;

/** A floor as it stands in a rule. */
const floorText = (celsius: number, { unit }: Locale): string => tempBeside(celsius, celsius, unit);

/** The whole requirement in one phrase: `15 days at 55 °C and 5 turnings`. */
function asked(v: VerdictFacts, locale: Locale): Piece[] {
  const turnings = v.turningsRequired
    ? [plain(' and '), strong(countText(v.turningsRequired, 'turning'))]
    : [];
  const at = (celsius: number): Piece => plain(` at ${floorText(celsius, locale)}`);
  switch (v.form.kind) {
    case 'hold':
      return [
        strong(spanText(v.requiredHours)),
        at(v.floorC),
        plain(` ${WHERE[v.combine]}`),
        ...turnings,
      ];
    case 'staged':
      return [
        strong(spanText(v.form.stageHours)),
        at(v.floorC),
        plain(` ${WHERE[v.combine]} before each of `),
        strong(countText(v.turningsRequired, 'turning')),
      ];
    case 'within':
      return [
        strong(spanText(v.form.outerHours)),
        at(v.form.outerFloorC),
        plain(' and '),
        strong(spanText(v.form.innerHours)),
        at(v.form.innerFloorC),
        plain(` inside them, ${WHERE[v.combine]}`),
      ];
    case 'meanAbove':
      return [
        strong(spanText(v.requiredHours)),
        at(v.floorC),
        plain(` with a mean above ${floorText(v.form.meanC, locale)}, ${WHERE[v.combine]}`),
      ];
  }
}

const joined = (parts: readonly (readonly Piece[])[]): Piece[] =>
  parts
    .filter((p) => p.length > 0)
    .flatMap((part, i, all) => [
      ...(i === 0 ? [] : [plain(i === all.length - 1 ? ', and ' : ', ')]),
      ...part,
    ]);

function needs(v: VerdictFacts, locale: Locale): Piece[] {
  const missingHours = v.requiredHours - v.creditedHours;
  const turns = v.turningsRequired - v.turningsCounted;
  const inside =
    v.form.kind === 'within' && v.floorC === v.form.innerFloorC
      ? ` inside the ${spanText(v.form.outerHours)} at ${floorText(v.form.outerFloorC, locale)}`
      : '';
  const time =
    missingHours > 0
      ? [
          strong(missingText(missingHours)),
          plain(` more at ${floorText(v.floorC, locale)} ${WHERE[v.combine]}${inside}`),
        ]
      : [];
  return [
    plain('Needs '),
    ...joined([time, turnsOwed(v, turns, time.length > 0), meanOwed(v, locale, time.length > 0)]),
    plain('.'),
  ];
}

function turnsOwed(v: VerdictFacts, turns: number, timeMissing: boolean): Piece[] {
  if (turns <= 0) return [];
  if (v.form.kind !== 'staged')
    return [strong(`${turns} more ${turns === 1 ? 'turning' : 'turnings'}`)];
  const rest =
    turns > 1
      ? [
          plain(', with '),
          strong(spanText(v.form.stageHours)),
          plain(` held before each of ${turns - 1} more`),
        ]
      : [];
  return [strong(timeMissing ? 'then a full turning' : 'a full turning now'), ...rest];
}

const meanOwed = (v: VerdictFacts, locale: Locale, timeMissing: boolean): Piece[] => {
  if (
    v.form.kind !== 'meanAbove' ||
    (timeMissing && (v.reachedMeanC === null || v.reachedMeanC > v.form.meanC))
  )
    return [];
  const now = v.reachedMeanC === null ? '' : `, ${tempText(v.reachedMeanC, locale.unit, 1)} so far`;
  return [strong(`a mean above ${floorText(v.form.meanC, locale)}`), ...(now ? [plain(now)] : [])];
};

const couldBe = (v: VerdictFacts, locale: Locale): Piece[] => {
  if (v.earliestProofAt === null) return [];
  if (v.creditedHours >= v.requiredHours && v.form.kind === 'meanAbove') return [];
  const turns = v.turningsRequired - v.turningsCounted;
  return v.creditedHours >= v.requiredHours && turns > 0 && v.form.kind !== 'staged'
    ? [plain(' The time is reached: it waits for the turning and a hot round after it.')]
    : [
        plain(' Could be proven on '),
        strong(dayText(locale.timeZone, v.earliestProofAt)),
        plain(' at the earliest.'),
      ];
};

/** What was reached, behind 'Proven'. */
function reached(v: VerdictFacts, locale: Locale): string {
  const at = (celsius: number): string => floorText(celsius, locale);
  switch (v.form.kind) {
    case 'hold':
      return `${durationText(v.creditedHours)} at ${at(v.floorC)}${v.turningsCounted ? `, ${countText(v.turningsCounted, 'turning')}` : ''}`;
    case 'staged':
      return `${spanText(v.form.stageHours)} at ${at(v.floorC)} before each of ${countText(v.turningsCounted, 'turning')}`;
    case 'within':
      return `${spanText(v.form.outerHours)} at ${at(v.form.outerFloorC)} with ${spanText(v.form.innerHours)} at ${at(v.form.innerFloorC)} inside them`;
    case 'meanAbove':
      return `${durationText(v.creditedHours)} at ${at(v.floorC)}${v.reachedMeanC === null ? '' : `, mean ${tempBeside(v.reachedMeanC, v.form.meanC, locale.unit)}`}`;
  }
}

const COLD = {
  coldest: 'Its coldest point was',
  mean: 'The mean of its points was',
  median: 'The median of its points was',
} as const;

/** Heat that was read and does not count, with what to do about it; null: the last reading counts, or is cold. */
export function uncounted(v: Pick<VerdictFacts, 'notes' | 'latestHotAt'>): Piece[] | null {
  const last = v.notes.findLast((n) => n.code === 'THIN_ROUND' || n.code === 'DRY_ROUND');
  if (
    !last ||
    last.at < (v.latestHotAt ?? -Infinity) ||
    v.notes.some((n) => BREAKS.includes(n.code) && n.code !== 'STALE' && n.at > last.at)
  )
    return null;
  const { fact } = last;
  if (fact.code === 'THIN_ROUND')
    return [
      strong(
        `Hot, but read at ${fact.points} of ${fact.minPoints} places: that does not count yet. `,
      ),
      plain(`Read ${fact.minPoints} places in one go. `),
    ];
  return [
    strong('Hot, but logged as dry: that does not count for seeds. '),
    plain('Water it, then squeeze a handful again. '),
  ];
}

/** The verdict as a grower would say it. Credit is rounded down, what is missing up. */
export function verdictSentence(v: VerdictFacts, locale: Locale): Piece[] {
  const { timeZone, now } = locale;
  switch (v.status) {
    case 'proven':
      return [
        strong(`Proven ${whenText(timeZone, v.provenAt!, now)}`),
        plain(`: ${reached(v, locale)}.`),
      ];
    case 'waiting':
      return [
        ...(uncounted(v) ?? [
          plain(
            v.notes.some((n) => n.code === 'RESTART')
              ? 'Not read since its clock started again. '
              : 'Not read since its clock started. ',
          ),
        ]),
        plain('It needs '),
        ...asked(v, locale),
        plain('.'),
      ];
    case 'running':
      return [...(uncounted(v) ?? []), ...needs(v, locale), ...couldBe(v, locale)];
    case 'recovering': {
      const pause = v.notes.findLast((n) => n.code === 'RECOVERING');
      return [
        strong(`Paused at ${durationText(v.creditedHours)}`),
        plain('. '),
        ...(pause ? [plain(pause.text)] : [plain('A turning excuses the wait; read it soon.')]),
      ];
    }
    case 'broken': {
      const why = lastBreak(v.notes);
      if (!why)
        return [
          ...(uncounted(v) ?? [
            plain(`${COLD[v.combine]} never at ${floorText(v.floorC, locale)} or more so far. `),
          ]),
          ...needs(v, locale),
        ];
      return [
        ...(uncounted(v) ?? []),
        strong(v.consecutive ? 'Starts again: ' : 'Waits for heat: '),
        plain(why.text),
        plain(' '),
        ...needs(v, locale),
      ];
    }
  }
}

/** Turnings that count, of those that are asked for; a turning done is not yet one that counts. */
export const turningsText = (
  v: Pick<VerdictFacts, 'turningsCounted' | 'turningsRequired'>,
): string => `${v.turningsCounted} of ${v.turningsRequired} turnings count`;

/** Progress in a few words for the yard: `11 d 18 h of 15 d`. */
export const progressText = (v: Pick<VerdictFacts, 'creditedHours' | 'requiredHours'>): string =>
  `${durationText(v.creditedHours)} of ${durationText(v.requiredHours).replace(/ 0 h$/, '')}`;
