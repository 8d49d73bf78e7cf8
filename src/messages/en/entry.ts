export default {
  theHubsClockShowsUtcAndThe:
    'The hub’s clock shows {replace} UTC, and the last entry was taken at {replace2} UTC. Put the hub’s clock right; nothing was written, and what you typed is kept.',
  isNoTimeThatAClockShows:
    '‘{replace}’ is no time that a clock shows. Choose the day and the hour when it happened.',
  theClockNeverShowedHereItWas:
    'The clock never showed {replace} here: it was put forward. Choose another time.',
  thatIsStillToComeChooseThe: 'That is still to come. Choose the time when it happened.',
  isLongBeforeThisSiteChooseThe:
    '{sent} is long before this site. Choose the day when it happened.',
  whatThePhoneSaysOfItsClock:
    'What the phone says of its clock cannot be read. Open the page anew and send it again.',
  thisDevicesClockRunsAheadOfThe:
    'This device’s clock runs ahead of the hub’s. Set the clock, or choose when the round was taken.',
  isAtItsEndChooseAHeap:
    '{s} is at its end: {endwords}. Choose a heap that still stands, or strike that entry first.',
  hasNotMetSRulesByThen:
    '{part} has not met {whole}’s rules by then, so the joined heap is not proven either. Log it as not proven.',
  sSeedsHaveNotMetSRules:
    '{part}’s seeds have not met {whole}’s rules by then. Log it as with live seeds.',
  anotherHeap: 'another heap',
  from: '{name} from {source}',
  theEntryToCorrectIsNotIn: 'The entry to correct is not in this heap’s log.',
  thisEntryCannotBePutRightIn:
    'This entry cannot be put right in its parts. Strike it out and log it anew.',
  hasEntriesOfItsOwnSinceThen:
    '{name} has entries of its own since then, so the carrying off cannot be struck. Join the two again instead.',
  versionOfTheRecipe: 'version of the recipe',
  theMap: 'the map',
  thisPhonesClockDiffersFromTheHubs:
    'This phone’s clock differs from the hub’s by more than it reckoned with.',
  itCouldNotBeWrittenJustNow:
    'It could not be written just now. What you typed is still here: try again.',
  roundOfBy: 'round of {readings, number} by {by}',
  by: '{kind} by {by}',
  sayOnItsPageThatThisIs: '{open} Say on its page that this is known, then log it again.',
  aPartThatWasCarriedOffIs: 'A part that was carried off is logged at the heap it came from.',
  aNewHeapTakesTheIdOf: 'A new heap takes the id of the entry that opens it.',
  thereIsNoSuchHeapOnThis: 'There is no such heap on this site.',
  reading: 'reading {id}',
  thatHappenedBeforeThisHeapWasCarried:
    'That happened before this heap was carried off. Correct it at the heap it came from; it counts here too.',
  thatReadingIsNotThereOrIs: 'That reading is not there, or is struck already.',
  tooManyEntriesAtOnceSendFewer: 'Too many entries at once. Send fewer.',
  thisHubHasNoSiteYetOpen:
    'This hub has no site yet. Open it in a browser and name the site first; what you logged waits on the phone.',
  whatCameIsNotJsonOpenThe: 'What came is not JSON. Open the page anew and send it again.',
  aListOfAtMostEntriesIs: 'A list of at most {maxentries, number} entries is expected.',
  thePictureIsMbMbIsThe:
    'The picture is {size, number} MB; {maxbytes, number} MB is the most that the hub takes. Take it again at a smaller size.',
  thisHubHasNoSiteYetName: 'This hub has no site yet. Name the site first.',
  thisIsNoPictureThatCanBe:
    'This is no picture that can be read. Send a photo as the camera makes it: JPEG, PNG or WebP, of 50 megapixels at most.',
  thereIsNoSuchPicture: 'There is no such picture.',
  canNoLongerBeReckoned: 'can no longer be reckoned.',
  sProofIsLostTheClockStarts: '{name}’s proof is lost: the clock starts again.',
  isProvenWithIt: 'is proven with it.',
  wouldBeLostRemainAndtheAndThe:
    '{lost} would be lost: {creditedHours} remain{segmentFrom, select, andThe {, and the clock starts again} other {}}.',
  theClockStartsAgainItHasNothing: 'the clock starts again; it has nothing to lose yet.',
  areEarnedInAll: '{lost} are earned: {creditedHours} in all.',
  oneTurningCountsOtherTurningsCountInstead:
    '{turningsCounted, plural, one {# turning counts} other {# turnings count}} instead of {turningsCounted2, number}.',
  goesFromTo: 'goes from ‘{toLowerCase}’ to ‘{toLowerCase2}’.',
  nothingChanges: 'nothing changes.',
  who: 'Who',
  when: 'When',
  justNow: 'Just now',
  laterEntryTheLogShowsBothTimes: 'Later entry: the log shows both times',
  yourNameGoesBesideIt: 'Your name goes beside it',
  nameTheRow: 'Name the row.',
  typeWhereItStartsAndEndsIn: 'Type where it starts and ends, in metres from the start of the row.',
  itMustEndBeyondWhereItStarts: 'It must end beyond where it starts.',
  borderWithMoved: 'border with {name} moved',
  itStands: 'It stands',
  inABayOrBin: 'In a bay or bin',
  inASharedRow: 'In a shared row',
  endToEndWithOthers: 'end to end with others',
  bay: 'Bay',
  row: 'Row',
  from2: 'From',
  to: 'To',
  sBorderMovesWithIt: '{name}’s border moves with it: {position}.',
  itWouldLieOverCheckTheFlags: 'It would lie over {name}. Check the flags, or move {name} first.',
  to2: ' to {position}',
  to3: 'to {position}',
  howWasItMoved: 'How was it moved?',
  forkedOverWhole: 'Forked over whole',
  countsAsAFullTurning: 'counts as a full turning',
  liftedAsItWas: 'Lifted as it was',
  noTurning: 'no turning',
  itLosesHeatOnTheWayRead: 'It loses heat on the way: read it the same afternoon and the next day.',
  keepThisMove: 'Keep this move',
  sayWhereItStandsNow: 'Say where it stands now.',
  itWouldLieOver: 'It would lie over {overlaps}.',
  chooseHowItWasMoved: 'Choose how it was moved.',
  sayWhoDidIt: 'Say who did it.',
  aShorterNamePlease: 'A shorter name, please.',
  theOtherHeapIsNotOnThis: 'The other heap is not on this site. Choose one of its heaps.',
  somebody: 'somebody',
} as const;
