import type { Advice } from '@/core/advice/next';
import type { EndReason } from '@/core/log/entry';
import {
  ageText,
  durationText,
  missingText,
  soonText,
  tempBeside,
  tempText,
  upperFirst,
  orText,
} from '@/core/quantity/format';
import { MS } from '@/core/quantity/instant';
import type { Instant } from '@/core/quantity/instant';
import { END_WORDS } from '@/core/words/acts';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';
import { claimText } from './claim';
import { CAUSE_WORDS, signText, FIX_WORDS, SYMPTOM_WORDS, FIX_CAUTION } from './diagnosis';
import { hotWords } from './hot';
import { reasonText, turnHeading } from './turn';
import { waterWords } from './water';

type AdviceMark =
  | 'turn'
  | 'water'
  | 'add'
  | 'cure'
  | 'probe'
  | 'note'
  | 'walk'
  | 'move'
  | 'flag'
  | 'check'
  | 'screen'
  | 'squeeze'
  | 'smell';
/** An imperative, its reason, and when; `urgent` cannot wait today. A caution stands where the work can hurt. */
export type AdviceWords = {
  readonly mark: AdviceMark;
  readonly act: string;
  readonly why: string;
  /** Its reason where there is little room. */ readonly brief?: string;
  readonly caution?: string;
  readonly due: Instant | null;
  readonly urgent: boolean;
  /** Somebody may be hurt: it stands in a form of its own, before everything. */ readonly danger?: boolean;
};

/** What became of a heap that is gone, and what stands behind it. */
function goneText(
  {
    stage,
    reason,
    by,
    since,
    claim,
  }: Pick<Extract<Advice, { code: 'NOTHING' }>, 'stage' | 'reason' | 'by' | 'since' | 'claim'>,
  locale: Locale,
): string {
  const when =
    by === null
      ? `, ${soonText(locale.timeZone, since, locale.now)}`
      : say('advice.by2', { by, since: soonText(locale.timeZone, since, locale.now) });
  if (reason === 'merged' || reason === 'discarded' || reason === 'gave-up')
    return say('advice.finished2', { endwords: END_WORDS[reason], when });
  const how =
    stage === 'released'
      ? say('advice.released2')
      : reason === null
        ? say('advice.finished')
        : upperFirst(END_WORDS[reason as EndReason]);
  return `${how}${when}. ${claimText(claim, locale)}`;
}

