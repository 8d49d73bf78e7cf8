import { say } from '../../messages/say';
import {
  ageText,
  dayText,
  durationText,
  listText,
  missingText,
  soonText,
  tempBeside,
  tempText,
  upperFirst,
  volumeText,
} from '../quantity/format';
import { localParts } from '../quantity/calendar';
import { MS, type Instant } from '../quantity/instant';
import { END_WORDS } from '../words/acts';
import { CAUTION } from '../words/caution';
import { SQUEEZE_WORDS } from '../words/feel';
import type { ReleaseDoubt, EndReason, Fix } from '../log/entry';
import type { Locale } from '../words/note';
import type { Course, ReheatTest } from './course';
import type { Claim } from './claim';
import type { Cause, Sign, Symptom, Trial } from './diagnose';
import type { HotAdvice, HotChoice } from './hot';
import type { Advice } from './next';
import type { Stage, StageCode } from './stage';
import type { TurnStrategy, TurnAdvice, TurnReason, StrategyOpinion } from './turn';
import type { Group, Task, TaskKind } from './tasks';
import type { PercentRange, WaterAdvice, WaterHint } from './water';

/** The one text of everything that is advised. Every sentence names what it rests on. */

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

/** A change of temperature: `1.6 °C`, `2.9 °F`. */
const changeText = (k: number, unit: 'C' | 'F'): string =>
  `${(Math.abs(k) * (unit === 'F' ? 1.8 : 1)).toFixed(1)} °${unit}`;

/** Today, tomorrow, or the day's name. */
function dayWord(timeZone: string, at: number, now: number): string {
  const same = (a: number, b: number): boolean => dayText(timeZone, a) === dayText(timeZone, b);
  const p = localParts(timeZone, at);
  return same(at, now)
    ? say('advice.today')
    : same(at, now + MS.day)
      ? say('advice.tomorrow')
      : at - now < 6 * MS.day
        ? say('advice.on', { weekday: p.weekday })
        : say('advice.on2', { day: p.day, month: p.month });
}

export const SCHOOL_WORDS: Readonly<Record<TurnStrategy, string>> = {
  get calendar() {
    return say('advice.byTheCalendar');
  },
  get peak() {
    return say('advice.atThePeak');
  },
  get decline() {
    return say('advice.whenItFalls');
  },
  get low() {
    return say('advice.whenItIsDown');
  },
  get hot() {
    return say('advice.whenTooHot');
  },
  get bay() {
    return say('advice.whenTheBayIsWanted');
  },
  get never() {
    return say('advice.never');
  },
  get rule() {
    return say('advice.whatTheRuleOwes');
  },
};
const STAGE_WORDS: Readonly<Record<StageCode, string>> = {
  get building() {
    return say('advice.building');
  },
  get heating() {
    return say('advice.notHotYet');
  },
  get hot() {
    return say('advice.hotInside');
  },
  get cooling() {
    return say('advice.cooling');
  },
  get dormant() {
    return say('advice.asleepFrozen');
  },
  get curing() {
    return say('advice.putToCure');
  },
  get ready() {
    return say('advice.saidToBeReady');
  },
  get 'on-hold'() {
    return say('advice.onHold');
  },
  get released() {
    return say('advice.goneOut');
  },
  get ended() {
    return say('advice.atItsEnd');
  },
};
export const FIX_WORDS: Readonly<Record<Fix, string>> = {
  get enlarge() {
    return say('advice.makeItBigger');
  },
  get water() {
    return say('advice.waterIt');
  },
  get dry() {
    return say('advice.letItDry');
  },
  get nitrogen() {
    return say('advice.addSomethingRichGreensManureLitter');
  },
  get carbon() {
    return say('advice.mixInBrowns');
  },
  get structure() {
    return say('advice.mixInDryCoarseBrowns');
  },
  get turn() {
    return say('advice.turnIt');
  },
  get cover() {
    return say('advice.coverIt');
  },
  get uncover() {
    return say('advice.takeTheCoverOff');
  },
  get shrink() {
    return say('advice.splitIt');
  },
  get bury() {
    return say('advice.buryTheFoodAndCapItWith');
  },
  get thermometer() {
    return say('advice.checkTheThermometer');
  },
  get wait() {
    return say('advice.leaveItAlone');
  },
};

