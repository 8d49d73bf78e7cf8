import { say, sayMarked } from '../../messages/say';
import { dayText, durationText, missingText, whenText } from '../quantity/format';
import type { Instant } from '../quantity/instant';
import type { Locale, Note, NoteCode } from '../words/note';
import { getRequirementDescription } from './requirements';
import {
  floorText,
  plain,
  STATUS_WORD,
  strong,
  WHERE,
  type Piece,
  type VerdictFacts,
} from './verdict-facts';
import { b, markedParts } from '../../messages/marked';

/** Verdicts in words: the sentence of a batch's page, its status, its progress. */

export const plainText = (pieces: readonly Piece[]): string => pieces.map((p) => p.text).join('');
const describeFacts = (v: VerdictFacts) => getRequirementDescription(v.form.kind);

/** Notes that say how a run was lost. */
const BREAKS = ['COLD', 'OVER_CEILING', 'GAP', 'SLOW_RECOVERY', 'STALE'];
const lastBreak = (notes: readonly Note[]): Note | undefined =>
  notes.findLast((n) => BREAKS.includes(n.code));

/** How a standing is told apart: nothing starts again where nothing was lost, and hours that add up wait for more heat. */
export type DisplayStatus = VerdictFacts['status'] | 'adds-up';
/** The status as it is shown. */
export function displayStatusOf(
  v: Pick<VerdictFacts, 'status' | 'notes' | 'consecutive'>,
): DisplayStatus {
  if (v.status !== 'broken') return v.status;
  return lastBreak(v.notes) ? (v.consecutive ? 'broken' : 'adds-up') : 'waiting';
}

/** Whether nobody read it since its clock was started, or started over: it is not known to be cold. */
export const isNotRead = (v: Pick<VerdictFacts, 'status' | 'notes' | 'latestHotAt'>): boolean =>
  v.status === 'waiting' && uncounted(v) === null;

const notReadWord = (notes: readonly Note[]): string =>
  notes.some((n) => n.code === 'RESTART')
    ? say('evidence.notReadSinceRestart')
    : say('evidence.notReadSinceStart');

/** A standing in a word or two. */
export function statusWord(
  v: Pick<VerdictFacts, 'status' | 'notes' | 'consecutive' | 'latestHotAt'>,
): string {
  const told = displayStatusOf(v);
  if (isNotRead(v)) return notReadWord(v.notes);
  return told === 'adds-up' ? say('evidence.needsHeat') : STATUS_WORD[told];
}

/** What is missing as a list: `3 days more at 55 °C, and 2 more turnings`. */
function listOwed(parts: readonly string[]): string {
  const last = parts.at(-1) ?? '';
  return parts.length < 2
    ? last
    : say('evidence.listed', { first: parts.slice(0, -1).join(', '), last });
}

function needs(v: VerdictFacts, locale: Locale): Piece[] {
  const missingHours = v.requiredHours - v.creditedHours;
  const turns = v.turningsRequired - v.turningsCounted;
  const kind = describeFacts(v);
  const time =
    missingHours > 0
      ? sayMarked('evidence.timeOwed', {
          hours: missingText(missingHours),
          floorC: floorText(v.floorC, locale),
          where: WHERE[v.combine],
          inside: kind.insideText?.(v, locale) ?? '',
          b,
        })
      : null;
  const parts = [
    time,
    turnsOwed(v, turns, time !== null),
    kind.otherwiseOwed?.(v, locale, time !== null) ?? null,
  ].filter((part): part is string => part !== null);
  return markedParts(say('evidence.needsAll', { parts: listOwed(parts) }));
}

function turnsOwed(v: VerdictFacts, turns: number, timeMissing: boolean): string | null {
  if (turns <= 0) return null;
  return (
    describeFacts(v).turnsOwed?.(v, turns, timeMissing) ??
    sayMarked('evidence.moreTurningsOwed', { turns, b })
  );
}

