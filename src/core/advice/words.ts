import { dueText } from '../lots/texts';
import { currentUnits, say } from '../../messages/say';
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
  orText,
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
    ? say('advice.today2')
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
    return say('advice.whenStartsCool');
  },
  get low() {
    return say('advice.whenItHasCooled');
  },
  get hot() {
    return say('advice.whenTooHot');
  },
  get bay() {
    return say('advice.whenBayNeeded');
  },
  get never() {
    return say('advice.never');
  },
  get rule() {
    return say('advice.whenRuleNeeds');
  },
};
const STAGE_WORDS: Readonly<Record<StageCode, string>> = {
  get building() {
    return say('advice.beingBuilt');
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
    return say('advice.dormantFrozen');
  },
  get curing() {
    return say('advice.curing');
  },
  get ready() {
    return say('advice.markedReady');
  },
  get 'on-hold'() {
    return say('advice.onHold');
  },
  get released() {
    return say('advice.released');
  },
  get ended() {
    return say('advice.finished');
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
    return say('advice.addSomethingRichInNitrogen');
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
    return say('advice.buryFoodCoverWithBrowns');
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
    return say('advice.itDoesNotHeatUp');
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
    return say('advice.tooSmallHoldHeat');
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
    return say('advice.tooMuchNitrogenForCarbon');
  },
  get NO_AIR() {
    return say('advice.noAirInside');
  },
  get COLD_AIR() {
    return say('advice.coldAirOutside');
  },
  get UNCOVERED() {
    return say('advice.noCover');
  },
  get OPENED_TOO_OFTEN() {
    return say('advice.openedTooOften');
  },
  get SPENT() {
    return say('advice.theEasyFoodUsedUp');
  },
  get THERMOMETER() {
    return say('advice.theThermometerMayWrong');
  },
  get BARE_FOOD() {
    return say('advice.foodIsExposed');
  },
  get NEST() {
    return say('advice.ratsMayNestIn');
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
    return say('advice.checkTheCovers');
  },
  get vents() {
    return say('advice.checkTheVents');
  },
  get tools() {
    return say('advice.cleanTheTools');
  },
  get other() {
    return say('advice.regularTask');
  },
} as const;
export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  get danger() {
    return say('advice.danger');
  },
  get losing() {
    return say('advice.urgent');
  },
  get owed() {
    return say('advice.neededForARule');
  },
  get schedule() {
    return say('advice.today');
  },
  get chore() {
    return say('advice.regularTasks');
  },
};
export const TASK_WORDS: Readonly<Record<TaskKind, string>> = {
  get hot() {
    return say('advice.cooling2');
  },
  get read() {
    return say('advice.temperatures');
  },
  get turn() {
    return say('advice.turning');
  },
  get water() {
    return say('advice.watering');
  },
  get mend() {
    return say('advice.fixing');
  },
  get close() {
    return say('advice.finishAdding');
  },
  get chore() {
    return say('advice.regularTask2');
  },
  get 'probe-check'() {
    return say('advice.thermometerCheck');
  },
  get load() {
    return say('advice.aLoadInStock');
  },
  get lot() {
    return say('advice.aLot');
  },
};