export const SYMPTOM_WORDS: Readonly<Record<Symptom, string>> = {
  get NOT_HEATING() {
    return say('advice.itDoesNotHeat');
  },
  get COOLED_EARLY() {
    return say('advice.itCooledEarly');
  },
  get AMMONIA() {
    return say('advice.itSmellsOfAmmonia');
  },
  get AIRLESS() {
    return say('advice.itSmellsSourOrRotten');
  },
  get DRY() {
    return say('advice.itIsTooDry');
  },
  get WET() {
    return say('advice.itIsTooWet');
  },
  get FLIES() {
    return say('advice.flies');
  },
  get RATS() {
    return say('advice.rats');
  },
};
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  get TOO_SMALL() {
    return say('advice.tooSmallToHoldItsHeat');
  },
  get TOO_DRY() {
    return say('advice.tooDry');
  },
  get TOO_WET() {
    return say('advice.tooWet');
  },
  get LITTLE_NITROGEN() {
    return say('advice.tooLittleNitrogen');
  },
  get MUCH_NITROGEN() {
    return say('advice.tooMuchNitrogenForItsCarbon');
  },
  get NO_AIR() {
    return say('advice.noAirInside');
  },
  get COLD_AIR() {
    return say('advice.coldAirOutside');
  },
  get UNCOVERED() {
    return say('advice.noCoverOnIt');
  },
  get OPENED_TOO_OFTEN() {
    return say('advice.openedTooOften');
  },
  get SPENT() {
    return say('advice.itHasWorkedThroughItsFood');
  },
  get THERMOMETER() {
    return say('advice.theThermometerMayBeWrong');
  },
  get BARE_FOOD() {
    return say('advice.foodLiesOpen');
  },
  get NEST() {
    return say('advice.ratsMayNestInIt');
  },
};
const FIX_CAUTION: Partial<Record<Fix, string>> = {
  get enlarge() {
    return CAUTION.lift;
  },
  get nitrogen() {
    return CAUTION.raw;
  },
  get turn() {
    return CAUTION.spores;
  },
  get carbon() {
    return CAUTION.spores;
  },
  get structure() {
    return CAUTION.spores;
  },
  get shrink() {
    return CAUTION.split;
  },
  get bury() {
    return CAUTION.food;
  },
};

export const CHORE_WORDS = {
  get leachate() {
    return say('advice.emptyTheLeachate');
  },
  get covers() {
    return say('advice.lookAtTheCovers');
  },
  get vents() {
    return say('advice.lookAtTheVents');
  },
  get tools() {
    return say('advice.cleanTheTools');
  },
  get other() {
    return say('advice.chore');
  },
} as const;
export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  get danger() {
    return say('advice.danger');
  },
  get losing() {
    return say('advice.lostIfLeft');
  },
  get owed() {
    return say('advice.owedToAProof');
  },
  get schedule() {
    return say('advice.bySchedule');
  },
  get chore() {
    return say('advice.chores');
  },
};
export const TASK_WORDS: Readonly<Record<TaskKind, string>> = {
  get hot() {
    return say('advice.cooling2');
  },
  get read() {
    return say('advice.reading');
  },
  get turn() {
    return say('advice.turning');
  },
  get water() {
    return say('advice.watering');
  },
  get mend() {
    return say('advice.mending');
  },
  get close() {
    return say('advice.closing');
  },
  get chore() {
    return say('advice.chore2');
  },
  get 'probe-check'() {
    return say('advice.checkOfAThermometer');
  },
  get load() {
    return say('advice.aLoadInTheStore');
  },
};

function loadWords(l: NonNullable<Task['load']>, due: number, { unit }: Locale): AdviceWords {
  const place = l.where ? `, ${l.where}` : '';
  switch (l.what) {
    case 'ripe':
      return {
        mark: 'add',
        act: say('advice.isRipe', { name: l.name }),
        why: say('advice.itMayBeUsedFromNowOn', { place }),
        due,
        urgent: false,
      };
    case 'ask':
      return {
        mark: 'note',
        act: say('advice.askAbout', { name: l.name }),
        why: l.asked
          ? say('advice.itIsHeldUntilThen', { asked: l.asked })
          : say('advice.itIsHeldUntilThen2'),
        due,
        urgent: false,
      };
    case 'stack':
      return {
        mark: 'probe',
        act:
          l.level === 'danger' || l.level === 'act'
            ? say('advice.isTooHotInTheStack', { name: l.name })
            : say('advice.readTheStackOf', { name: l.name }),
        due,
        urgent: l.level === 'danger' || l.level === 'act',
        why:
          l.c === null
            ? say('advice.freshStacksHeatUpOnTheirOwn', { place })
            : say('advice.whenItWasLastReadKeeppeopleKeep', {
                c: tempText(l.c, unit),
                place,
                level: l.level === 'danger' ? 'keepPeople' : l.level === 'act' ? 'takeIt' : 'other',
              }),
        ...(l.level === 'danger' || l.level === 'act'
          ? {
              caution: say('advice.openingAHotStackFeedsAirTo'),
            }
          : {}),
      };
  }
}

/** A task in words: what to do, with which heap or thing. */
export function taskWords(t: Task, locale: Locale): AdviceWords {
  if (t.advice) return adviceWords(t.advice, locale);
  const { timeZone, now } = locale;
  if (t.chore)
    return {
      mark: 'check',
      act: t.chore.words ?? CHORE_WORDS[t.chore.what as keyof typeof CHORE_WORDS],
      why:
        t.chore.doneAt === null
          ? say('advice.everyOneDayOtherDaysNotDone', { everyDays: t.chore.everyDays })
          : say('advice.everyOneDayOtherDaysLastDone', {
              everyDays: t.chore.everyDays,
              doneAt: soonText(timeZone, t.chore.doneAt, now),
            }),
      ...(t.chore.what === 'leachate' ? { caution: CAUTION.raw } : {}),
      due: t.due,
      urgent: false,
    };
  if (t.load) return loadWords(t.load, t.due, locale);
  return {
    mark: 'probe',
    act: say('advice.checkThermometer', { name: t.name }),
    why: say('advice.inIceWaterAndAtTheHot'),
    due: t.due,
    urgent: false,
  };
}

