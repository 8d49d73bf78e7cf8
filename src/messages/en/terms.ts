export default {
  somethingRawWentIn: 'Something raw went in',
  uncleanWaterWentIn: 'Unclean water went in',
  itWasJoinedWithAHeapThat: 'It was joined with a heap that is not proven',
  somethingWithLiveSeedsWentIn: 'Something with live seeds went in',
  waterWithLiveSeedsWentIn: 'Water with live seeds went in',
  itWasJoinedWithAHeapWhose: 'It was joined with a heap whose seeds are not proven dead',
  ofThisRunNoLongerCountToward: ' {ms} of this run no longer count toward days in a row.',
  onSoTheClockStartsAgainFrom: '{seedwhat} on {at}, so the clock starts again from there.',
  itWasProvenOnWhatWentIn:
    'It was proven on {provenAt}. What went in on {at} was not heated with the rest, so that proof no longer covers the heap.',
  theRoundThatEndedBeganBeforeThe:
    'The round that ended {at} began before the clock started again and is left out whole.',
  theRoundThatEndedTookMoreThan:
    'The round that ended {at} took more than 6 hours, so its later readings count as a round of their own.',
  onlyOnePointOtherPointsReadOn:
    'Only {points, plural, one {# point} other {# points}} read on {at}, {minPoints, number} are needed: the round is set aside and earns nothing.',
  theHeapWasLoggedAsDryWhen:
    'The heap was logged as dry when it was read on {at}: that heat does not count for seeds until a squeeze test says that it is moist again.',
  theRoundOfCameToUnderWith:
    'The round of {at} came to {valueC}, under {floorC}, with no turning to excuse it.{lostMs}',
  aPointReadOnOverTheRules: "A point read {peakC} on {at}, over the rule''s {ceilingC}.{lostMs}",
  theRoundOfCameToAfterA:
    'The round of {at} came to {valueC} after a turning: paused, not broken. {until, select, itHad {It had} other {It has}} until {until2} to reach {floorC}.',
  itWasHotAgainByButLater: 'It was hot again by {at}, but later than the turning excuses.{lostMs}',
  noRoundForBeforeAtMostCan:
    'No round for {gapMs} before {at}; at most {maxGapHours} can be credited.{lostMs}',
  noHotRoundSinceLongerThanCan: 'No hot round since {since}: longer than can be credited.{lostMs}',
  theTurningOfWasNotAFull: 'The turning of {at} was not a full one and does not count.',
  noHotRoundBetweenTheTurningOf:
    'No hot round between the turning of {at} and the one before, so it does not count.',
  theTurningOfCameBeforeTheHeap:
    'The turning of {at} came before the heap had held its heat long enough since the turning before, so it completes no stage.',
  theTurningOfDoesNotCountYet:
    'The turning of {at} does not count yet. It will when a hot round follows in the same run.',
  theTurningOfLiesOutsideARun:
    'The turning of {at} lies outside a run of hot rounds and does not count.',
  thermometerHadNoCheckInTheBefore:
    'Thermometer {probe} had no check in the {days} before {count, plural, one {# reading} other {# readings}}. They count; check it in ice water.',
  theChecksOfThermometerOnDoNot:
    'The checks of thermometer {probe} on {at} do not fit together; only their mean offset is used. Check it again.',
  oneReadingOtherReadingsOfTheRound:
    '{count, plural, one {# reading} other {# readings}} of the round of {at} {count, plural, one {was} other {were}} entered {hours} later.',
  atOnWasAndTakesNoPart: '{valueC} at {point} on {at} was {flag} and takes no part.',
  withTheRejectedAtOfInThe:
    'With the rejected {valueC} at {point} of {at} in, the verdict would be worse.',
  thisRuleIsNotWrittenForA: 'This rule is not written for a heap kept as ‘{method}’.',
  whetherTheHeapWasMoistWasNot:
    'Whether the heap was moist was not recorded. Dry seeds survive heat that kills moist ones.',
  notAJsonTextExportTheBatch:
    'not a JSON text ({why}). Export the batch file again and bring in the whole file.',
  notUtf8TextSaveItAs: 'not UTF-8 text. Save it as UTF-8 and try again.',
  holdsAZeroByteWhichCannotBe:
    'holds a zero byte, which cannot be stored. Take it out and send it again',
  holdsHalfOfACharacterABroken:
    'holds half of a character (a broken emoji, perhaps). Take it out and send it again',
  theDatabaseCannotStoreSomethingInThis:
    'The database cannot store something in this entry, so sending it again will not help. Log it anew in other words, or let it go.',
  mustBeATimeSuchAs2026: 'must be a time such as 2026-05-01T07:30:00Z or 2026-05-01T07:30+02:00',
  mustBeAnIanaTimeZoneSuch: 'must be an IANA time zone such as Europe/Berlin',
  theIdStandsHereASecondTime: "the id ''{id}'' stands here a second time; ids must be unique",
  noWithTheIdIsListed: "no {what} with the id ''{id}'' is listed",
  mustNotBeLongerThanMaxgaphours: 'must not be longer than maxGapHours',
  aFloorOfCLiesOutside20: 'a floor of {c, number} °C lies outside 20 to 90 °C. Was it typed in °F?',
  theMostAllowedCMustLieAbove:
    'the most allowed ({ceiling, number} °C) must lie above the floor ({floor, number} °C)',
  theHotterTimeMustNotBeLonger: 'the hotter time must not be longer than the time around it',
  theMeanAskedForLiesBelowThe:
    'the mean asked for lies below the floor, so it asks for nothing more',
  theIdMustBeSiteWithSmall:
    'the id must be site- with small letters, figures and hyphens behind it, such as site-hen-litter',
  giveTheRuleATitleOfThree: 'give the rule a title of three letters at least',
  isARuleOfTheLibraryGive:
    "''{id}'' is a rule of the library; give your own rule an id that starts with site-",
  mustBeASha256HashOf: 'must be a SHA-256 hash of 64 small hexadecimal figures',
  thisEntryOfDoesNotFitIts:
    'this entry ({kind} of {at}) does not fit its hash: it was changed after it was logged. Ask for the file again from the site that keeps the log',
  theChainIsBrokenBeforeThisEntry:
    'the chain is broken before this entry ({kind} of {at}): something was taken out or put in. Ask for the file again from the site that keeps the log',
  theEntriesAreNotInTheOrder: 'the entries are not in the order of the log',
  theEntriesDoNotTellTheBatch: 'the entries do not tell the batch that the file holds',
  theFileSaysSomethingElseHereThan:
    'the file says something else here than the log entries that it carries. Ask for the file again from the site that keeps the log',
  keptUnderEditionOfTheRuleLibrary:
    'kept under edition {theirs, number} of the rule library; this program knows edition {ours, number}. Update the program, so that no rule is reckoned by an older text',
  theEndOfAStretchOfRow: 'the end of a stretch of row must lie beyond its start',
  giveTheThermometerTheNameThatStands:
    'give the thermometer the name that stands on it, such as T1',
  theTopOfTheScaleMustLie: 'the top of the scale must lie above its bottom',
  theUpperEndOfARangeMust: 'the upper end of a range must not lie below the lower',
  thisIdIsInTheLogAlready:
    'this id is in the log already with other content ({what}). What is in the log was not changed; send this one as a new entry, or let it go',
  thisHeapHasNoPlaceChooseThe:
    'this heap has no place ‘{name}’. Choose the place where it was read',
  thePlaceHasReadingsAPlaceAt:
    'the place ‘{name}’ has readings; a place at another depth or zone is a new place with an id of its own',
  itsPictureHasNotComeUpYet: 'its picture has not come up yet; it is sent again with the entry',
  smallLettersFiguresAndHyphensOnlySuch:
    'small letters, figures and hyphens only, such as our-fast-heap',
  giveTheMethodANameOfThree: 'give the method a name of three letters at least',
  theMoistureAimedAtMustLieBetween:
    'the moisture aimed at must lie between the lowest and the highest',
  theUpperEndOfTheHeatExpected: 'the upper end of the heat expected must lie above the lower',
  theDaysOfTheHeatExpectedMust: 'the days of the heat expected must go up',
  theWorkingDayMustEndAfterIt: 'the working day must end after it begins',
  aHeapCannotBeJoinedStackedOr:
    'a heap cannot be joined, stacked or sent to itself. Choose the other heap',
  thePartsMustLeaveSomethingBehindThis:
    'the parts must leave something behind: this heap has about {m3}',
  smallLettersFiguresAndHyphensOnlySuch2:
    'small letters, figures and hyphens only, such as hop-bines',
  theUsualValueMustLieBetweenThe: 'the usual value must lie between the lowest and the highest',
  nitrogenIsAShareOfTheDry:
    'nitrogen is a share of the dry weight: give a percentage between 0 and 50',
  cNMustBeANumberBetween: 'C:N must be a number between 0 and 5000',
  moistureIsAShareOfTheWet:
    'moisture is a share of the wet weight: give a percentage between 0 and 99.5',
  aBulkDensityLiesBetween5And:
    'a bulk density lies between 5 and 3000 kg/m³. Was it typed in other units?',
  giveTheMaterialANameOfTwo: 'give the material a name of two letters at least',
  giveTheMeasureTheNameThatThe: 'give the measure the name that the crew uses, such as barrow',
  litresMustBeANumberThatIs:
    'litres must be a number that is not negative, and no more than a lorry holds (60,000 L for a measure)',
  typeHowMuchAsANumberAbove: 'type how much as a number above 0, or say that it is not known',
  moreThan10000OfThemWas: 'more than 10,000 of them: was a figure typed too many?',
  moreThan500MInOneLoad:
    'more than 500 m³ in one load is more than a site takes in. Was it typed in the wrong measure?',
  moreThan100TInOneLoad:
    'more than 100 t in one load: a lorry carries about 25 t. Was it typed in the wrong unit?',
  giveAReasonOfThreeLettersAt:
    'give a reason of three letters at least: whoever stands at the gate will read it out',
  nameEitherAMaterialOrWhatIt: 'name either a material or what it may carry, not both',
  giveTheRecipeANameOfTwo: 'give the recipe a name of two letters at least',
  nothingWasPutInYetNameWhat:
    'nothing was put in yet: name what went in, or the water, base or cover',
  giveThePlaceTheNameThatStands: 'give the place the name that stands on it, such as 7',
  typeMetresAsANumberAbove0: 'type metres as a number above 0',
  liesBeyondTheEdgeOfTheMap:
    '{name} lies beyond the edge of the map. Move it in, or make the map larger',
  thereIsNoMaterialInTheLibrary: 'there is no material ‘{name}’ in the library of this site',
  thatLoadIsNotInTheStore: 'that load is not in the store',
  thisHeapIsClosedWhatGoesIn:
    'this heap is closed. What goes in now is logged as added: it may start its clock again',
  somethingWentInAfterThatAtThe:
    'something went in after that, at {when}. The clock starts at the last raw load: close the heap then, or later',
  wasChangedByAtWhileYouWorked:
    '{what} was changed by {who} at {when} while you worked on it. Nothing of yours is lost: keep it as a copy, or as the newest version over theirs, which stays in the log',
  noRuleInTheLibraryOrIn: "no rule ''{id}'' in the library or in the file",
  crumbles: 'Crumbles',
  tooDry: 'too dry',
  crumblesTooDry: 'crumbles: too dry',
  holds: 'Holds',
  noDropALittleDry: 'no drop: a little dry',
  holdsNoDropALittleDry: 'holds, no drop: a little dry',
  aDropOrTwo: 'A drop or two',
  aDropOrTwoRight: 'a drop or two: right',
  runsOut: 'Runs out',
  tooWet: 'too wet',
  runsOutTooWet: 'runs out: too wet',
  none: 'None',
  earthy: 'Earthy',
  sweet: 'Sweet',
  ammonia: 'Ammonia',
  sour: 'Sour',
  rotten: 'Rotten',
  burnt: 'Burnt',
  heap: 'Heap',
  cone: 'Cone',
  rowRounded: 'Row, rounded',
  rowSharp: 'Row, sharp',
  rowFlatTop: 'Row, flat top',
  binFilledLevel: 'Bin, filled level',
  roundBin: 'Round bin',
  bayOpenInFront: 'Bay, open in front',
  lyingTub: 'Lying tub',
  amountNotKnown: 'amount not known ({words})',
  amountNotKnown2: 'amount not known',
  about: 'about ',
  noTime: 'no time',
  justTurned: 'just turned',
  couldNotBeReached: 'could not be reached',
  tooHotToGoNear: 'too hot to go near',
  thermometerFailed: 'thermometer failed',
  anotherReason: 'another reason',
  saidToBeMature: 'said to be mature',
  givenUp: 'given up',
  joinedToAnotherHeap: 'joined to another heap',
  thrownAway: 'thrown away',
  usedUnproven: 'used unproven',
  somethingAdded: 'something added',
  madeBigger: 'made bigger',
  leftToDry: 'left to dry',
  somethingRichAdded: 'something rich added',
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
  rawItStartsAHotHeapsClock: 'raw: it starts a hot heap’s clock again',
  rinseWater: 'Rinse water',
  rawAsWhatItRinsed: 'raw, as what it rinsed',
  overs: 'Overs',
  whatTheScreenKeptBack: 'what the screen kept back',
  chargedChar: 'Charged char',
  cleanUnlessItWasChargedInSomething: 'clean, unless it was charged in something raw',
  takenAsRaw: 'taken as raw',
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
  places: '; places: {zones}',
  countedInCalendarDaysAtMostBlank:
    'counted in calendar days, at most {maxBlankDays, number} blank in a row',
  countedInHours: 'counted in hours',
  aGapOfMoreThanHIs: ' A gap of more than {longgaphours, number} h is long: the evidence is thin.',
  judgedOnPointsARoundAtLeast:
    'Judged on {value}{guard}, {minPoints, number} points a round at least, gaps to {maxGapHours, number} h, {turnGraceHours, number} h of grace after a full turning, {days}{zones}.{long}',
  steamAndAHotCoreBurnGloves: 'Steam and a hot core burn: gloves on, face away when you open it.',
  keepPeopleBackAndDoNotOpen:
    'Keep people back and do not open it blindly: air feeds a smoulder. If you see smoke or smell burning, call the fire service.',
  dryTurningThrowsUpDustAndSpores:
    'Dry turning throws up dust and spores: damp it down or wear a mask, and keep people with weak lungs away.',
  aBurntSmellCanMeanASmoulder:
    'A burnt smell can mean a smoulder: do not open the heap, keep people back, and call the fire service if there is smoke.',
  splittingLetsAirIntoAVeryHot:
    'Splitting lets air into a very hot heap: have water running, look for smoke first, and work small.',
  keepPeopleClearOfTheLoaderAnd:
    'Keep people clear of the loader, and let only a trained driver run it; stop it before anything is cleared by hand.',
  forkingIsHeavySmallLoadsTwoPeople: 'Forking is heavy: small loads, two people, rests.',
  ratsCarryDiseaseGlovesAndKeepWhat:
    'Rats carry disease: gloves, and keep what they touched away from food crops.',
  unprovenCompostMayCarryGermsAndLive:
    'Unproven compost may carry germs and live seeds: say so to whoever takes it.',
  unprovenItCountsAsRawManureWhere:
    'Unproven, it counts as raw manure where it goes: keep the intervals to harvest that your local authority sets, and keep it off crops that are eaten raw.',
  doNotStackOrBagItWarm:
    'Do not stack or bag it warm: it can heat up again by itself and catch fire. Read it the next day.',
  seedsRootsAndPlantDiseaseLiveThrough:
    'Seeds, roots and plant disease live through a heap that does not get hot. Strip the seed heads and roots off first, or put it into a hot heap instead.',
  rawManureAndLeachateCarryGermsGloves:
    'Raw manure and leachate carry germs: gloves, and wash hands and tools before you touch a finished heap.',
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
  thin: 'Thin',
  fair: 'Fair',
  good: 'Good',
  strong: 'Strong',
  oneRoundOtherRounds: '{count, plural, one {# round} other {# rounds}}',
  oneRoundOtherRoundsAboutADay:
    '{count, plural, one {# round} other {# rounds}}, about {perDay, number} a day',
  oneRoundOtherRoundsOneEvery:
    '{count, plural, one {# round} other {# rounds}}, one every {perDay}',
  aRoundEachDay: 'A round each day.',
  onePlaceOtherPlacesRead: '{count, plural, one {# place} other {# places}} read',
  fivePlacesInEachRoundTheColdest: 'Five places in each round, the coldest corner among them.',
  howDeepTheHeapIsWasNot: 'how deep the heap is was not given',
  giveTheDepthOfTheCoreSo:
    'Give the depth of the core, so that it can be seen whether the thermometer reaches it.',
  depthsOfThePlacesWereNotGiven:
    'depths of the places were not given, the core lies {coreM, number} m deep',
  giveEachPlaceItsDepth: 'Give each place its depth.',
  readDownToMOfM: 'read down to {deepestM, number} m of {coreM, number} m',
  aLongerThermometerOrReadFromAnother: 'A longer thermometer, or read from another side.',
  oneRoundOnlySoThereIsNo: 'one round only, so there is no time between rounds',
  aSecondRoundWithinADay: 'A second round within a day.',
  longestTimeBetweenRounds: 'longest time between rounds {hours}',
  neverMoreThanADayOrSo: 'Never more than a day or so between rounds.',
  noReadingSaysWhichThermometerTookIt: 'no reading says which thermometer took it',
  nameTheThermometerInEachRoundAnd:
    'Name the thermometer in each round, and check it in ice water.',
  oneReadingOtherReadingsByAThermometer:
    '{unchecked, plural, one {# reading} other {# readings}} by a thermometer without a fresh check',
  oneReadingOtherReadingsWithoutAThermometers:
    '{without, plural, one {# reading} other {# readings}} without a thermometer’s name',
  everyReadingByAThermometerWithA: 'every reading by a thermometer with a fresh check',
  checkTheThermometerInIceWaterAnd:
    'Check the thermometer in ice water, and name it in each round.',
  nothingEnteredLaterThanADay: 'nothing entered later than a day',
  oneReadingOtherReadingsOfEnteredMore:
    '{count, plural, one {# reading} other {# readings}} of {total, number} entered more than a day later',
  typeTheValuesInWhileYouStand: 'Type the values in while you stand there.',
  theThermometerIsMLongAndThe:
    'The thermometer is {stemM, number} m long and the core lies {coreDepthM, number} m in: the core is not reached. Take a longer one, or read from the side that is nearest.',
  theThermometerIsMLongOneOther:
    'The thermometer is {stemM, number} m long; {places} {places2, plural, one {lies} other {lie}} deeper.',
  noPlaceReadsTheCoreWhereIt:
    'No place reads the core, where it is hottest: only what can be reached is known.',
  onePlaceOnlyAHotMiddleSays:
    'One place only. A hot middle says nothing of the toe, and a reachable spot says nothing of the heap.',
  noPlaceReadsTheToeWhereIt: 'No place reads the toe, where it is coldest.',
  onePlaceOtherPlacesAndARound:
    '{places, plural, one {# place} other {# places}}, and a round needs {minPoints, number}: every round will be thin and earn nothing.',
  itBordersOnKeepMFromThe:
    'It borders on {neighbours}: keep {keepM, number} m from the flag, or the neighbour’s heat is read too.',
  liesMFromItReadsTheNeighbours:
    '{place} lies {distanceM, number} m from {neighbour}: it reads the neighbour’s heat too. Keep further from the flag.',
  stillBuilding: 'still building',
  pausedAt: 'paused at {hours}',
  brokenNothingEarned: 'broken, nothing earned',
  nothingCountsYet: 'nothing counts yet',
  noRuleClaimed: 'no rule claimed',
  hasGoneOut: 'has gone out',
  isNotClosedYet: 'is not closed yet',
  read: 'read {at}',
  readDue: 'read {at}, due {due}',
  wasTurnedReadIt: 'was turned: read it {due}',
  thatReads: 'That reads {typed}',
  wrongUnitFaultyThermometerOrAnEmergency:
    '{says}. Wrong unit, faulty thermometer, or an emergency?',
  colderThanAnyHeapWrongUnitOr:
    '{says}, colder than any heap. Wrong unit, or a faulty thermometer?',
  itWasHereLastTimeIsThat: '{says}; it was {against} here last time. Is that right?',
  colderThanTheAirAtIsThe: '{says}, colder than the air at {against}. Is the probe in the heap?',
  fiveTimesDoesTheNeedleStillMove:
    'Five times {typed, number} °{unit}. Does the needle still move?',
  theScaleOfThisThermometerEndsAt:
    '{says}; the scale of this thermometer ends at {against}. Is that right?',
  thisThermometerIsOutOfServiceDid:
    'This thermometer is out of service. Did you read with it all the same?',
  itIsWhatItSaid: 'It is what it said',
  itWas: 'It was {typed, number} °{unit}',
  thermometerIsFaulty: 'Thermometer is faulty',
  itMayBeOnFire: 'It may be on fire',
  itMayBeBurningInside: 'It may be burning inside',
  keepPeopleBackUpwindAndMachinesAway: 'Keep people back, upwind, and machines away.',
  doNotOpenItAirFeedsA: 'Do not open it: air feeds a smoulder.',
  smokeAGlowOrASmellOf: 'Smoke, a glow, or a smell of burning: call the fire service now.',
  haveWaterReadyLookAtItAgain:
    'Have water ready. Look at it again from a distance within the hour.',
  whatYouMustReportAndKeepClear:
    'What you must report and keep clear: check with your local authority.',
  yard: 'Yard',
  round: 'Round',
  bench: 'Bench',
  plan: 'Plan',
  store: 'Store',
  loadsMaterialsSuppliers: 'loads, materials, suppliers',
  map: 'Map',
  baysAndRowsWhatStandsWhere: 'bays and rows, what stands where',
  records: 'Records',
  whatWasProven: 'what was proven',
  instruments: 'Instruments',
  thermometersAndChecks: 'thermometers and checks',
  openAHeap: 'Open a heap',
  newOrAlreadyUnderWay: 'new, or already under way',
  compare: 'Compare',
  heapsSideBySideByAge: 'heaps side by side, by age',
  rules: 'Rules',
  whatMustBeProven: 'what must be proven',
  methods: 'Methods',
  whenHeapsAreTurned: 'when heaps are turned',
  crew: 'Crew',
  whoMachineLimitsChores: 'who, machine, limits, chores',
  fireCard: 'Fire card',
  whomToCall: 'whom to call',
  bringIn: 'Bring in',
  filesOfReadings: 'files of readings',
  flags: 'Flags',
  labelsToPrint: 'labels to print',
  more: 'More',
  onThisDevice: 'On this device',
  heapsKeptOnThisDevice: 'Heaps kept on this device',
  yourSite: 'Your site',
  calendarForPhones: 'Calendar for phones',
  atTheGate: 'At the gate',
  materials: 'Materials',
  suppliers: 'Suppliers',
  takeInALoad: 'Take in a load',
  gThenALetter: 'G, then a letter',
  mostFinishedFirstRawestLastSoThat:
    'Most finished first, rawest last, so that nothing raw rides on the thermometer into a proven heap. To go back up the line, rinse it first.',
  theThermometerWasFaultySaidAtEntry: 'The thermometer was faulty, said at entry.',
  right: 'right',
  watered: 'watered',
  turned: 'turned',
  covered: 'covered',
  uncovered: 'uncovered',
  split: 'split',
  none2: 'none',
  about4: 'about',
  proven: 'proven',
} as const;
