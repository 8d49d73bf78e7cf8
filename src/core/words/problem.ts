import { say } from '../../messages/say';
import { upperFirst } from '../quantity/format';
/** Something that a file, a form or a call got wrong, as data; the path names the input. */
export type Problem = {
  readonly path: string;
  readonly message: string;
  /** The line of a text file that it stands in; the message names it. */ readonly line?: number;
};

export const FILE_PATH = '(file)';

/** `readings[3].value` from `['readings', 3, 'value']`. */
export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  ) || FILE_PATH;

/** One line for people: never more than one, whatever the input held. */
export const problemLine = ({ path, message }: Problem): string =>
  `${path}: ${message}`.replace(/[\r\n\u2028\u2029]+/g, ' ');

/** The sentences of what forms get wrong; pages load them, so that what only files or the door report stands elsewhere. */
export const PROBLEM = {
  get noTime() {
    return say('terms.mustTimeSuchAs2026');
  },
  get noZone() {
    return say('terms.mustIanaTimeZoneSuch');
  },
  get graceTooLong() {
    return say('terms.mustNotLongerThanMaxgaphours');
  },
  floorOut: (c: number) => say('terms.aLimitCOutside20', { c, least: 20, most: 90 }),
  ceilingLow: (ceiling: number, floor: number) =>
    say('terms.theHighestAllowedCMust', { ceiling, floor }),
  get innerLonger() {
    return say('terms.theHotterTimeMustNot');
  },
  get meanLow() {
    return say('terms.theMeanBelowLimitSo');
  },
  get siteRuleId() {
    return say('terms.theIdMustStartWith');
  },
  get ruleTitle() {
    return say('terms.giveRuleTitleAtLeast');
  },
  get rowBackwards() {
    return say('terms.theEndStretchRowMust');
  },
  get instrumentName() {
    return say('terms.giveThermometerNameWrittenOn');
  },
  get scaleBackwards() {
    return say('terms.theTopScaleMustAbove');
  },
  get rangeBackwards() {
    return say('terms.theUpperEndRangeMust');
  },
  get lotCode() {
    return say('lots.lotNeedsCode');
  },
  get sameLot() {
    return say('lots.sameLot');
  },
  get mesh() {
    return say('lots.meshRange');
  },
  get wholeCount() {
    return say('terms.wholeCount');
  },
  get limitsOrder() {
    return say('terms.limitsOrder');
  },
  get templateId() {
    return say('terms.smallLettersFiguresHyphensOnly');
  },
  get templateName() {
    return say('terms.giveMethodNameAtLeast');
  },
  get moistureOrder() {
    return say('terms.theMoistureGoalMustBetween');
  },
  get expectBand() {
    return say('terms.theUpperEndExpectedTemperature');
  },
  get expectOrder() {
    return say('terms.theDaysExpectedTemperatureMust');
  },
  get dayBackwards() {
    return say('terms.theWorkingDayMustEnd');
  },
  get plainId() {
    return say('terms.smallLettersFiguresHyphensOnly2');
  },
  get rangeOrder() {
    return say('terms.theUsualValueMustBetween');
  },
  get nitrogen() {
    return say('terms.nitrogenShareDryWeightGive');
  },
  get cnRatio() {
    return say('terms.cNMustNumberBetween');
  },
  get moisturePct() {
    return say('terms.moistureShareWetWeightGive');
  },
  get density() {
    return say('terms.aBulkDensityBetween5', { least: 5, most: 3000 });
  },
  get materialName() {
    return say('terms.giveMaterialNameAtLeast');
  },
  get measureName() {
    return say('terms.giveMeasureNameCrewUses');
  },
  get litres() {
    return say('terms.litersMustNumber0Or', { most: 60_000 });
  },
  get amount() {
    return say('terms.typeHowMuchAsNumber');
  },
  get amountMany() {
    return say('terms.moreThan10000Them');
  },
  get litresMost() {
    return say('terms.moreThan500MIn', { most: 500 });
  },
  get kgMost() {
    return say('terms.moreThan100TIn', { most: 100_000, truck: 25_000 });
  },
  get reason() {
    return say('terms.giveReasonAtLeastThree');
  },
  get acceptWhat() {
    return say('terms.nameEitherMaterialOrWhat');
  },
  get recipeName() {
    return say('terms.giveRecipeNameAtLeast');
  },
  get nothingIn() {
    return say('terms.nothingWasAddedYetName');
  },
  get slotName() {
    return say('terms.giveSpotNameWrittenOn');
  },
  get metres() {
    return say('terms.typeMetersAsNumberAbove');
  },
} as const;

/** A problem where it stands alone: `Type it again.` */
export const asSentence = (message: string): string =>
  `${upperFirst(message)}${/[.!?]$/.test(message) ? '' : '.'}`;