/** What leaving a task costs; empty: nothing that can be told. */
export function costText(t: Task, { timeZone, now, unit }: Locale): string {
  if (t.group === 'danger') return say('advice.aHeapThatIsTooHotDoes');
  if (
    t.advice?.code === 'TURN' &&
    t.advice.waiting &&
    t.advice.waiting.code !== t.advice.reasons[0]?.code
  )
    return reasonText(t.advice.waiting, { timeZone, now, unit });
  if (t.atStakeHours > 0 && t.latest !== null)
    return say('advice.afterItsAreLost', {
      latest: soonText(timeZone, t.latest, now),
      atStakeHours: durationText(t.atStakeHours),
    });
  if (t.advice?.code === 'TURN' && t.advice.owed > 0)
    return say('advice.itsProofComesLaterOneTurningOther', { owed: t.advice.owed });
  if (t.advice?.code === 'KEEP_READING') return say('advice.theRunHangsOnARoundA');
  return '';
}

/** What a reason rests on, in one sentence. */
export function reasonText(r: TurnReason, { timeZone, now, unit }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  const temp = (c: number): string => tempText(c, unit);
  switch (r.code) {
    case 'CALENDAR':
      return r.first
        ? say('advice.itsCalendarTurnsItFirstOnDay', {
            days: Math.round(r.days * 10) / 10,
            due: dayText(timeZone, r.due),
          })
        : say('advice.itsCalendarTurnsItEveryOneDay', { days: r.days, since: at(r.since) });
    case 'WORKED_OUT':
      return say('advice.itsMethodWorksItForOneDay', {
        activeDays: r.activeDays,
        since: at(r.since),
      });
    case 'PEAKED':
      return say('advice.peakedAtInItsLastRound', {
        at: at(r.at),
        highestC: temp(r.highestC),
        nowC: temp(r.nowC),
      });
    case 'FALLING':
      return say('advice.itFallsADayOverItsLast', {
        perDay: changeText(r.perDay, unit),
        rounds: r.rounds,
      });
    case 'STEADY':
      return r.perDay > 0.3
        ? say('advice.stillRisingADayOverItsLast', {
            perDay: changeText(r.perDay, unit),
            rounds: r.rounds,
          })
        : r.perDay < -0.3
          ? say('advice.fallsOnlyADayOverItsLast', {
              perDay: changeText(r.perDay, unit),
              rounds: r.rounds,
            })
          : say('advice.holdsSteadyOverItsLastOneRound', { rounds: r.rounds });
    case 'TOO_FEW_ROUNDS':
      return r.rounds === 0
        ? say('advice.notReadSinceTooLittleToTell', { since: at(r.since) })
        : say('advice.readOneOtherTimesSinceTooLittle', { rounds: r.rounds, since: at(r.since) });
    case 'LOW':
      return say('advice.downToAtItIsTurnedAgain', {
        coreC: temp(r.coreC),
        at: at(r.at),
        lowC: temp(r.lowC),
      });
    case 'ABOVE_LOW':
      return say('advice.atStillAbove', { coreC: temp(r.coreC), at: at(r.at), lowC: temp(r.lowC) });
    case 'HOT':
      return say('advice.insideAtPastTheHeatKillsWhat', {
        coreC: temp(r.coreC),
        at: at(r.at),
        actC: temp(r.actC),
      });
    case 'NOT_HOT':
      return say('advice.atUnder', { coreC: temp(r.coreC), at: at(r.at), actC: temp(r.actC) });
    case 'BAY':
      return say('advice.itsBayIsWantedBy', { by: at(r.by) });
    case 'OWED':
      return say('advice.oneTurningOtherTurningsStillOwedIn', {
        owed: r.owed,
        missingHours: missingText(r.missingHours),
        apartHours: Math.max(1, Math.round(r.apartHours / 24)),
      });
    case 'OWED_NOT_HOT_SINCE':
      return say('advice.oneTurningOtherTurningsStillOwedBut', {
        owed: r.owed,
        floorC: temp(r.floorC),
        turnedAt: at(r.turnedAt),
      });
    case 'STAGE_DONE':
      return say('advice.hotSinceItsLastTurningWereAsked', {
        heldHours: durationText(r.heldHours),
        needHours: durationText(r.needHours),
        owed: r.owed,
        at: at(r.at),
      });
    case 'STAGE_RUNS':
      return say('advice.moreBeforeTheNextOfOneOwed', {
        missingHours: missingText(r.missingHours),
        owed: r.owed,
        at: at(r.at),
      });
    case 'RUN_WOULD_END':
      return say('advice.atADayItFallsPastAbout', {
        perDay: changeText(r.perDay, unit),
        floorC: temp(r.floorC),
        at: dayWord(timeZone, r.at, now),
        clock: localParts(timeZone, r.at).clock,
        creditedHours: durationText(r.creditedHours),
      });
    case 'NEAR_PROOF':
      return say('advice.fromProofAtTheEarliestATurning', {
        missingHours: missingText(r.missingHours),
        proofAt: at(r.proofAt),
        graceHours: ageText(r.graceHours),
      });
    case 'RECOVERING':
      return say('advice.itIsStillComingBackFromIts', {
        until: at(r.until),
        floorC: temp(r.floorC),
      });
    case 'TURNED_LATELY':
      return say('advice.turnedOpenedAgainWithinADayIt', { at: at(r.at) });
    case 'NO_RULE_ASKS':
      return say('advice.noRuleThatItIsKeptUnder');
    case 'BAY_FREE':
      return say('advice.nobodyHasSaidThatItsBayIs', { since: at(r.since) });
    case 'LEFT_ALONE':
      return say('advice.leftAloneSince', { since: at(r.since) });
  }
}

