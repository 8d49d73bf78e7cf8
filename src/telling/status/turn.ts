import type { Instant } from '@/core/quantity/instant';
import type { TurnCount } from '@/core/snapshot/batch-snapshot';
import type { TurningStatus } from '@/core/status/batch-status';
import type { TurnStrategy, TurnAdvice, TurnReason, StrategyOpinion } from '@/core/advice/turn';
import { localParts } from '@/core/quantity/calendar';
import {
  ageText,
  dayText,
  durationText,
  missingText,
  soonText,
  tempText,
} from '@/core/quantity/format';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';
import { dayWord, gradientText } from './parts';

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
        how: r.isPeak ? 'peak' : 'other',
        at: at(r.at),
        highestC: temp(r.highestC),
        nowC: temp(r.nowC),
      });
    case 'FALLING':
      return say('advice.fallingDayOverLastCheck', {
        perDay: gradientText(r.perDay, unit),
        rounds: r.rounds,
      });
    case 'STEADY':
      return r.perDay > 0.3
        ? say('advice.stillRisingDayOverLast', {
            perDay: gradientText(r.perDay, unit),
            rounds: r.rounds,
          })
        : r.perDay < -0.3
          ? say('advice.fallingOnlyDayOverLast', {
              perDay: gradientText(r.perDay, unit),
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
        perDay: gradientText(r.perDay, unit),
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

/** Whether a turning counts for the rule that is worked on, and why not. */
const COUNT_WORDS: Readonly<Record<TurnCount['count'], string>> = {
  get counts() {
    return say('advice.counts');
  },
  get NO_RULE() {
    return say('batch.noRuleNeedsTurnings');
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
};

/** Whether the turning of a moment counts. */
export const countText = ({ each }: Pick<TurningStatus, 'each'>, at: Instant): string =>
  COUNT_WORDS[each.find((t) => t.at === at)?.count ?? 'EARLIER'];