function loadWords(l: NonNullable<Task['load']>, due: number, { unit }: Locale): AdviceWords {
  const place = l.where ? `, ${l.where}` : '';
  switch (l.what) {
    case 'ripe':
      return {
        mark: 'add',
        act: say('advice.isReadyToUse', { name: l.name }),
        why: say('advice.itCanUsedFromNow', { place }),
        due,
        urgent: false,
      };
    case 'ask':
      return {
        mark: 'note',
        act: say('advice.askAbout', { name: l.name }),
        why: l.asked
          ? say('advice.doNotUseUntilAnswered', { asked: l.asked })
          : say('advice.doNotUseUntilAnswered2'),
        due,
        urgent: false,
      };
    case 'stack':
      return {
        mark: 'probe',
        act:
          l.level === 'danger' || l.level === 'act'
            ? say('advice.isTooHotInStack', { name: l.name })
            : say('advice.takeTemperatureStack', { name: l.name }),
        due,
        urgent: l.level === 'danger' || l.level === 'act',
        why:
          l.c === null
            ? say('advice.freshStacksHeatUpBy', { place })
            : say('advice.atLastReadingKeeppeopleKeep', {
                c: tempText(l.c, unit),
                place,
                level: l.level === 'danger' ? 'keepPeople' : l.level === 'act' ? 'takeIt' : 'other',
              }),
        ...(l.level === 'danger' || l.level === 'act'
          ? {
              caution: say('advice.openingHotStackLetsAir'),
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
          ? say('advice.everyOneDaysNotDone', { everyDays: t.chore.everyDays })
          : say('advice.everyOneDaysLastDone', {
              everyDays: t.chore.everyDays,
              doneAt: soonText(timeZone, t.chore.doneAt, now),
            }),
      ...(t.chore.what === 'leachate' ? { caution: CAUTION.raw } : {}),
      due: t.due,
      urgent: false,
    };
  if (t.load) return loadWords(t.load, t.due, locale);
  if (t.lot)
    return {
      mark: t.lot.code === 'look' ? 'note' : 'check',
      act: say('advice.seeToLot', {
        name: t.lot.name,
        place: t.lot.where ? `, ${t.lot.where}` : '',
      }),
      why: dueText(t.lot),
      due: t.due,
      urgent: t.lot.code === 'read-reheat',
    };
  return {
    mark: 'probe',
    act: say('advice.checkThermometer', { name: t.name }),
    why: say('advice.inIceWaterAtHot'),
    due: t.due,
    urgent: false,
  };
}

/** What leaving a task costs; empty: nothing that can be told. */
export function costText(t: Task, { timeZone, now, unit }: Locale): string {
  if (t.group === 'danger') return say('advice.aPileTooHotCannot');
  if (
    t.advice?.code === 'TURN' &&
    t.advice.waiting &&
    t.advice.waiting.code !== t.advice.reasons[0]?.code
  )
    return reasonText(t.advice.waiting, { timeZone, now, unit });
  if (t.atStakeHours > 0 && t.latest !== null)
    return say('advice.afterCountedTimeLost', {
      latest: soonText(timeZone, t.latest, now),
      atStakeHours: durationText(t.atStakeHours),
    });
  if (t.advice?.code === 'TURN' && t.advice.owed > 0)
    return say('advice.itMeetsRuleLaterTurning', { owed: t.advice.owed });
  if (t.advice?.code === 'KEEP_READING') return say('advice.itsTimeCountsOnlyWith');
  return '';
}

/** What a reason rests on, in one sentence. */
export function reasonText(r: TurnReason, { timeZone, now, unit }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  const temp = (c: number): string => tempText(c, unit);
  switch (r.code) {
    case 'CALENDAR':
      return r.first
        ? say('advice.byCalendarFirstTurningOn', {
            days: Math.round(r.days * 10) / 10,
            due: dayText(timeZone, r.due),
          })
        : say('advice.byCalendarTurnedEveryOne', { days: r.days, since: at(r.since) });
    case 'WORKED_OUT':
      return say('advice.itsMethodTurnsForDay', {
        activeDays: r.activeDays,
        since: at(r.since),
      });
    case 'PEAKED':
      return say('advice.peakedAtOnAtLast', {
        at: at(r.at),
        highestC: temp(r.highestC),
        nowC: temp(r.nowC),
      });
    case 'FALLING':
      return say('advice.fallingDayOverLastCheck', {
        perDay: changeText(r.perDay, unit),
        rounds: r.rounds,
      });
    case 'STEADY':
      return r.perDay > 0.3
        ? say('advice.stillRisingDayOverLast', {
            perDay: changeText(r.perDay, unit),
            rounds: r.rounds,
          })
        : r.perDay < -0.3
          ? say('advice.fallingOnlyDayOverLast', {
              perDay: changeText(r.perDay, unit),
              rounds: r.rounds,
            })
          : say('advice.steadyOverLastCheckChecks', { rounds: r.rounds });
    case 'TOO_FEW_ROUNDS':
      return r.rounds === 0
        ? say('advice.noTemperaturesSinceTooLittle', { since: at(r.since) })
        : say('advice.checkedOneTimesSinceToo', { rounds: r.rounds, since: at(r.since) });
    case 'LOW':
      return say('advice.downOnThisMethodTurns', {
        coreC: temp(r.coreC),
        at: at(r.at),
        lowC: temp(r.lowC),
      });
    case 'ABOVE_LOW':
      return say('advice.onStillAbove', { coreC: temp(r.coreC), at: at(r.at), lowC: temp(r.lowC) });
    case 'HOT':
      return say('advice.insideOnAboveHeatKills', {
        coreC: temp(r.coreC),
        at: at(r.at),
        actC: temp(r.actC),
      });
    case 'NOT_HOT':
      return say('advice.onBelow', { coreC: temp(r.coreC), at: at(r.at), actC: temp(r.actC) });
    case 'BAY':
      return say('advice.itsBayNeededBy', { by: at(r.by) });
    case 'OWED':
      return say('advice.turningTurningsStillNeededHeat', {
        owed: r.owed,
        missingHours: missingText(r.missingHours),
        apartHours: Math.max(1, Math.round(r.apartHours / 24)),
      });
    case 'OWED_NOT_HOT_SINCE':
      return say('advice.turningTurningsStillNeededBut', {
        owed: r.owed,
        floorC: temp(r.floorC),
        turnedAt: at(r.turnedAt),
      });
    case 'STAGE_DONE':
      return say('advice.hotSinceLastTurningNeeded', {
        heldHours: durationText(r.heldHours),
        needHours: durationText(r.needHours),
        owed: r.owed,
        at: at(r.at),
      });
    case 'STAGE_RUNS':
      return say('advice.moreBeforeNextTurningStill', {
        missingHours: missingText(r.missingHours),
        owed: r.owed,
        at: at(r.at),
      });
    case 'RUN_WOULD_END':
      return say('advice.atDayFallsBelowAbout', {
        perDay: changeText(r.perDay, unit),
        floorC: temp(r.floorC),
        at: dayWord(timeZone, r.at, now),
        clock: localParts(timeZone, r.at).clock,
        creditedHours: durationText(r.creditedHours),
      });
    case 'NEAR_PROOF':
      return say('advice.shortRuleMetAtEarliest', {
        missingHours: missingText(r.missingHours),
        proofAt: at(r.proofAt),
        graceHours: ageText(r.graceHours),
      });
    case 'RECOVERING':
      return say('advice.itHeatingUpAgainAfter', {
        until: at(r.until),
        floorC: temp(r.floorC),
      });
    case 'TURNED_LATELY':
      return say('advice.turnedOpeningAgainWithinDay', { at: at(r.at) });
    case 'NO_RULE_ASKS':
      return say('advice.noneRulesNeedsTurningNow');
    case 'BAY_FREE':
      return say('advice.itsBayNotNeededYet', { since: at(r.since) });
    case 'LEFT_ALONE':
      return say('advice.notTurnedSince', { since: at(r.since) });
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
      ? say('advice.doNotTurnNow')
      : say('advice.doNotTurnBefore', { earliest: soonText(timeZone, a.earliest, now) });
  return say('advice.noTurningNeeded');
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
        ? say('advice.shouldHaveBeenDoneBy', { latest: at(a.latest) })
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
    return say('advice.noOnlyPartialTurn');
  },
  get TURN_WITHOUT_HEAT() {
    return say('advice.noNotHotAgainSince');
  },
  get TURN_WITHOUT_HOLD() {
    return say('advice.noNotHotLongEnough');
  },
  get TURN_OUTSIDE_RUN() {
    return say('advice.noNoCountedTimeContinues');
  },
  get EARLIER() {
    return say('advice.noClockStartedOverAfter');
  },
  get AWAITED() {
    return say('advice.notYetMustGetHot');
  },
} as const;

const CHOICE_WORDS: Readonly<Record<HotChoice, string>> = {
  get turn() {
    return say('advice.takeTemperaturesThenTurn');
  },
  get split() {
    return say('advice.splitIntoTwoSmallerPiles');
  },
  get wet() {
    return say('advice.waterSlowlyFromTop');
  },
  get 'cap-off'() {
    return say('advice.takeCapOrCoverOff');
  },
  get 'look-again'() {
    return say('advice.takeItsTemperatureAgain');
  },
  get 'keep-back'() {
    return say('advice.keepPeopleBackUpwind');
  },
  get 'do-not-open'() {
    return say('advice.doNotOpenAirFeeds');
  },
  get call() {
    return say('advice.callFireServiceAtAny');
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
    return say('advice.steamComesUpWhereWater');
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
      ? say('advice.noTemperatureYet')
      : say('advice.insideAgo', {
          coreC: tempText(h.coreC, unit),
          age: ageText((now - h.at) / MS.hour),
        });
  const answered =
    h.answeredAt === null
      ? ''
      : say('advice.itWasTurnedWateredOr', {
          answeredAt: soonText(timeZone, h.answeredAt, now),
        });
  const by = soonText(timeZone, h.followUpAt, now);
  return {
    heading:
      h.level === 'danger'
        ? say('advice.standBackCheckNow')
        : h.level === 'act'
          ? h.answeredAt !== null || h.old
            ? say('advice.takeItsTemperatureAgain')
            : say('advice.coolItDown')
          : say('advice.watchItsTemperature'),
    why:
      h.burnt && h.level === 'danger'
        ? say('advice.andSomebodySmelledBurningOr', { read })
        : h.level === 'warn'
          ? say('advice.fromHeatBeginsHarmComposting', { read, limitC: tempText(h.limitC, unit) })
          : answered
            ? `${read}.${answered}`
            : h.level === 'danger'
              ? say('advice.atMoreCanKeepHeating', { read, limitC: tempText(h.limitC, unit) })
              : say('advice.aboveHeatKillsLifeMakes', {
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
      ? say('advice.itShouldHaveBeenRead', { by })
      : say('advice.readItAgainBy', { by }),
    urgent: h.level !== 'warn',
    escalate:
      h.escalate && h.overSince !== null
        ? say('advice.tooHotAtEveryCheck', {
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
    return say('advice.itFreezingOutsideWaterOnly');
  },
  get HEAT() {
    return say('advice.hotDayWaterEarlyOr');
  },
  get SHEDS() {
    return say('advice.dryStrawShedsWaterAt');
  },
  get TWO_GOES() {
    return say('advice.moreAtOnceWouldRun');
  },
};
const pctText = ({ low, high }: PercentRange): string =>
  say('advice.moisture', { low: Math.round(low), high: Math.round(high) });

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
      ? say('advice.bySqueezeTestAbout', {
          at: soonText(timeZone, w.at, now),
          pct: pctText(w.pct),
        })
      : '';
  switch (w.code) {
    case 'NOT_FELT':
      return {
        now: false,
        heading: say('advice.doSqueezeTestFirst'),
        text: say('advice.noSqueezeTestYetSo'),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'FELT_LONG_AGO':
      return {
        now: false,
        heading: say('advice.doAnotherSqueezeTest'),
        text: say('advice.theLastSqueezeTestWas', { felt: soonText(timeZone, w.felt, now) }),
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
        heading: say('advice.noWaterTooWet'),
        text: w.looseL
          ? say('advice.itHasAboutTooMuch', { felt, looseL: span(w.looseL, 'L') })
          : say('advice.turnWithDryCoarseBrowns', { felt }),
        stop: null,
        heat: null,
        hints: [],
      };
    case 'NO_SIZE':
      return {
        now: true,
        heading: say('advice.waterUntilSqueezeGivesDrop'),
        text: say('advice.howMuchNeedsCannotWorked', { felt }),
        stop: say('advice.stopWhenWaterSeepsOut'),
        heat: null,
        hints: [],
      };
    case 'WATER':
      return {
        now: true,
        heading: say('advice.waterAboutLNow', { litres: round5(w.now.litres) }),
        text: say('advice.theGoalInAllL', {
          felt,
          targetPct: w.targetPct,
          litres: span(w.litres, 'L'),
          litres2: round5(w.now.litres),
          minutes: Math.max(1, round5(w.now.minutes)),
          buckets: Math.max(1, round5(w.now.buckets)),
        }),
        stop: say('advice.stopWhenWaterSeepsOut2'),
        heat:
          w.coolsK === null
            ? null
            : say('advice.thatMuchWaterAtLowers', {
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
      return say('advice.now', { m3: volumeText(s.m3) });
    case 'SIZE_UNKNOWN':
      return say('advice.sizeNotKnownMeasure');
    case 'SQUEEZE':
      return say('advice.squeezeTest', {
        at: at(s.at),
        toLowerCase: SQUEEZE_WORDS[s.squeeze].word.toLowerCase(),
      });
    case 'NOT_SQUEEZED':
      return say('advice.noRecentSqueezeTest');
    case 'SMELL':
      return say('advice.smelled', { at: at(s.at), smell: s.smell });
    case 'NOT_SMELLED':
      return say('advice.noSmellNotedLately');
    case 'RICH_INPUTS':
      return say('advice.manureOrFoodWentIn');
    case 'ONLY_GARDEN':
      return say('advice.nothingRichInNitrogenWent');
    case 'INPUTS_UNKNOWN':
      return say('advice.whatWentInWasNot');
    case 'AIR':
      return say('advice.airAt', { c: tempText(s.c, unit) });
    case 'AIR_UNKNOWN':
      return say('advice.airTemperatureNotLogged');
    case 'AGE':
      return say('advice.dayOfAbout', { days: Math.floor(s.days) + 1, activeDays: s.activeDays });
    case 'TURNED':
      return say('advice.turnedOneTimesInDays', {
        times: s.times,
        days: s.days,
        last: at(s.last),
      });
    case 'NOT_TURNED':
      return say('advice.notTurnedSince2', { since: at(s.since) });
    case 'WATERED':
      return say('advice.lWaterInThreeDays', { litres: Math.round(s.litres) });
    case 'COVER':
      return say('advice.coverOnOther', { on: s.on ? 'on' : 'other', at: at(s.at) });
    case 'GROWTH':
      return say('advice.mold', { growth: s.growth, at: at(s.at) });
    case 'SEEPAGE':
      return say('advice.waterSeepedOut', { at: at(s.at) });
    case 'HIGHEST':
      return say('advice.was', { c: tempText(s.c, unit), at: at(s.at) });
    case 'PROBE_CHECKED':
      return say('advice.thermometerChecked', { at: at(s.at) });
    case 'PROBE_UNNAMED':
      return say('advice.noReadingNamesThermometer');
    case 'COVER_UNKNOWN':
      return say('advice.nobodyNotedWhetherCovered');
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
  if (t.outcome === 'open') return say('advice.noFullCheckSinceSo');
  const came =
    t.outcome === 'helped'
      ? say('advice.itWarmedUp')
      : t.outcome === 'worse'
        ? say('advice.itCooledDown')
        : say('advice.noChange');
  return `${came}.${heat}${t.causeUnknown ? say('advice.causeUnknownSeveralThingsWere') : ''}${t.afterAt === null ? '' : say('advice.readIt', { afterAt: soonText(timeZone, t.afterAt, now) })}`;
}

/** Under the size below which hardly a pile stays hot, in the words of the system. */
const smallText = (): string =>
  currentUnits().system === 'us' ? say('advice.underACubicYard') : say('advice.underACubicMeter');
const NO_TEST = {
  get small() {
    return smallText();
  },
  get 'size-unknown'() {
    return say('advice.ofUnknownSize');
  },
  dry: 'dry',
  get 'not-squeezed'() {
    return say('advice.withoutRecentSqueezeTest');
  },
} as const;
const FIRST_PUT_RIGHT = {
  get small() {
    return say('advice.addOrJoinWithAnother');
  },
  get 'size-unknown'() {
    return say('advice.measureIt');
  },
  get dry() {
    return say('advice.waterIt2');
  },
  get 'not-squeezed'() {
    return say('advice.doASqueezeTest');
  },
} as const;

/** Whether staying cool shows that a heap has worked through, and what would show it. */
function reheatText(t: ReheatTest, { timeZone, now }: Locale): string {
  switch (t.code) {
    case 'SHOWS_NOTHING':
      return say('advice.thatStaysCoolShowsNothing', {
        why: listText(t.why.map((w) => NO_TEST[w])),
        why2: listText(t.why.map((w) => FIRST_PUT_RIGHT[w])),
      });
    case 'NOT_TURNED':
      return say('advice.turnOnceMoreTakeTemperatures');
    case 'READ_ON':
      return say('advice.turnedTakeTemperaturesUntilIf', {
        turnedAt: soonText(timeZone, t.turnedAt, now),
        until: soonText(timeZone, t.until, now),
      });
    case 'STAYED_COOL':
      return say('advice.moistBigEnoughTurnedDid', {
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
        ? say('advice.noRuleToMeet')
        : say('advice.noRuleMet')
      : c.met.length < c.asked
        ? say('advice.meetsOfRules', { met: c.met.length, asked: c.asked })
        : say('advice.met', {
            met: listText(c.met.map((m) => `${m.title}, ${dayText(timeZone, m.at)}`)),
          });
  const r = c.lastRead;
  const over =
    r?.airC == null
      ? say('advice.airTemperatureNotLogged2')
      : say('advice.overOtherAir', {
          coreC: Math.round(Math.abs(r.coreC - r.airC) * (unit === 'F' ? 1.8 : 1)),
          unit,
          coreC2: r.coreC >= r.airC ? 'over' : 'other',
        });
  const read =
    r === null
      ? say('advice.itsTemperatureWasNeverTaken')
      : say('advice.insideAtLastReading', {
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
        ? say('advice.itHasNoRuleMeet')
        : c.met.length === 0
          ? say('advice.itHasNotMetAny')
          : say('advice.itMeetsRules', { met: c.met.length, asked: c.asked });
    case 'warm':
      return r!.airC === null
        ? say('advice.itWasStillWarmInside', { coreC: tempText(r!.coreC, unit) })
        : say('advice.itWasStillWarmInside2', {
            coreC: tempText(r!.coreC, unit),
            airC: tempText(r!.airC, unit),
          });
    case 'unread':
      return r === null
        ? say('advice.itsTemperatureWasNeverTaken2')
        : say('advice.noTemperatureInLastSeven');
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
      : say('advice.aboveOtherAir', {
          coreC: Math.round(Math.abs(c.coreC - c.airC) * (unit === 'F' ? 1.8 : 1)),
          unit,
          coreC2: c.coreC >= c.airC ? 'above' : 'other',
        });
  const is = `${tempText(c.coreC, unit)}${air}`;
  switch (c.code) {
    case 'TOO_YOUNG':
      return say('advice.tooEarlyToTell', { is });
    case 'ON_COURSE':
      return say('advice.onCourseExpectedAtOn', { is, method, band, day });
    case 'HOTTER':
      return say('advice.hotterThanExpectedThisMethod', { is, band, day });
    case 'COOLER':
      return say('advice.coolerThanExpectedThisMethod', { is, band, day });
    case 'JUST_TURNED':
      return say('advice.justAfterTurningExpectedOn', { is, band, day });
    case 'NEAR_END':
      return say('advice.nearItsEndOn', {
        is,
        day,
        reheat: reheat ? reheatText(reheat, locale) : '',
      }).trim();
    case 'AT_AIR':
      return say('advice.asCoolAsAirOn', {
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
      ? say('advice.started', { heating: STAGE_WORDS.heating, since })
      : say('advice.noTemperaturesYetStarted', { since });
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