/** What a school says, in a few words: `turn now`, `wait`, `turn on Thu`. */
export function voiceText(v: StrategyOpinion, locale: Locale): string {
  const act =
    v.says === 'now'
      ? say('advice.turnNow')
      : v.says === 'on' && v.at !== null
        ? say('advice.turn', { at: dayWord(locale.timeZone, v.at, locale.now) })
        : v.says === 'no'
          ? say('advice.noTurning')
          : say('advice.notYet');
  return `${act}. ${reasonText(v.because, locale)}`;
}

/** The heading of a turn advice. */
export function turnHeading(
  a: Pick<TurnAdvice, 'act' | 'due' | 'earliest'>,
  { timeZone, now }: Locale,
): string {
  if (a.act === 'turn' && a.due !== null)
    return a.due <= now
      ? say('advice.turnItNow')
      : say('advice.turnIt2', { due: dayWord(timeZone, a.due, now) });
  if (a.act === 'wait')
    return a.earliest === null
      ? say('advice.doNotTurnItNow')
      : say('advice.doNotTurnItBefore', { earliest: soonText(timeZone, a.earliest, now) });
  return say('advice.noTurningAskedFor');
}

/** When, at the earliest and at the latest; empty: nothing bounds it. */
export function windowText(
  a: Pick<TurnAdvice, 'act' | 'earliest' | 'latest'>,
  { timeZone, now }: Locale,
): string {
  if (a.act !== 'turn') return '';
  const at = (t: number): string => soonText(timeZone, t, now);
  return [
    a.earliest !== null && a.earliest > now
      ? say('advice.notBefore', { earliest: at(a.earliest) })
      : '',
    a.latest === null
      ? ''
      : a.latest <= now
        ? say('advice.itShouldHaveBeenDoneBy', { latest: at(a.latest) })
        : say('advice.atTheLatest', { latest: at(a.latest) }),
  ]
    .filter(Boolean)
    .join(', ');
}

/** Whether a turning counts for the rule that leads, and why not. */
export const COUNT_WORDS = {
  get counted() {
    return say('advice.counts');
  },
  get TURN_PARTIAL() {
    return say('advice.noOnlyStirred');
  },
  get TURN_WITHOUT_HEAT() {
    return say('advice.noNotHotAgainSinceTheTurning');
  },
  get TURN_WITHOUT_HOLD() {
    return say('advice.noNotHotForLongEnoughBefore');
  },
  get TURN_OUTSIDE_RUN() {
    return say('advice.noNoHotRunGoesOnFrom');
  },
  get EARLIER() {
    return say('advice.noTheClockStartedAgainAfterIt');
  },
  get AWAITED() {
    return say('advice.notYetItMustBeReadHot');
  },
} as const;

const CHOICE_WORDS: Readonly<Record<HotChoice, string>> = {
  get turn() {
    return say('advice.turnItReadingFirst');
  },
  get split() {
    return say('advice.splitItInTwoSmallerHeaps');
  },
  get wet() {
    return say('advice.waterItSlowlyFromTheTop');
  },
  get 'cap-off'() {
    return say('advice.takeTheCapOrCoverOff');
  },
  get 'look-again'() {
    return say('advice.readItAgain');
  },
  get 'keep-back'() {
    return say('advice.keepPeopleBackUpwind');
  },
  get 'do-not-open'() {
    return say('advice.doNotOpenItAirFeedsA');
  },
  get call() {
    return say('advice.callTheFireServiceAtAnySmoke');
  },
};
const CHOICE_CAUTION: Partial<Record<HotChoice, string>> = {
  get turn() {
    return CAUTION.steam;
  },
  get split() {
    return CAUTION.split;
  },
  get wet() {
    return say('advice.steamComesUpWhereTheWaterGoes');
  },
  get 'cap-off'() {
    return CAUTION.steam;
  },
};
export type HotWords = {
  readonly heading: string;
  readonly why: string;
  readonly choices: readonly {
    readonly choice: HotChoice;
    readonly act: string;
    readonly caution: string | null;
  }[];
  readonly follow: string;
  readonly urgent: boolean;
  readonly escalate: string | null;
};

