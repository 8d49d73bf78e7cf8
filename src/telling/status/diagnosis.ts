import { calendarDays, zoneOf } from '@/core/quantity/calendar';
import { MS, type Instant } from '@/core/quantity/instant';
import type { Cause, Sign, Symptom, Trial } from '@/core/advice/diagnose';
import type { Fix } from '@/core/log/entry';
import { soonText, tempText, volumeText } from '@/core/quantity/format';
import { CAUTION } from '@/core/words/caution';
import { SQUEEZE_WORDS, type Squeeze } from '@/core/words/feel';
import type { Locale } from '@/core/words/note';
import { say } from '@/messages/say';

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

export const FIX_CAUTION: Partial<Record<Fix, string>> = {
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

const ageSignText = (
  { days, activeDays }: Extract<Sign, { code: 'AGE' }>,
  timeZone: string,
  now: Instant,
): string =>
  say('advice.dayOfAbout', {
    days: calendarDays(zoneOf(timeZone), now - days * MS.day, now),
    activeDays,
  });
const squeezeText = (squeeze: Squeeze, at: string): string =>
  say('advice.squeezeTest', { at, toLowerCase: SQUEEZE_WORDS[squeeze].word.toLowerCase() });

/** What a diagnosis rests on, in a clause. */
export function signText(s: Sign, { timeZone, now, unit }: Locale): string {
  const at = (t: number): string => soonText(timeZone, t, now);
  switch (s.code) {
    case 'SIZE':
      return say('advice.now', { m3: volumeText(s.m3) });
    case 'SIZE_UNKNOWN':
      return say('advice.sizeNotKnownMeasure');
    case 'SQUEEZE':
      return squeezeText(s.squeeze, at(s.at));
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
      return ageSignText(s, timeZone, now);
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