/** The one text of each advice. */
export function adviceWords(a: Advice, locale: Locale): AdviceWords {
  const { timeZone, now, unit } = locale;
  const by = (at: number): string => soonText(timeZone, at, now);
  const late = (at: number): boolean => at < now;
  const readAct = (at: number): string =>
    late(at) ? say('advice.logTemperaturesNow') : say('advice.logTemperaturesBy', { at: by(at) });
  const calm = { urgent: false } as const;
  switch (a.code) {
    case 'CLOSE_WHEN_BUILT':
      return {
        mark: 'add',
        act: say('advice.addRestThenFinishAdding'),
        why: say('advice.theClockStartsWhenLast'),
        due: null,
        ...calm,
      };
    case 'TOO_HOT': {
      const w = hotWords(a.hot, locale);
      return {
        mark: a.hot.level !== 'danger' && a.hot.choices[0] === 'look-again' ? 'probe' : 'turn',
        act:
          a.hot.level === 'danger' || a.hot.answeredAt !== null || a.hot.old
            ? w.heading
            : say('advice.coolIt', {
                choices: orText(
                  a.hot.choices
                    .filter((c) => c !== 'look-again')
                    .slice(0, 2)
                    .map(
                      (c) =>
                        ({
                          turn: say('advice.turn2'),
                          split: say('advice.split'),
                          wet: say('advice.water'),
                          'cap-off': say('advice.takeTheCapOff'),
                        })[c as 'turn'],
                    ),
                ),
              }),
        why: `${w.why} ${w.follow}`,
        caution: a.hot.level === 'danger' ? CAUTION.danger : CAUTION.steam,
        due: Math.min(now, a.hot.followUpAt),
        urgent: true,
        danger: w.urgent,
      };
    }
    case 'READ_AFTER_TURN':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: a.second
          ? say('advice.aDayAfterTurningShows')
          : say('advice.turnedTodayTemperaturesThisAfternoon'),
        due: a.due,
        ...calm,
      };
    case 'READ_BEFORE_LOST':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: say('advice.lastHotCheckAgoAfter', {
          age: ageText((now - a.last) / MS.hour),
          maxGapHours: ageText(a.maxGapHours),
          creditedHours: durationText(a.creditedHours),
        }),
        due: a.due,
        urgent: true,
      };
    case 'READ_RECOVERING':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: say('advice.afterTurningHasUntilReach', {
          valueC: tempBeside(a.valueC, a.floorC, unit),
          due: by(a.due),
          floorC: tempBeside(a.floorC, a.floorC, unit),
        }),
        due: a.due,
        urgent: a.due - now < 12 * MS.hour,
      };
    case 'TURN': {
      const urgent = a.waiting?.code === 'RUN_WOULD_END' && a.due - now < 12 * MS.hour;
      const first = a.reasons[0];
      return {
        mark: 'turn',
        act: turnHeading({ act: 'turn', due: a.due, earliest: null }, locale),
        why: say('advice.takeTemperaturesFirst', {
          first: first ? reasonText(first, locale) : '',
        }).trim(),
        caution: CAUTION.steam,
        due: a.due,
        urgent,
      };
    }
    case 'WATER':
      return {
        mark: 'water',
        act: waterWords(a.water, locale).heading,
        why: waterWords(a.water, locale).text,
        due: a.due,
        ...calm,
      };
    case 'SQUEEZE_AGAIN':
      return {
        mark: 'squeeze',
        act: say('advice.doASqueezeTest2'),
        why: say('advice.itWasDryAtLast', { drySince: by(a.drySince) }),
        due: a.due,
        ...calm,
      };
    case 'KEEP_READING':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: say('advice.moreOneTemperatureCheckDay', {
          missingHours: missingText(a.missingHours),
        }),
        due: a.due,
        ...calm,
      };
    case 'WAIT_FOR_HEAT':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why:
          a.valueC === null
            ? say('advice.noTemperaturesYetRightMix')
            : a.valueC >= a.floorC
              ? say('status.hotButDoesNotCount', {
                  valueC: tempBeside(a.valueC, a.floorC, unit),
                })
              : say('advice.atColdestPointNotYet', {
                  valueC: tempBeside(a.valueC, a.floorC, unit),
                  floorC: tempBeside(a.floorC, a.floorC, unit),
                  late: a.late ? 'nothingCounts' : 'other',
                }),
        due: a.due,
        ...calm,
      };
    case 'MEND': {
      const why =
        a.signs.length > 0
          ? `${CAUSE_WORDS[a.cause]}: ${a.signs.map((s) => signText(s, locale)).join(', ')}.`
          : say('advice.perhaps', {
              causewords: CAUSE_WORDS[a.cause],
              unseen:
                a.unseen.map((s) => signText(s, locale)).join(', ') ||
                say('advice.nothingRulesItOut'),
            });
      const look = a.signs.length === 0 && a.unseen.length > 0;
      const caution = FIX_CAUTION[a.fix];
      return {
        mark: look
          ? 'squeeze'
          : a.fix === 'water'
            ? 'water'
            : a.fix === 'turn'
              ? 'turn'
              : a.fix === 'thermometer'
                ? 'probe'
                : 'add',
        act: look
          ? say('advice.findOutWhy', { symptomwords: SYMPTOM_WORDS[a.symptom] })
          : `${SYMPTOM_WORDS[a.symptom]}: ${FIX_WORDS[a.fix].charAt(0).toLowerCase()}${FIX_WORDS[a.fix].slice(1)}`,
        why: say('advice.changeOneThingAtTime', { why }),
        ...(caution && !look ? { caution } : {}),
        due: a.due,
        ...calm,
      };
    }
    case 'FIND_OUT_WHY':
      return {
        mark: 'squeeze',
        act: say('advice.checkMoistureAndSmell'),
        why: say('advice.atLastCheckLookAt', {
          valueC: tempBeside(a.valueC, a.floorC, unit),
        }),
        due: a.due,
        ...calm,
      };
    case 'PROVEN_MOVE_ON':
      return {
        mark: 'cure',
        act: say('advice.letCoolCure'),
        why:
          a.valueC === null
            ? say('advice.addNothingRawWouldStart')
            : say('advice.atLastCheckAddNothing', { valueC: tempText(a.valueC, unit) }),
        due: null,
        ...calm,
      };
    case 'ASLEEP':
      return {
        mark: 'note',
        act: say('advice.leaveUntilThaws'),
        why: say('advice.insideOnWithFrostOutside', {
          coreC: tempText(a.coreC, unit),
          at: by(a.at),
          creditedHours: a.creditedHours > 0 ? 'itsRun' : 'other',
        }),
        due: a.due,
        ...calm,
      };
    case 'READ_QUIET':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why:
          a.coreC === null
            ? say('advice.noTemperaturesYetNoRule')
            : say('advice.atLastCheckNoRule', { coreC: tempText(a.coreC, unit) }),
        due: a.due,
        ...calm,
      };
    case 'READ_RUN_DOWN':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why:
          a.coreC === null
            ? say('advice.noTemperaturesYetPastActive')
            : say('advice.atLastCheckPastActive', { coreC: tempText(a.coreC, unit) }),
        due: a.due,
        ...calm,
      };
    case 'LEAVE_TO_CURE':
      return {
        mark: 'cure',
        act: say('advice.leaveItToCure'),
        why: say('advice.keepCoveredMoistNothingRaw', { claim: claimText(a.claim, locale) }),
        brief: say('advice.keepCoveredMoistNothingRaw2'),
        due: a.due,
        ...calm,
      };
    case 'ON_HOLD':
      return {
        mark: 'note',
        act: say('advice.onHold'),
        why: a.reason
          ? say('advice.since3', { since: by(a.since), reason: a.reason })
          : say('advice.since4', { since: by(a.since) }),
        due: null,
        ...calm,
      };
    case 'READY':
      return {
        mark: 'note',
        act: say('advice.markedReady'),
        why: say('advice.markedItReady', {
          by: a.by ?? say('advice.somebody'),
          since: by(a.since),
          claim: claimText(a.claim, locale),
        }),
        brief: say('advice.maturityWasNotTested2'),
        due: a.due,
        ...calm,
      };
    case 'NOTHING':
      return {
        mark: 'note',
        act: say('advice.nothingToDo'),
        why: say('advice.itsRecordStays', { a: goneText(a, locale) }),
        due: null,
        ...calm,
      };
  }
}