/** Heading, reason and choices for a heap that is too hot. */
export function hotWords(h: HotAdvice, { timeZone, now, unit }: Locale): HotWords {
  const read =
    h.coreC === null
      ? say('advice.nobodyHasReadIt')
      : say('advice.insideReadAgo', {
          coreC: tempText(h.coreC, unit),
          age: ageText((now - h.at) / MS.hour),
        });
  const answered =
    h.answeredAt === null
      ? ''
      : say('advice.itWasTurnedWateredOrSplitSince', {
          answeredAt: soonText(timeZone, h.answeredAt, now),
        });
  const by = soonText(timeZone, h.followUpAt, now);
  return {
    heading:
      h.level === 'danger'
        ? say('advice.standBackAndCheckItNow')
        : h.level === 'act'
          ? h.answeredAt !== null || h.old
            ? say('advice.readItAgain')
            : say('advice.coolItDown')
          : say('advice.keepAnEyeOnItsHeat'),
    why:
      h.burnt && h.level === 'danger'
        ? say('advice.andSomebodySmelledBurningOrTookIt', { read })
        : h.level === 'warn'
          ? say('advice.fromOnItBeginsToHarmItself', { read, limitC: tempText(h.limitC, unit) })
          : answered
            ? `${read}.${answered}`
            : h.level === 'danger'
              ? say('advice.atAndMoreItMayHeatItself', { read, limitC: tempText(h.limitC, unit) })
              : say('advice.pastTheHeatKillsWhatMakesCompost', {
                  read,
                  limitC: tempText(h.limitC, unit),
                }),
    choices: h.choices
      .filter((c) => c !== 'look-again')
      .map((choice) => ({
        choice,
        act: CHOICE_WORDS[choice],
        caution: CHOICE_CAUTION[choice] ?? null,
      })),
    follow: h.overdue
      ? say('advice.itShouldHaveBeenReadAgainBy', { by })
      : say('advice.readItAgainBy', { by }),
    urgent: h.level !== 'warn',
    escalate:
      h.escalate && h.overSince !== null
        ? say('advice.tooHotInEveryRoundSinceTell', {
            overSince: soonText(timeZone, h.overSince, now),
          })
        : null,
  };
}

const round5 = (x: number): number =>
  x < 20 ? Math.round(x) : x < 200 ? Math.round(x / 5) * 5 : Math.round(x / 10) * 10;
const span = ({ low, high }: PercentRange, one: string, many = one): string => {
  const [a, b] = [round5(low), round5(high)];
  return a === b ? `${b} ${b === 1 ? one : many}` : `${a}–${b} ${many}`;
};
const HINT_WORDS: Readonly<Record<WaterHint, string>> = {
  get FROST() {
    return say('advice.itFreezesOutsideWaterOnlyWhileIt');
  },
  get HEAT() {
    return say('advice.hotDayWaterEarlyOrLateAnd');
  },
  get SHEDS() {
    return say('advice.dryStrawShedsWaterAtFirstWet');
  },
  get TWO_GOES() {
    return say('advice.moreAtOnceWouldRunThroughFeel');
  },
};
const pctText = ({ low, high }: PercentRange): string =>
  say('advice.moist', { low: Math.round(low), high: Math.round(high) });

