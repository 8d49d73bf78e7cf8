export default {
  theHubsClockShowsUtcAndThe:
    'The server’s clock shows {replace} UTC, but the last entry was made at {replace2} UTC. Correct the server’s clock. Nothing was saved, and what you typed is still here.',
  isNoTimeThatAClockShows:
    '‘{replace}’ is not a valid time. Choose the day and the hour when it happened.',
  theClockNeverShowedHereItWas:
    'The clock never showed {replace} here: it was set forward. Choose another time.',
  thatIsStillToComeChooseThe: 'That is in the future. Choose the time when it happened.',
  isLongBeforeThisSiteChooseThe:
    '{sent} is long before this site began. Choose the day when it happened.',
  whatThePhoneSaysOfItsClock:
    'The phone’s clock information cannot be read. Reload the page and send it again.',
  thisDevicesClockRunsAheadOfThe:
    'This device’s clock is ahead of the server’s. Set the clock, or choose when the temperatures were taken.',
  isAtItsEndChooseAHeap:
    '{s} is finished: {endwords}. Choose an active batch, or void that entry first.',
  hasNotMetSRulesByThen:
    '{part} has not met the rules of {whole} by then, so the joined batch has not met them either. Log it as not met.',
  sSeedsHaveNotMetSRules:
    'The weed-seed rules of {whole} were not met by {part} by then. Log it as with live weed seeds.',
  anotherHeap: 'another batch',
  from: '{name} from {source}',
  theEntryToCorrectIsNotIn: 'The entry to correct is not in this batch’s log.',
  thisEntryCannotBePutRightIn: 'This entry cannot be corrected in parts. Void it and log it again.',
  hasEntriesOfItsOwnSinceThen:
    '{name} has its own entries since then, so the split cannot be voided. Join the two again instead.',
  versionOfTheRecipe: 'version of the recipe',
  theMap: 'the map',
  thisPhonesClockDiffersFromTheHubs:
    'This phone’s clock differs from the server’s by more than the phone knew.',
  itCouldNotBeWrittenJustNow:
    'It could not be saved just now. What you typed is still here: try again.',
  roundOfBy: 'temperature check of {readings, number} by {by}',
  by: '{kind} by {by}',
  sayOnItsPageThatThisIs: '{open} Confirm on its page that you know this, then log it again.',
  aPartThatWasCarriedOffIs: 'A part that was split off is logged at the batch it came from.',
  aNewHeapTakesTheIdOf: 'A new batch takes the id of the entry that starts it.',
  thereIsNoSuchHeapOnThis: 'There is no such batch on this site.',
  reading: 'reading {id}',
  thatHappenedBeforeThisHeapWasCarried:
    'That happened before this batch was split off. Correct it at the batch it came from; it counts here too.',
  thatReadingIsNotThereOrIs: 'That reading is not there, or is already voided.',
  tooManyEntriesAtOnceSendFewer: 'Too many entries at once. Send fewer.',
  thisHubHasNoSiteYetOpen:
    'This server has no site yet. Open it in a browser and name the site first. Your entries wait on the phone.',
  whatCameIsNotJsonOpenThe: 'What arrived is not JSON. Reload the page and send it again.',
  aListOfAtMostEntriesIs: 'A list of at most {maxentries, number} entries is expected.',
  thePictureIsMbMbIsThe:
    'The photo is {size, number} MB; the server takes {maxbytes, number} MB at most. Take it again at a smaller size.',
  thisHubHasNoSiteYetName: 'This server has no site yet. Name the site first.',
  thisIsNoPictureThatCanBe:
    'This is not a photo that can be read. Send it as the camera makes it: JPEG, PNG or WebP, 50 megapixels at most.',
  thereIsNoSuchPicture: 'There is no such photo.',
  canNoLongerBeReckoned: 'can no longer be judged.',
  sProofIsLostTheClockStarts: '{name} no longer meets it: the clock starts over.',
  isProvenWithIt: 'is met with this.',
  wouldBeLostRemainAndtheAndThe:
    '{lost} would be lost: {creditedHours} left{segmentFrom, select, andThe {, and the clock starts over} other {}}.',
  theClockStartsAgainItHasNothing: 'the clock starts over; there is nothing to lose yet.',
  areEarnedInAll: '{lost} more count: {creditedHours} in all.',
  oneTurningCountsOtherTurningsCountInstead:
    '{turningsCounted, plural, one {# turning counts} other {# turnings count}} instead of {turningsCounted2, number}.',
  goesFromTo: 'goes from ‘{toLowerCase}’ to ‘{toLowerCase2}’.',
  nothingChanges: 'nothing changes.',
  who: 'Who',
  when: 'When',
  justNow: 'Just now',
  laterEntryTheLogShowsBothTimes: 'Later entry: the log shows both times',
  yourNameGoesBesideIt: 'Your name is saved with it',
  nameTheRow: 'Name the windrow.',
  typeWhereItStartsAndEndsIn:
    'Type where it starts and ends, in meters from the start of the windrow.',
  itMustEndBeyondWhereItStarts: 'It must end after it starts.',
  borderWithMoved: 'border with {name} moved',
  itStands: 'Location',
  inABayOrBin: 'In a bay or bin',
  inASharedRow: 'In a shared windrow',
  endToEndWithOthers: 'end to end with others',
  bay: 'Bay',
  row: 'Windrow',
  from2: 'From',
  to: 'To',
  sBorderMovesWithIt: 'The border of {name} moves with it: {position}.',
  itWouldLieOverCheckTheFlags: 'It would overlap {name}. Check the markers, or move {name} first.',
  to2: ' to {position}',
  to3: 'to {position}',
  howWasItMoved: 'How was it moved?',
  forkedOverWhole: 'Forked or turned over completely',
  countsAsAFullTurning: 'counts as a full turn',
  liftedAsItWas: 'Moved as it was',
  noTurning: 'no turning',
  itLosesHeatOnTheWayRead:
    'It loses heat on the way: take temperatures the same afternoon and the next day.',
  keepThisMove: 'Save this move',
  sayWhereItStandsNow: 'Say where it is now.',
  itWouldLieOver: 'It would overlap {overlaps}.',
  chooseHowItWasMoved: 'Choose how it was moved.',
  sayWhoDidIt: 'Say who did it.',
  aShorterNamePlease: 'Use a shorter name.',
  theOtherHeapIsNotOnThis: 'The other batch is not on this site. Choose one of its batches.',
  somebody: 'somebody',
} as const;
