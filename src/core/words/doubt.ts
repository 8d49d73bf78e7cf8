import { say } from '../../messages/say';
import { tempText } from '../quantity/format';
import { toCelsius, type TempUnit } from '../units/units';

type DoubtFacts = {
  readonly code:
    | 'OVER_90'
    | 'BELOW_SCALE'
    | 'JUMP'
    | 'BELOW_AIR'
    | 'SAME_VALUE'
    | 'OFF_SCALE'
    | 'OUT_OF_SERVICE';
  readonly valueC: number;
  readonly againstC: number | null;
};
type Answer = 'as-read' | 'other-unit' | 'missed-point' | 'faulty' | 'emergency';

const both = (value: number, unit: TempUnit): string =>
  `${value} °${unit} (${tempText(toCelsius(value, unit), unit === 'C' ? 'F' : 'C')})`;

/** What is asked about a typed value. */
export function doubtText(d: DoubtFacts, typed: number, unit: TempUnit): string {
  const says = say('terms.thatReads', { typed: both(typed, unit) });
  const against = (digits = 0): string => tempText(d.againstC!, unit, digits);
  switch (d.code) {
    case 'OVER_90':
      return say('terms.wrongUnitFaultyThermometerOr', { says });
    case 'BELOW_SCALE':
      return say('terms.colderThanAnyPileWrong', { says });
    case 'JUMP':
      return say('terms.itWasHereLastTime', { says, against: against(1) });
    case 'BELOW_AIR':
      return say('terms.colderThanAirAtProbe', { says, against: against(1) });
    case 'SAME_VALUE':
      return say('terms.fiveTimesDoesNeedleStill', { typed, unit });
    case 'OFF_SCALE':
      return say('terms.theScaleThisThermometerEnds', { says, against: against() });
    case 'OUT_OF_SERVICE':
      return say('terms.thisThermometerOutServiceDid');
  }
}

/** The answers as buttons. */
export function answerText(answer: Answer, typed: number, unit: TempUnit): string {
  switch (answer) {
    case 'as-read':
      return say('terms.itWhatShowed');
    case 'other-unit':
      return say('terms.itWas', { typed, unit: unit === 'C' ? 'F' : 'C' });
    case 'missed-point':
      return say('terms.itWas', { typed: typed / 10, unit });
    case 'faulty':
      return say('terms.thermometerIsFaulty');
    case 'emergency':
      return say('terms.itMayOnFire');
  }
}

/** The reason of a reading that was rejected as it was taken. */
export const faultyReasonText = () => say('terms.theThermometerWasFaultyAs');

/** What to do at a heap that may burn; local fire rules come first. */
export const FIRE_CARD = {
  get title() {
    return say('terms.itMayBurningInside');
  },
  get steps() {
    return [
      say('terms.keepPeopleBackUpwindMachines'),
      say('terms.doNotOpenAirFeeds'),
      say('terms.smokeGlowOrSmellBurning'),
      say('terms.haveWaterReadyLookAt'),
    ];
  },
  get law() {
    return say('terms.whatYouMustReportKeep');
  },
} as const;
