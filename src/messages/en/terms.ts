export default {
  somethingRawWentIn: 'Something raw was added',
  uncleanWaterWentIn: 'Unclean water was added',
  itWasJoinedWithAHeapThat: 'It was joined with a batch that has not met its rule',
  somethingWithLiveSeedsWentIn: 'Something with live weed seeds was added',
  waterWithLiveSeedsWentIn: 'Water with live weed seeds was added',
  itWasJoinedWithAHeapWhose: 'It was joined with a batch whose weed seeds may be alive',
  ofThisRunNoLongerCountToward: ' {ms} of it no longer count toward days in a row.',
  onSoTheClockStartsAgainFrom: '{seedwhat} on {at}, so the clock starts over from there.',
  itWasProvenOnWhatWentIn:
    'It met its rule on {provenAt}. What was added on {at} was not heated with the rest, so that no longer covers the whole batch.',
  theRoundThatEndedBeganBeforeThe:
    'The check that ended {at} began before the clock started over, so all of it is left out.',
  theRoundThatEndedTookMoreThan:
    'The check that ended {at} took more than 6 hours, so its later readings count as a separate check.',
  onlyOnePointOtherPointsReadOn:
    'Only {points, plural, one {# point} other {# points}} read on {at}, {minPoints, number} are needed: this check does not count.',
  theHeapWasLoggedAsDryWhen:
    'The batch was logged as dry when it was read on {at}. That heat does not count for weed seeds until a squeeze test shows that it is moist again.',
  theRoundOfCameToUnderWith:
    'The check of {at} came to {valueC}, below {floorC}, with no turning to explain it.{lostMs}',
  aPointReadOnOverTheRules: "A point read {peakC} on {at}, above the rule''s {ceilingC}.{lostMs}",
  theRoundOfCameToAfterA:
    'The check of {at} came to {valueC} after a turning: paused, not lost. {until, select, itHad {It had} other {It has}} until {until2} to reach {floorC}.',
  itWasHotAgainByButLater: 'It was hot again by {at}, but later than a turning allows.{lostMs}',
  noRoundForBeforeAtMostCan:
    'No temperatures for {gapMs} before {at}; at most {maxGapHours} can count.{lostMs}',
  noHotRoundSinceLongerThanCan: 'No hot check since {since}: longer than can count.{lostMs}',
  theTurningOfWasNotAFull: 'The turning of {at} was a partial turn and does not count.',
  noHotRoundBetweenTheTurningOf:
    'It was not hot between the turning of {at} and the one before, so it does not count.',
  theTurningOfCameBeforeTheHeap:
    'The turning of {at} came before the batch had been hot long enough since the turning before, so it does not count.',
  theTurningOfDoesNotCountYet:
    'The turning of {at} does not count yet. It will when the batch gets hot again in the same stretch.',
  theTurningOfLiesOutsideARun: 'The turning of {at} falls outside the hot time and does not count.',
  thermometerHadNoCheckInTheBefore:
    'Thermometer {probe} was not checked in the {days} before {count, plural, one {# reading} other {# readings}}. They count. Check it in ice water.',
  theChecksOfThermometerOnDoNot:
    'The checks of thermometer {probe} on {at} do not agree, so only their mean offset is used. Check it again.',
  oneReadingOtherReadingsOfTheRound:
    '{count, plural, one {# reading} other {# readings}} of the check of {at} {count, plural, one {was} other {were}} entered {hours} later.',
  atOnWasAndTakesNoPart: '{valueC} at {point} on {at} was {flag} and does not count.',
  withTheRejectedAtOfInThe:
    'If the rejected {valueC} at {point} of {at} counted, the verdict would be worse.',
  thisRuleIsNotWrittenForA: 'This rule is not written for a batch with the method ‘{method}’.',
  whetherTheHeapWasMoistWasNot:
    'Moisture was not logged. Dry weed seeds survive heat that kills moist ones.',
  notAJsonTextExportTheBatch:
    'not JSON text ({why}). Export the batch file again and import the whole file.',
  notUtf8TextSaveItAs: 'not UTF-8 text. Save it as UTF-8 and try again.',
  holdsAZeroByteWhichCannotBe:
    'contains a zero byte, which cannot be stored. Remove it and send again',
  holdsHalfOfACharacterABroken:
    'contains half of a character (a broken emoji, perhaps). Remove it and send again',
  theDatabaseCannotStoreSomethingInThis:
    'The database cannot store something in this entry, so sending it again will not help. Log it again in other words, or delete it.',
  mustBeATimeSuchAs2026: 'must be a time such as 2026-05-01T07:30:00Z or 2026-05-01T07:30+02:00',
  mustBeAnIanaTimeZoneSuch: 'must be an IANA time zone such as Europe/Berlin',
  theIdStandsHereASecondTime: "the id ''{id}'' appears twice; ids must be unique",
  noWithTheIdIsListed: "no {what} with the id ''{id}'' is listed",
  mustNotBeLongerThanMaxgaphours: 'must not be longer than maxGapHours',
  aFloorOfCLiesOutside20: 'a limit of {c, number} °C is outside 20 to 90 °C. Was it typed in °F?',
  theMostAllowedCMustLieAbove:
    'the highest allowed ({ceiling, number} °C) must be above the lowest ({floor, number} °C)',
  theHotterTimeMustNotBeLonger: 'the hotter time must not be longer than the time around it',
  theMeanAskedForLiesBelowThe: 'the mean is below the limit, so it asks for nothing more',
  theIdMustBeSiteWithSmall:
    'the id must start with site-, then small letters, figures and hyphens, such as site-hen-litter',
  giveTheRuleATitleOfThree: 'give the rule a title of at least three letters',
  isARuleOfTheLibraryGive:
    "''{id}'' is a rule of the library; give your own rule an id that starts with site-",
  mustBeASha256HashOf: 'must be a SHA-256 hash of 64 small hexadecimal digits',
  thisEntryOfDoesNotFitIts:
    'this entry ({kind} of {at}) does not match its hash: it was changed after it was logged. Ask the site that has the log for the file again',
  theChainIsBrokenBeforeThisEntry:
    'the chain is broken before this entry ({kind} of {at}): something was removed or inserted. Ask the site that has the log for the file again',
  theEntriesAreNotInTheOrder: 'the entries are not in the order of the log',
  theEntriesDoNotTellTheBatch: 'the entries do not describe the batch in the file',
  theFileSaysSomethingElseHereThan:
    'the file says something else here than its log entries. Ask the site that has the log for the file again',
  keptUnderEditionOfTheRuleLibrary:
    'saved under edition {theirs, number} of the rule library; this program knows edition {ours, number}. Update the program, so that no rule is judged by an older text',
  theEndOfAStretchOfRow: 'the end of a stretch of row must be after its start',
  giveTheThermometerTheNameThatStands: 'give the thermometer the name written on it, such as T1',
  theTopOfTheScaleMustLie: 'the top of the scale must be above its bottom',
  theUpperEndOfARangeMust: 'the upper end of a range must not be below the lower',
  thisIdIsInTheLogAlready:
    'this id is already in the log with other content ({what}). The log was not changed. Send this one as a new entry, or delete it',
  thisHeapHasNoPlaceChooseThe:
    'this batch has no point ‘{name}’. Choose the point where it was read',
  thePlaceHasReadingsAPlaceAt:
    'the point ‘{name}’ has readings; a point at another depth or zone is a new point with its own id',
  itsPictureHasNotComeUpYet: 'its photo has not arrived yet; it is sent again with the entry',
  smallLettersFiguresAndHyphensOnlySuch:
    'small letters, figures and hyphens only, such as our-fast-heap',
  giveTheMethodANameOfThree: 'give the method a name of at least three letters',
  theMoistureAimedAtMustLieBetween: 'the moisture goal must be between the lowest and the highest',
  theUpperEndOfTheHeatExpected: 'the upper end of the expected temperature must be above the lower',
  theDaysOfTheHeatExpectedMust: 'the days of the expected temperature must increase',
  theWorkingDayMustEndAfterIt: 'the working day must end after it begins',
  aHeapCannotBeJoinedStackedOr:
    'a batch cannot be joined with, stacked on or sent to itself. Choose the other batch',
  thePartsMustLeaveSomethingBehindThis:
    'the parts must leave something behind: this batch has about {m3}',
  smallLettersFiguresAndHyphensOnlySuch2:
    'small letters, figures and hyphens only, such as hop-bines',
  theUsualValueMustLieBetweenThe: 'the usual value must be between the lowest and the highest',
  nitrogenIsAShareOfTheDry:
    'nitrogen is a share of the dry weight: give a percentage between 0 and 50',
  cNMustBeANumberBetween: 'C:N must be a number between 0 and 5000',
  moistureIsAShareOfTheWet:
    'moisture is a share of the wet weight: give a percentage between 0 and 99.5',
  aBulkDensityLiesBetween5And:
    'a bulk density is between 5 and 3000 kg/m³. Was it typed in other units?',
  giveTheMaterialANameOfTwo: 'give the material a name of at least two letters',
  giveTheMeasureTheNameThatThe: 'give the measure the name that the crew uses, such as wheelbarrow',
  litresMustBeANumberThatIs:
    'liters must be a number of 0 or more, and no more than a truck holds (60,000 L for a measure)',
  typeHowMuchAsANumberAbove: 'type how much as a number above 0, or say that it is not known',
  moreThan10000OfThemWas: 'more than 10,000 of them: is there a digit too many?',
  moreThan500MInOneLoad:
    'more than 500 m³ in one load is more than a site receives. Is the measure right?',
  moreThan100TInOneLoad:
    'more than 100 t in one load: a truck carries about 25 t. Is the unit right?',
  giveAReasonOfThreeLettersAt:
    'give a reason of at least three letters: whoever receives loads will read it out',
  nameEitherAMaterialOrWhatIt: 'name either a material or what it may carry, not both',
  giveTheRecipeANameOfTwo: 'give the recipe a name of at least two letters',
  nothingWasPutInYetNameWhat:
    'nothing was added yet: name what went in, or the water, base or cover layer',
  giveThePlaceTheNameThatStands: 'give the spot the name written on it, such as 7',
  typeMetresAsANumberAbove0: 'type meters as a number above 0',
  liesBeyondTheEdgeOfTheMap:
    '{name} is beyond the edge of the map. Move it in, or make the map larger',
  thereIsNoMaterialInTheLibrary: 'there is no material ‘{name}’ in the library of this site',
  thatLoadIsNotInTheStore: 'that load is not in stock',
  thisHeapIsClosedWhatGoesIn:
    'adding is finished for this batch. Log what goes in now as added: it may start its clock over',
  somethingWentInAfterThatAtThe:
    'something was added after that, at {when}. The clock starts with the last raw material: finish adding then, or later',
  wasChangedByAtWhileYouWorked:
    '{what} was changed by {who} at {when} while you worked on it. Nothing of yours is lost: save it as a copy, or as the newest version over theirs, which stays in the log',
  noRuleInTheLibraryOrIn: "no rule ''{id}'' in the library or in the file",
  crumbles: 'Crumbles',
  tooDry: 'too dry',
  crumblesTooDry: 'crumbles: too dry',
  holds: 'Holds, no drops',
  noDropALittleDry: 'a little dry',
  holdsNoDropALittleDry: 'holds, no drops: a little dry',
  aDropOrTwo: 'A drop or two',
  aDropOrTwoRight: 'a drop or two: right',
  runsOut: 'Runs',
  tooWet: 'too wet',
  runsOutTooWet: 'runs: too wet',
  none: 'None',
  earthy: 'Earthy',
  sweet: 'Sweet',
  ammonia: 'Ammonia',
  sour: 'Sour',
  rotten: 'Rotten',
  burnt: 'Burnt',
  heap: 'Pile',
  cone: 'Cone',
  rowRounded: 'Windrow, rounded',
  rowSharp: 'Windrow, peaked',
  rowFlatTop: 'Windrow, flat top',
  binFilledLevel: 'Bin, filled level',
  roundBin: 'Round bin',
  bayOpenInFront: 'Bay, open in front',
  lyingTub: 'Drum on its side',
  amountNotKnown: 'amount not known ({words})',
  amountNotKnown2: 'amount not known',
  about: 'about ',
  noTime: 'no time',
  justTurned: 'just turned',
  couldNotBeReached: 'could not be reached',
  tooHotToGoNear: 'too hot to go near',
  thermometerFailed: 'thermometer failed',
  anotherReason: 'another reason',
  saidToBeMature: 'finished and mature',
  givenUp: 'given up',
  joinedToAnotherHeap: 'joined with another batch',
  thrownAway: 'thrown away',
  usedUnproven: 'used without meeting a rule',
  somethingAdded: 'something added',
  madeBigger: 'made bigger',
  leftToDry: 'left to dry',
  somethingRichAdded: 'something rich in nitrogen added',
  brownsAdded: 'browns added',
  coarseBrownsMixedIn: 'coarse browns mixed in',
  foodBuried: 'food buried',
  thermometerChecked: 'thermometer checked',
  leftAlone: 'left alone',
  weather: 'Weather',
  noTime2: 'No time',
  nobodyFree: 'Nobody free',
  noMachine: 'No machine',
  noWater: 'No water',
  itLooksFine: 'It looks fine',
  somethingElse: 'Something else',
  rowM: 'row {row}, {fromM, number}–{toM, number} m',
  bay: 'bay {bay}',
  row: 'row {row}',
  leachate: 'Leachate',
  rawItStartsAHotHeapsClock: 'raw: starts a hot batch’s clock over',
  rinseWater: 'Rinse water',
  rawAsWhatItRinsed: 'raw, like what it rinsed',
  overs: 'Overs',
  whatTheScreenKeptBack: 'what the screen held back',
  chargedChar: 'Charged biochar',
  cleanUnlessItWasChargedInSomething: 'clean, unless it was charged in something raw',
  takenAsRaw: 'counts as raw',
  atLeastStillRising: 'at least {low}, still rising',
  atLeast: 'at least {low}',
  about2: 'about {low}',
  upTo: 'up to {high}',
  atLeastStillRising2: 'at least, still rising',
  atLeast2: 'at least',
  theColdestPoint: 'the coldest point',
  theMeanOfThePoints: 'the mean of the points',
  theMedianOfThePoints: 'the median of the points',
  lessForTheThermometer: ', less {guardBandC, number} °{unit} for the thermometer',
  thoseWithoutAZone: 'those without a zone',
  places: '; points: {zones}',
  countedInCalendarDaysAtMostBlank:
    'counted in calendar days, at most {maxBlankDays, number} in a row without readings',
  countedInHours: 'counted in hours',
  aGapOfMoreThanHIs: ' A gap of more than {longgaphours, number} h is long: that is weak evidence.',
  judgedOnPointsARoundAtLeast:
    'Judged on {value}{guard}, at least {minPoints, number} points per check, gaps up to {maxGapHours, number} h, {turnGraceHours, number} h to reheat after a full turn, {days}{zones}.{long}',
  steamAndAHotCoreBurnGloves:
    'Steam and a hot core burn: wear gloves, and turn your face away when you open it.',
  keepPeopleBackAndDoNotOpen:
    'Keep people back and do not open it without looking: air feeds a smoldering fire. If you see smoke or smell burning, call the fire service.',
  dryTurningThrowsUpDustAndSpores:
    'Turning dry compost throws up dust and spores: wet it or wear a mask, and keep people with weak lungs away.',
  aBurntSmellCanMeanASmoulder:
    'A burnt smell can mean a smoldering fire: do not open the pile, keep people back, and call the fire service if there is smoke.',
  splittingLetsAirIntoAVeryHot:
    'Splitting lets air into a very hot pile: have water running, look for smoke first, and work in small portions.',
  keepPeopleClearOfTheLoaderAnd:
    'Keep people clear of the loader, and let only a trained operator drive it. Stop it before anyone clears anything by hand.',
  forkingIsHeavySmallLoadsTwoPeople: 'Forking is heavy: small loads, two people, breaks.',
  ratsCarryDiseaseGlovesAndKeepWhat:
    'Rats carry disease: wear gloves, and keep what they touched away from food crops.',
  unprovenCompostMayCarryGermsAndLive:
    'Compost that has not met its rule may contain pathogens and live weed seeds: tell whoever takes it.',
  unprovenItCountsAsRawManureWhere:
    'It has met no rule, so it counts as raw manure where it goes: keep the intervals to harvest that your local authority sets, and keep it off crops that are eaten raw.',
  doNotStackOrBagItWarm:
    'Do not stack or bag it warm: it can heat up by itself and catch fire. Take its temperature the next day.',
  seedsRootsAndPlantDiseaseLiveThrough:
    'Seeds, roots and plant disease survive in a pile that does not get hot. Remove seed heads and roots first, or put it into a hot pile instead.',
  rawManureAndLeachateCarryGermsGloves:
    'Raw manure and leachate carry pathogens: wear gloves, and wash hands and tools before you touch a finished batch.',
  under001: 'under 0.01',
  over1000: 'over 1000',
  notKnown: 'not known',
  under1: 'under 1 %',
  allOfIt: 'all of it',
  over99: 'over 99 %',
  about3: 'about {percent, number} %',
  moreThanHalf: 'more than half',
  fewerThan1InAMillion: 'fewer than 1 in a million',
  about1In: 'about 1 in {share}',
  to: '{a} to {b}',
  thin: 'Weak',
  fair: 'Fair',
  good: 'Good',
  strong: 'Strong',
  oneRoundOtherRounds: '{count, plural, one {# temperature check} other {# temperature checks}}',
  oneRoundOtherRoundsAboutADay:
    '{count, plural, one {# temperature check} other {# temperature checks}}, about {perDay, number} a day',
  oneRoundOtherRoundsOneEvery:
    '{count, plural, one {# temperature check} other {# temperature checks}}, one every {perDay}',
  aRoundEachDay: 'Take temperatures every day.',
  onePlaceOtherPlacesRead: '{count, plural, one {# point} other {# points}} read',
  fivePlacesInEachRoundTheColdest: 'Five points at each check, the coldest corner among them.',
  howDeepTheHeapIsWasNot: 'the depth of the core was not given',
  giveTheDepthOfTheCoreSo:
    'Give the depth of the core, to show whether the thermometer reaches it.',
  depthsOfThePlacesWereNotGiven:
    'depths of the points were not given, the core is {coreM, number} m deep',
  giveEachPlaceItsDepth: 'Give each point its depth.',
  readDownToMOfM: 'read down to {deepestM, number} m of {coreM, number} m',
  aLongerThermometerOrReadFromAnother: 'Use a longer thermometer, or read from another side.',
  oneRoundOnlySoThereIsNo: 'only one check, so there is no time between checks',
  aSecondRoundWithinADay: 'A second check within a day.',
  longestTimeBetweenRounds: 'longest time between checks {hours}',
  neverMoreThanADayOrSo: 'Never more than a day or so between checks.',
  noReadingSaysWhichThermometerTookIt: 'no reading names its thermometer',
  nameTheThermometerInEachRoundAnd:
    'Name the thermometer at each check, and check it in ice water.',
  oneReadingOtherReadingsByAThermometer:
    '{unchecked, plural, one {# reading} other {# readings}} with a thermometer not checked lately',
  oneReadingOtherReadingsWithoutAThermometers:
    '{without, plural, one {# reading} other {# readings}} with no thermometer named',
  everyReadingByAThermometerWithA: 'every reading with a thermometer checked lately',
  checkTheThermometerInIceWaterAnd:
    'Check the thermometer in ice water, and name it at each check.',
  nothingEnteredLaterThanADay: 'nothing entered more than a day late',
  oneReadingOtherReadingsOfEnteredMore:
    '{count, plural, one {# reading} other {# readings}} of {total, number} entered more than a day later',
  typeTheValuesInWhileYouStand: 'Type the values in while you stand there.',
  theThermometerIsMLongAndThe:
    'The thermometer is {stemM, number} m long and the core is {coreDepthM, number} m deep: it does not reach the core. Use a longer one, or read from the nearest side.',
  theThermometerIsMLongOneOther:
    'The thermometer is {stemM, number} m long; {places} {places2, plural, one {is} other {are}} deeper.',
  noPlaceReadsTheCoreWhereIt:
    'No point reaches the core, where it is hottest: only what can be reached is known.',
  onePlaceOnlyAHotMiddleSays:
    'One point only. A hot middle says nothing about the base edge, and one spot says nothing about the whole pile.',
  noPlaceReadsTheToeWhereIt: 'No point at the base edge, where it is coldest.',
  onePlaceOtherPlacesAndARound:
    '{places, plural, one {# point} other {# points}}, and a check needs {minPoints, number}: no check would count.',
  itBordersOnKeepMFromThe:
    'It borders on {neighbours}: stay {keepM, number} m from the marker, or you read the neighbor’s heat too.',
  liesMFromItReadsTheNeighbours:
    '{place} is {distanceM, number} m from {neighbour}: it reads the neighbor’s heat too. Stay further from the marker.',
  stillBuilding: 'still being built',
  pausedAt: 'paused at {hours}',
  brokenNothingEarned: 'starts over, no time counted',
  nothingCountsYet: 'nothing counts yet',
  noRuleClaimed: 'no rule to meet',
  hasGoneOut: 'was released',
  isNotClosedYet: 'is still being built',
  read: 'read {at}',
  readDue: 'read {at}, due {due}',
  wasTurnedReadIt: 'was turned: read it {due}',
  thatReads: 'That reads {typed}',
  wrongUnitFaultyThermometerOrAnEmergency:
    '{says}. Wrong unit, faulty thermometer, or an emergency?',
  colderThanAnyHeapWrongUnitOr:
    '{says}, colder than any pile. Wrong unit, or a faulty thermometer?',
  itWasHereLastTimeIsThat: '{says}; it was {against} here last time. Is that right?',
  colderThanTheAirAtIsThe: '{says}, colder than the air at {against}. Is the probe in the pile?',
  fiveTimesDoesTheNeedleStillMove:
    '{typed, number} °{unit} five times. Does the needle still move?',
  theScaleOfThisThermometerEndsAt:
    '{says}; the scale of this thermometer ends at {against}. Is that right?',
  thisThermometerIsOutOfServiceDid: 'This thermometer is out of service. Did you use it anyway?',
  itIsWhatItSaid: 'It is what it showed',
  itWas: 'It was {typed, number} °{unit}',
  thermometerIsFaulty: 'Thermometer is faulty',
  itMayBeOnFire: 'It may be on fire',
  itMayBeBurningInside: 'It may be burning inside',
  keepPeopleBackUpwindAndMachinesAway: 'Keep people back, upwind, and machines away.',
  doNotOpenItAirFeedsA: 'Do not open it: air feeds a smoldering fire.',
  smokeAGlowOrASmellOf: 'Smoke, a glow, or a smell of burning: call the fire service now.',
  haveWaterReadyLookAtItAgain:
    'Have water ready. Look at it again from a distance within the hour.',
  whatYouMustReportAndKeepClear:
    'What you must report and keep clear: check with your local authority.',
  yard: 'Batches',
  round: 'Temperatures',
  bench: 'Recipes',
  plan: 'Plan',
  store: 'Materials',
  loadsMaterialsSuppliers: 'loads in stock, material library, suppliers',
  map: 'Map',
  baysAndRowsWhatStandsWhere: 'bays and windrows, what is where',
  records: 'Records',
  whatWasProven: 'which batches met which rule',
  instruments: 'Thermometers',
  thermometersAndChecks: 'thermometers, probes and their checks',
  openAHeap: 'Start a batch',
  newOrAlreadyUnderWay: 'new, or already under way',
  compare: 'Compare',
  heapsSideBySideByAge: 'batches side by side, by age',
  rules: 'Rules',
  whatMustBeProven: 'what a batch must meet',
  methods: 'Methods',
  whenHeapsAreTurned: 'when batches are turned',
  crew: 'Crew and hours',
  whoMachineLimitsChores: 'who works, machine, limits, regular tasks',
  fireCard: 'Fire plan',
  whomToCall: 'who to call',
  bringIn: 'Import',
  filesOfReadings: 'files of readings',
  flags: 'Labels',
  labelsToPrint: 'to print for batches',
  more: 'More',
  onThisDevice: 'Waiting to send',
  heapsKeptOnThisDevice: 'Batches saved on this device',
  yourSite: 'Your site',
  calendarForPhones: 'Calendar for phones',
  atTheGate: 'What we accept',
  materials: 'Material library',
  suppliers: 'Suppliers',
  takeInALoad: 'Log a load',
  gThenALetter: 'G, then a letter',
  mostFinishedFirstRawestLastSoThat:
    'Most finished first, rawest last, so that the thermometer carries nothing raw into a finished batch. Before you go back the other way, rinse it.',
  theThermometerWasFaultySaidAtEntry: 'The thermometer was faulty, as noted when it was entered.',
  right: 'right',
  watered: 'watered',
  turned: 'turned',
  covered: 'covered',
  uncovered: 'uncovered',
  split: 'split',
  none2: 'none',
  about4: 'about',
  proven: 'met',
} as const;
