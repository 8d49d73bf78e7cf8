import { say } from '../../messages/say';
import { upperFirst, volumeText } from '../quantity/format';
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

/** The sentences of problems that more than one door reports. */
export const PROBLEM = {
  notJson: (why: string) => say('terms.notAJsonTextExportTheBatch', { why }),
  get notUtf8() {
    return say('terms.notUtf8TextSaveItAs');
  },
  unsoundText: (fault: 'nul' | 'half') =>
    fault === 'nul'
      ? say('terms.holdsAZeroByteWhichCannotBe')
      : say('terms.holdsHalfOfACharacterABroken'),
  get neverWritten() {
    return say('terms.theDatabaseCannotStoreSomethingInThis');
  },
  get noTime() {
    return say('terms.mustBeATimeSuchAs2026');
  },
  get noZone() {
    return say('terms.mustBeAnIanaTimeZoneSuch');
  },
  twice: (id: string) => say('terms.theIdStandsHereASecondTime', { id }),
  unlisted: (what: string, id: string) => say('terms.noWithTheIdIsListed', { what, id }),
  get graceTooLong() {
    return say('terms.mustNotBeLongerThanMaxgaphours');
  },
  floorOut: (c: number) => say('terms.aFloorOfCLiesOutside20', { c }),
  ceilingLow: (ceiling: number, floor: number) =>
    say('terms.theMostAllowedCMustLieAbove', { ceiling, floor }),
  get innerLonger() {
    return say('terms.theHotterTimeMustNotBeLonger');
  },
  get meanLow() {
    return say('terms.theMeanAskedForLiesBelowThe');
  },
  get siteRuleId() {
    return say('terms.theIdMustBeSiteWithSmall');
  },
  get ruleTitle() {
    return say('terms.giveTheRuleATitleOfThree');
  },
  libraryId: (id: string) => say('terms.isARuleOfTheLibraryGive', { id }),
  get noHash() {
    return say('terms.mustBeASha256HashOf');
  },
  changedEntry: (kind: string, at: string) => say('terms.thisEntryOfDoesNotFitIts', { kind, at }),
  brokenChain: (kind: string, at: string) =>
    say('terms.theChainIsBrokenBeforeThisEntry', { kind, at }),
  get outOfOrder() {
    return say('terms.theEntriesAreNotInTheOrder');
  },
  get noOpening() {
    return say('terms.theEntriesDoNotTellTheBatch');
  },
  get notAsLogged() {
    return say('terms.theFileSaysSomethingElseHereThan');
  },
  newerLibrary: (theirs: number, ours: number) =>
    say('terms.keptUnderEditionOfTheRuleLibrary', { theirs, ours }),
  get rowBackwards() {
    return say('terms.theEndOfAStretchOfRow');
  },
  get instrumentName() {
    return say('terms.giveTheThermometerTheNameThatStands');
  },
  get scaleBackwards() {
    return say('terms.theTopOfTheScaleMustLie');
  },
  get rangeBackwards() {
    return say('terms.theUpperEndOfARangeMust');
  },
  idTaken: (what: string) => say('terms.thisIdIsInTheLogAlready', { what }),
  noPlace: (name: string) => say('terms.thisHeapHasNoPlaceChooseThe', { name }),
  movedPlace: (name: string) => say('terms.thePlaceHasReadingsAPlaceAt', { name }),
  get noPhoto() {
    return say('terms.itsPictureHasNotComeUpYet');
  },
  limitsOrder: 'warn, act and danger must each lie above the one before',
  get templateId() {
    return say('terms.smallLettersFiguresAndHyphensOnlySuch');
  },
  get templateName() {
    return say('terms.giveTheMethodANameOfThree');
  },
  get moistureOrder() {
    return say('terms.theMoistureAimedAtMustLieBetween');
  },
  get expectBand() {
    return say('terms.theUpperEndOfTheHeatExpected');
  },
  get expectOrder() {
    return say('terms.theDaysOfTheHeatExpectedMust');
  },
  get dayBackwards() {
    return say('terms.theWorkingDayMustEndAfterIt');
  },
  get sameHeap() {
    return say('terms.aHeapCannotBeJoinedStackedOr');
  },
  splitTooMuch: (m3: number) =>
    say('terms.thePartsMustLeaveSomethingBehindThis', { m3: volumeText(m3, 'm3') }),
  get plainId() {
    return say('terms.smallLettersFiguresAndHyphensOnlySuch2');
  },
  get rangeOrder() {
    return say('terms.theUsualValueMustLieBetweenThe');
  },
  get nitrogen() {
    return say('terms.nitrogenIsAShareOfTheDry');
  },
  get cnRatio() {
    return say('terms.cNMustBeANumberBetween');
  },
  get moisturePct() {
    return say('terms.moistureIsAShareOfTheWet');
  },
  get density() {
    return say('terms.aBulkDensityLiesBetween5And');
  },
  get materialName() {
    return say('terms.giveTheMaterialANameOfTwo');
  },
  get measureName() {
    return say('terms.giveTheMeasureTheNameThatThe');
  },
  get litres() {
    return say('terms.litresMustBeANumberThatIs');
  },
  get amount() {
    return say('terms.typeHowMuchAsANumberAbove');
  },
  get amountMany() {
    return say('terms.moreThan10000OfThemWas');
  },
  get litresMost() {
    return say('terms.moreThan500MInOneLoad');
  },
  get kgMost() {
    return say('terms.moreThan100TInOneLoad');
  },
  get reason() {
    return say('terms.giveAReasonOfThreeLettersAt');
  },
  get acceptWhat() {
    return say('terms.nameEitherAMaterialOrWhatIt');
  },
  get recipeName() {
    return say('terms.giveTheRecipeANameOfTwo');
  },
  get nothingIn() {
    return say('terms.nothingWasPutInYetNameWhat');
  },
  get slotName() {
    return say('terms.giveThePlaceTheNameThatStands');
  },
  get metres() {
    return say('terms.typeMetresAsANumberAbove0');
  },
  slotOut: (name: string) => say('terms.liesBeyondTheEdgeOfTheMap', { name }),
  noMaterial: (name: string) => say('terms.thereIsNoMaterialInTheLibrary', { name }),
  get noLoad() {
    return say('terms.thatLoadIsNotInTheStore');
  },
  get closedAlready() {
    return say('terms.thisHeapIsClosedWhatGoesIn');
  },
  chargedLater: (when: string) => say('terms.somethingWentInAfterThatAtThe', { when }),
  changedMeanwhile: (what: string, who: string, when: string) =>
    say('terms.wasChangedByAtWhileYouWorked', { what, who, when }),
  unknownRule: (id: string) => say('terms.noRuleInTheLibraryOrIn', { id }),
} as const;

/** A problem where it stands alone: `Type it again.` */
export const asSentence = (message: string): string =>
  `${upperFirst(message)}${/[.!?]$/.test(message) ? '' : '.'}`;