export type WaterWords = {
  /** Water is to go in now. */ readonly now: boolean;
  readonly heading: string;
  readonly text: string;
  readonly stop: string | null;
  readonly heat: string | null;
  readonly hints: readonly string[];
};
/** Heading and reasons of a water advice. Litres of loose water. */
export function waterWords(w: WaterAdvice, { timeZone, now, unit }: Locale): WaterWords {
  const felt =
    'at' in w
      ? say('advice.byTheSqueezeOfItIsAbout', {
          at: soonText(timeZone, w.at, now),
          pct: pctText(w.pct),
        })
      : '';
  switch (w.code) {
    case 'NOT_FELT':
      return {
        now: false,
        heading: say('advice.squeezeAHandfulFirst'),
        text: say('advice.nobodyHasSqueezedAHandfulYetSo'),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'FELT_LONG_AGO':
      return {
        now: false,
        heading: say('advice.squeezeAHandfulAgain'),
        text: say('advice.theLastWasFeltTooLongAgo', { felt: soonText(timeZone, w.felt, now) }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'MOIST_ENOUGH':
      return {
        now: false,
        heading: say('advice.noWaterNow'),
        text: say('advice.thatIsRight', { felt }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'TOO_WET':
      return {
        now: false,
        heading: say('advice.noWaterItIsTooWet'),
        text: w.looseL
          ? say('advice.itHasAboutTooMuchTurnIt', { felt, looseL: span(w.looseL, 'L') })
          : say('advice.turnItWithDryCoarseBrownsAnd', { felt }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'NO_SIZE':
      return {
        now: true,
        heading: say('advice.waterItUntilASqueezeGivesA'),
        text: say('advice.howMuchCannotBeReckonedItsSize', { felt }),
        stop: say('advice.stopWhenItSeepsAtTheFoot'),
        heat: null,
        hints: [],
      };
    case 'WATER':
      return {
        now: true,
        heading: say('advice.waterItAboutLNow', { litres: round5(w.now.litres) }),
        text: say('advice.isAimedAtInAllLAre', {
          felt,
          targetPct: w.targetPct,
          litres: span(w.litres, 'L'),
          litres2: round5(w.now.litres),
          minutes: Math.max(1, round5(w.now.minutes)),
          buckets: Math.max(1, round5(w.now.buckets)),
        }),
        stop: say('advice.stopWhenItSeepsAtTheFoot2'),
        heat:
          w.coolsK === null
            ? null
            : say('advice.thatMuchAtTakesAboutOffIts', {
                waterC: tempText(w.waterC, unit),
                coolsK: changeText(w.coolsK, unit),
              }),
        hints: w.hints.map((h) => HINT_WORDS[h]),
      };
  }
}

/** What a diagnosis rests on, in a clause. */
export function signText(s: Sign, { timeZone, now, unit }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  switch (s.code) {
    case 'SIZE':
      return say('advice.now', { m3: volumeText(s.m3, 'm3') });
    case 'SIZE_UNKNOWN':
      return say('advice.itsSizeIsNotKnownMeasureIt');
    case 'SQUEEZE':
      return say('advice.squeezed', {
        at: at(s.at),
        toLowerCase: SQUEEZE_WORDS[s.squeeze].word.toLowerCase(),
      });
    case 'NOT_SQUEEZED':
      return say('advice.nobodySqueezedAHandfulLately');
    case 'SMELL':
      return say('advice.smelled', { at: at(s.at), smell: s.smell });
    case 'NOT_SMELLED':
      return say('advice.nobodyNotedASmellLately');
    case 'RICH_INPUTS':
      return say('advice.manureOrFoodWentIn');
    case 'ONLY_GARDEN':
      return say('advice.nothingRichWentIn');
    case 'INPUTS_UNKNOWN':
      return say('advice.whatWentInWasNotSaid');
    case 'AIR':
      return say('advice.airAt', { c: tempText(s.c, unit) });
    case 'AIR_UNKNOWN':
      return say('advice.theAirWasNotRead');
    case 'AGE':
      return say('advice.dayOfAbout', { days: Math.floor(s.days) + 1, activeDays: s.activeDays });
    case 'TURNED':
      return say('advice.turnedOneOtherTimesInDaysLast', {
        times: s.times,
        days: s.days,
        last: at(s.last),
      });
    case 'NOT_TURNED':
      return say('advice.notTurnedSince', { since: at(s.since) });
    case 'WATERED':
      return say('advice.lOfWaterInThreeDays', { litres: Math.round(s.litres) });
    case 'COVER':
      return say('advice.coverOnOther', { on: s.on ? 'on' : 'other', at: at(s.at) });
    case 'GROWTH':
      return say('advice.growth', { growth: s.growth, at: at(s.at) });
    case 'SEEPAGE':
      return say('advice.itSeeped', { at: at(s.at) });
    case 'HIGHEST':
      return say('advice.was', { c: tempText(s.c, unit), at: at(s.at) });
    case 'PROBE_CHECKED':
      return say('advice.thermometerChecked', { at: at(s.at) });
    case 'PROBE_UNNAMED':
      return say('advice.noReadingNamesItsThermometer');
    case 'COVER_UNKNOWN':
      return say('advice.nobodyNotedWhetherItIsCovered');
    case 'PROBE_UNCHECKED':
      return say('advice.thermometerWasNeverChecked', { probe: s.probe });
    case 'FOOD_IN':
      return say('advice.foodWasteWentIn');
    case 'PESTS':
      return say('advice.pestsSeen', { at: at(s.at) });
  }
}

/** What came of something that was changed. */
export function trialText(t: Trial, { timeZone, now, unit }: Locale): string {
  const heat =
    t.beforeC === null || t.afterC === null
      ? ''
      : say('advice.beforeWithinFiveDays', {
          beforeC: tempText(t.beforeC, unit),
          afterC: tempText(t.afterC, unit),
        });
  if (t.outcome === 'open') return say('advice.noFullRoundSinceItCannotBe');
  const came =
    t.outcome === 'helped'
      ? say('advice.itWarmed')
      : t.outcome === 'worse'
        ? say('advice.itCooled')
        : say('advice.noChange');
  return `${came}.${heat}${t.causeUnknown ? say('advice.causeUnknownSeveralThingsWereChanged') : ''}${t.afterAt === null ? '' : say('advice.read', { afterAt: soonText(timeZone, t.afterAt, now) })}`;
}

const NO_TEST = {
  get small() {
    return say('advice.underACubicMetre');
  },
  get 'size-unknown'() {
    return say('advice.ofASizeThatNobodyMeasured');
  },
  dry: 'dry',
  get 'not-squeezed'() {
    return say('advice.ofAMoistureThatNobodyFeltLately');
  },
} as const;
const FIRST_PUT_RIGHT = {
  get small() {
    return say('advice.addToItOrJoinIt');
  },
  get 'size-unknown'() {
    return say('advice.measureIt');
  },
  get dry() {
    return say('advice.waterIt2');
  },
  get 'not-squeezed'() {
    return say('advice.squeezeAHandful');
  },
} as const;

/** Whether staying cool shows that a heap has worked through, and what would show it. */
function reheatText(t: ReheatTest, { timeZone, now }: Locale): string {
  switch (t.code) {
    case 'SHOWS_NOTHING':
      return say('advice.thatItStaysCoolShowsNothingIt', {
        why: listText(t.why.map((w) => NO_TEST[w])),
        why2: listText(t.why.map((w) => FIRST_PUT_RIGHT[w])),
      });
    case 'NOT_TURNED':
      return say('advice.turnItOnceMoreAndReadIt');
    case 'READ_ON':
      return say('advice.turnedReadItUntilIfItStays', {
        turnedAt: soonText(timeZone, t.turnedAt, now),
        until: soonText(timeZone, t.until, now),
      });
    case 'STAYED_COOL':
      return say('advice.moistBigEnoughTurnedAndItDid', {
        turnedAt: soonText(timeZone, t.turnedAt, now),
        checks: t.checks,
      });
  }
}

/** Since when somebody says that it is so, and what the log has to say to that. */
export function claimText(c: Claim, { timeZone, unit, now }: Locale): string {
  const met =
    c.met.length === 0
      ? c.asked === 0
        ? say('advice.noRuleIsClaimed')
        : say('advice.notProven')
      : c.met.length < c.asked
        ? say('advice.meetsOfRulesNotAllAreProven', { met: c.met.length, asked: c.asked })
        : say('advice.provenBy', {
            met: listText(c.met.map((m) => `${m.title}, ${dayText(timeZone, m.at)}`)),
          });
  const r = c.lastRead;
  const over =
    r?.airC == null
      ? say('advice.theAirWasNotRead2')
      : say('advice.overOtherTheAir', {
          coreC: Math.round(Math.abs(r.coreC - r.airC) * (unit === 'F' ? 1.8 : 1)),
          unit,
          coreC2: r.coreC >= r.airC ? 'over' : 'other',
        });
  const read =
    r === null
      ? say('advice.itsHeatWasNeverRead')
      : say('advice.insideWhenLastRead', {
          coreC: tempText(r.coreC, unit),
          at: soonText(timeZone, r.at, now),
          over,
        });
  return say('advice.maturityWasNotTested', { met, read });
}

/** Why it should not go out yet, each to be confirmed by whoever lets it go. */
export function readingDoubtText(d: ReleaseDoubt, c: Claim, { unit }: Locale): string {
  const r = c.lastRead;
  switch (d) {
    case 'unproven':
      return c.asked === 0
        ? say('advice.noRuleIsClaimedForItSo')
        : c.met.length === 0
          ? say('advice.itHasNotMetAnyRuleGerms')
          : say('advice.itMeetsOfTheRulesThatIt', { met: c.met.length, asked: c.asked });
    case 'warm':
      return r!.airC === null
        ? say('advice.itWasStillWarmInsideStackedOr', { coreC: tempText(r!.coreC, unit) })
        : say('advice.itWasStillWarmInsideOutsideStacked', {
            coreC: tempText(r!.coreC, unit),
            airC: tempText(r!.airC, unit),
          });
    case 'unread':
      return r === null
        ? say('advice.nobodyHasEverReadItsHeat')
        : say('advice.nobodyHasReadItsHeatInThe');
  }
}

/** A reading against what is expected of this heap at its age. */
export function courseText(
  c: Course,
  method: string,
  locale: Locale,
  reheat: ReheatTest | null = null,
): string {
  const { unit } = locale;
  const day = say('advice.day', { ageDays: Math.floor(c.ageDays) + 1 });
  const band = say('advice.to', { lowC: tempText(c.lowC, unit), highC: tempText(c.highC, unit) });
  const air =
    c.airC === null
      ? ''
      : say('advice.aboveOtherTheAir', {
          coreC: Math.round(Math.abs(c.coreC - c.airC) * (unit === 'F' ? 1.8 : 1)),
          unit,
          coreC2: c.coreC >= c.airC ? 'above' : 'other',
        });
  const is = `${tempText(c.coreC, unit)}${air}`;
  switch (c.code) {
    case 'TOO_YOUNG':
      return say('advice.tooEarlyToTellAnything', { is });
    case 'ON_COURSE':
      return say('advice.onCourseIsExpectedAtOn', { is, method, band, day });
    case 'HOTTER':
      return say('advice.hotterThanTheExpectedOfThisMethod', { is, band, day });
    case 'COOLER':
      return say('advice.coolerThanTheExpectedOfThisMethod', { is, band, day });
    case 'JUST_TURNED':
      return say('advice.justAfterItsTurningIsExpectedOn', { is, band, day });
    case 'NEAR_END':
      return say('advice.nearItsEndOn', {
        is,
        day,
        reheat: reheat ? reheatText(reheat, locale) : '',
      }).trim();
    case 'AT_AIR':
      return say('advice.asTheAirOn', {
        is,
        day,
        reheat: reheat ? reheatText(reheat, locale) : '',
      }).trim();
  }
}

/** Where it stands in its life, by the entry or the reading that says so. @param read whether it was read since its clock began */
export function stageText(s: Stage, { timeZone, now }: Locale, read: boolean): string {
  const since = soonText(timeZone, s.since, now);
  if (s.code === 'heating')
    return read
      ? say('advice.closed', { heating: STAGE_WORDS.heating, since })
      : say('advice.notReadYetClosed', { since });
  if (s.by !== null && (s.code === 'ready' || s.code === 'curing'))
    return say('advice.by', { stagewords: STAGE_WORDS[s.code], by: s.by, since });
  return s.reason === null
    ? say('advice.since', { stagewords: STAGE_WORDS[s.code], since })
    : say('advice.since2', {
        stagewords: STAGE_WORDS[s.code],
        since,
        endwords: s.code === 'ended' ? END_WORDS[s.reason as EndReason] : s.reason,
      });
}

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
    return say('advice.atItsEnd2', { endwords: END_WORDS[reason], when });
  const how =
    stage === 'released'
      ? say('advice.letGoOut')
      : reason === null
        ? say('advice.atItsEnd')
        : upperFirst(END_WORDS[reason as EndReason]);
  return `${how}${when}. ${claimText(claim, locale)}`;
}

/** The one text of each advice. */
export function adviceWords(a: Advice, locale: Locale): AdviceWords {
  const { timeZone, now, unit } = locale;
  const by = (at: number): string => soonText(timeZone, at, now);
  const late = (at: number): boolean => at < now;
  const readAct = (at: number): string =>
    late(at) ? say('advice.readItNow') : say('advice.readBy', { at: by(at) });
  const calm = { urgent: false } as const;
  switch (a.code) {
    case 'CLOSE_WHEN_BUILT':
      return {
        mark: 'add',
        act: say('advice.fillItThenCloseIt'),
        why: say('advice.theClockStartsWhenTheLastRaw'),
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
                choices: a.hot.choices
                  .filter((c) => c !== 'look-again')
                  .slice(0, 2)
                  .map(
                    (c) =>
                      ({
                        turn: say('advice.turn2'),
                        split: say('advice.split'),
                        wet: say('advice.water'),
                        'cap-off': say('advice.capOff'),
                      })[c as 'turn'],
                  )
                  .join(' or '),
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
          ? say('advice.aDayAfterTheTurningItShows')
          : say('advice.turnedTodayAReadingThisAfternoonEarns'),
        due: a.due,
        ...calm,
      };
    case 'READ_BEFORE_LOST':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: say('advice.lastHotRoundAgoPastItsAre', {
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
        why: say('advice.afterItsTurningHasUntilToReach', {
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
        why: say('advice.readItFirst', { first: first ? reasonText(first, locale) : '' }).trim(),
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
        act: say('advice.squeezeAHandful2'),
        why: say('advice.itWasDryWhenItWasLast', { drySince: by(a.drySince) }),
        due: a.due,
        ...calm,
      };
    case 'KEEP_READING':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why: say('advice.moreOneRoundADayKeepsThe', { missingHours: missingText(a.missingHours) }),
        due: a.due,
        ...calm,
      };
    case 'WAIT_FOR_HEAT':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why:
          a.valueC === null
            ? say('advice.noRoundYetTheRightMixWarms')
            : say('advice.inItsColdestPlaceNotYetNothingcounts', {
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
                say('advice.nothingSpeaksAgainstIt'),
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
        why: say('advice.oneChangeAtATime', { why }),
        ...(caution && !look ? { caution } : {}),
        due: a.due,
        ...calm,
      };
    }
    case 'FIND_OUT_WHY':
      return {
        mark: 'squeeze',
        act: say('advice.squeezeItAndSmellIt'),
        why: say('advice.inTheLastRoundLookAtSize', {
          valueC: tempBeside(a.valueC, a.floorC, unit),
        }),
        due: a.due,
        ...calm,
      };
    case 'PROVEN_MOVE_ON':
      return {
        mark: 'cure',
        act: say('advice.letItCoolAndCure'),
        why:
          a.valueC === null
            ? say('advice.nothingRawGoesInAnyMoreIt')
            : say('advice.inTheLastRoundNothingRawGoes', { valueC: tempText(a.valueC, unit) }),
        due: null,
        ...calm,
      };
    case 'ASLEEP':
      return {
        mark: 'note',
        act: say('advice.letItSleepUntilItThaws'),
        why: say('advice.insideAtUnderFrostItHasNot', {
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
            ? say('advice.neverReadNoRuleWaitsForIt')
            : say('advice.inTheLastRoundNoRuleWaits', { coreC: tempText(a.coreC, unit) }),
        due: a.due,
        ...calm,
      };
    case 'READ_RUN_DOWN':
      return {
        mark: 'probe',
        act: readAct(a.due),
        why:
          a.coreC === null
            ? say('advice.neverReadAndPastItsWorkingTime')
            : say('advice.inTheLastRoundAndPastIts', { coreC: tempText(a.coreC, unit) }),
        due: a.due,
        ...calm,
      };
    case 'LEAVE_TO_CURE':
      return {
        mark: 'cure',
        act: say('advice.leaveItToCure'),
        why: say('advice.keepItCoveredAndMoistAndNothing', { claim: claimText(a.claim, locale) }),
        brief: say('advice.keepItCoveredAndMoistAndNothing2'),
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
        act: say('advice.saidToBeReady'),
        why: say('advice.putItDownAsReady', {
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