const couldBe = (v: VerdictFacts, locale: Locale): Piece[] => {
  if (v.earliestProofAt === null) return [];
  const { turningsEndStages, waitsBeyondHours } = describeFacts(v);
  const timeReached = v.creditedHours >= v.requiredHours;
  if (timeReached && waitsBeyondHours) return [];
  const turns = v.turningsRequired - v.turningsCounted;
  return timeReached && turns > 0 && !turningsEndStages
    ? [plain(say('evidence.theTimeReachedNowNeeds'))]
    : markedParts(
        sayMarked('evidence.couldBeMet', { day: dayText(locale.timeZone, v.earliestProofAt), b }),
      );
};

const COLD = {
  get coldest() {
    return say('evidence.itsColdestPointWas');
  },
  get mean() {
    return say('evidence.theMeanPointsWas');
  },
  get median() {
    return say('evidence.theMedianPointsWas');
  },
} as const;

const UNCOUNTED: readonly NoteCode[] = ['THIN_ROUND', 'ROUND_TO_CHECK', 'DRY_ROUND'];

/** Heat that was read and does not count, with what to do about it; null: the last reading counts, or is cold. */
export function uncounted(v: Pick<VerdictFacts, 'notes' | 'latestHotAt'>): Piece[] | null {
  const last = v.notes.findLast((n) => UNCOUNTED.includes(n.code));
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
        say('evidence.hotButReadAtPoints', {
          points: fact.points,
          minPoints: fact.minPoints,
        }),
      ),
      plain(say('evidence.readPointsAtOneCheck', { minPoints: fact.minPoints })),
    ];
  if (fact.code === 'ROUND_TO_CHECK') return [strong(say('terms.traineesRound'))];
  return [
    strong(say('evidence.hotButLoggedAsDry')),
    plain(say('evidence.waterThenDoAnotherSqueeze')),
  ];
}

/**
 * The verdict as a grower would say it. Credit is rounded down, what is missing up. @param unreadSince when it was last read,
 * where that is longer ago than its rule lets a check be
 */
export function verdictSentence(
  v: VerdictFacts,
  locale: Locale,
  unreadSince: Instant | null = null,
): Piece[] {
  const { timeZone, now } = locale;
  switch (v.status) {
    case 'proven':
      return markedParts(
        sayMarked('evidence.metSentence', {
          provenAt: whenText(timeZone, v.provenAt, now),
          reached: describeFacts(v).reachedText(v, locale),
          b,
        }),
      );
    case 'waiting':
      return [
        ...(uncounted(v) ?? [plain(`${notReadWord(v.notes)}. `)]),
        ...markedParts(
          say('evidence.itNeedsAll', { asked: describeFacts(v).askedText(v, locale) }),
        ),
      ];
    case 'running':
      return [...(uncounted(v) ?? []), ...needs(v, locale), ...couldBe(v, locale)];
    case 'recovering': {
      const pause = v.notes.findLast((n) => n.code === 'RECOVERING');
      return [
        strong(say('evidence.pausedAt', { creditedHours: durationText(v.creditedHours) })),
        plain('. '),
        ...(pause ? [plain(pause.text)] : [plain(say('evidence.aTurningAllowsForWait'))]),
      ];
    }
    case 'broken': {
      const why = lastBreak(v.notes);
      if (!why)
        return [
          ...(uncounted(v) ?? [
            ...(unreadSince === null
              ? []
              : [
                  strong(
                    say('evidence.notReadSince', { at: whenText(timeZone, unreadSince, now) }),
                  ),
                ]),
            plain(
              say('evidence.neverAtOrMoreSo', {
                cold: COLD[v.combine],
                floorC: floorText(v.floorC, locale),
              }),
            ),
          ]),
          ...needs(v, locale),
        ];
      return [
        ...(uncounted(v) ?? []),
        strong(v.consecutive ? say('evidence.startsOver2') : say('evidence.needsHeat2')),
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
): string =>
  say('evidence.ofTurningsCount', {
    turningsCounted: v.turningsCounted,
    turningsRequired: v.turningsRequired,
  });

/** Progress in a few words for the yard: `11 d 18 h of 15 d`. */
export const progressText = (v: Pick<VerdictFacts, 'creditedHours' | 'requiredHours'>): string =>
  say('evidence.of', {
    creditedHours: durationText(v.creditedHours),
    replace: durationText(v.requiredHours).replace(/ 0 h$/, ''),
  });
