export const enEntry = {
  theServersClockShowsUtc:
    'The server’s clock shows {replace} UTC, but the last entry was made at {replace2} UTC. Correct the server’s clock. Nothing was saved, and what you typed is still here.',
  isNotValidTimeChoose:
    '‘{replace}’ is not a valid time. Choose the day and the hour when it happened.',
  theClockNeverShowedHere:
    'The clock never showed {replace} here: it was set forward. Choose another time.',
  thatInFutureChooseTime: 'That is in the future. Choose the time when it happened.',
  isLongBeforeThisSite: '{sent} is long before this site began. Choose the day when it happened.',
  thePhonesClockInformationCannot:
    'The phone’s clock information cannot be read. Reload the page and send it again.',
  thisDevicesClockAheadServers:
    'This device’s clock is ahead of the server’s. Set the clock, or choose when the temperatures were taken.',
  isFinishedChooseActiveBatch:
    '{s} is finished: {endwords}. Choose an active batch, or void that entry first.',
  hasNotMetRulesBy:
    '{part} has not met the rules of {whole} by then, so the joined batch has not met them either. Log it as not met.',
  theWeedSeedRulesWere:
    'The weed-seed rules of {whole} were not met by {part} by then. Log it as with live weed seeds.',
  anotherBatch: 'another batch',
  from: '{name} from {source}',
  theEntryCorrectNotIn: 'The entry to correct is not in this batch’s log.',
  thisEntryCannotCorrectedIn: 'This entry cannot be corrected in parts. Void it and log it again.',
  hasOwnEntriesSinceThen:
    '{name} has its own entries since then, so the split cannot be voided. Join the two again instead.',
  versionOfTheRecipe: 'version of the recipe',
  bayIsTaken: '{names} stands in {bay}.',
  theyShareTheBay: 'They share it.',
  sayTheyShareTheBay: 'Say that they share the bay, or name another one.',
  putInAsked: '{name}: {answer}',
  putInRipening: '{name}: {ripening}.',
  putInMoreThanLeft:
    '{isKnown, select, yes {Only {left} of {name} are left in stock.} other {There is less of {name} left in stock.}} If there was more, count it again.',
  putInNoRoom: 'Its place holds {litres}.',
  tickToPutIn: 'Tick the box above first.',
  theMap: 'the map',
  thisPhonesClockDiffersFrom:
    'This phone’s clock differs from the server’s by more than the phone knew.',
  itCouldNotSavedJust: 'It could not be saved just now. What you typed is still here: try again.',
  temperatureCheckOfBy: 'temperature check of {readings, number} by {by}',
  by: '{kind} by {by}',
  confirmOnPageYouKnow: '{open} Confirm on its page that you know this, then log it again.',
  aPartWasSplitOff: 'A part that was split off is logged at the batch it came from.',
  aNewBatchTakesId: 'A new batch takes the id of the entry that starts it.',
  thereNoSuchBatchOn: 'There is no such batch on this site.',
  reading: 'reading {id}',
  thatHappenedBeforeThisBatch:
    'That happened before this batch was split off. Correct it at the batch it came from; it counts here too.',
  thatReadingNotThereOr: 'That reading is not there, or is already voided.',
  tooManyEntriesAtOnce: 'Too many entries at once. Send fewer.',
  thisServerHasNoSite:
    'This server has no site yet. Open it in a browser and name the site first. Your entries wait on the phone.',
  whatArrivedNotJsonReload: 'What arrived is not JSON. Reload the page and send it again.',
  aListAtMostEntries: 'A list of at most {maxentries, number} entries is expected.',
  thePhotoMbServerTakes:
    'The photo is {size, number} MB; the server takes {maxbytes, number} MB at most. Take it again at a smaller size.',
  thisServerHasNoSite2: 'This server has no site yet. Name the site first.',
  thisNotPhotoCanRead:
    'This is not a photo that can be read. Send it as the camera makes it: JPEG, PNG or WebP, 50 megapixels at most.',
  thereNoSuchPhoto: 'There is no such photo.',
  canNoLongerJudged: 'can no longer be judged.',
  noLongerMeetsClockStarts: '{name} no longer meets it: the clock starts over.',
  isMetWithThis: 'is met with this.',
  wouldLostLeftAndtheClock:
    '{lost} would be lost: {creditedHours} left{segmentFrom, select, andThe {, and the clock starts over} other {}}.',
  theClockStartsOverThere: 'the clock starts over; there is nothing to lose yet.',
  moreCountInAll: '{lost} more count: {creditedHours} in all.',
  turningCountsTurningsCountInstead:
    '{turningsCounted, plural, one {# turning counts} other {# turnings count}} instead of {turningsCounted2, number}.',
  goesFromTo: 'goes from ‘{toLowerCase}’ to ‘{toLowerCase2}’.',
  nothingChanges: 'nothing changes.',
  who: 'Who',
  when: 'When',
  justNow: 'Just now',
  laterEntryLogShowsBoth: 'Later entry: the log shows both times',
  yourNameSavedWith: 'Your name is saved with it',
  nameTheWindrow: 'Name the windrow.',
  typeWhereStartsEndsIn: 'Type where it starts and ends, from the start of the windrow.',
  itMustEndAfterStarts: 'It must end after it starts.',
  borderWithMoved: 'border with {name} moved',
  location: 'Location',
  inBayOrBin: 'In a bay or bin',
  inASharedWindrow: 'In a shared windrow',
  endEndWithOthers: 'end to end with others',
  bay: 'Bay',
  windrow: 'Windrow',
  from2: 'From',
  to: 'To',
  theBorderMovesWith: 'The border of {name} moves with it: {position}.',
  itWouldOverlapCheckMarkers: 'It would overlap {name}. Check the markers, or move {name} first.',
  moved: 'moved',
  movedTo: 'moved to {position}',
  to3: 'to {position}',
  howWasItMoved: 'How was it moved?',
  forkedOrTurnedOverCompletely: 'Forked or turned over completely',
  countsAsFullTurn: 'counts as a full turn',
  movedAsItWas: 'Moved as it was',
  noTurning: 'no turning',
  itLosesHeatOnWay:
    'It loses heat on the way: take temperatures the same afternoon and the next day.',
  saveThisMove: 'Save this move',
  sayWhereNow: 'Say where it is now.',
  itWouldOverlap: 'It would overlap {overlaps}.',
  chooseHowWasMoved: 'Choose how it was moved.',
  sayWhoDidIt: 'Say who did it.',
  useAShorterName: 'Use a shorter name.',
  theOtherBatchNotOn: 'The other batch is not on this site. Choose one of its batches.',
  somebody: 'somebody',
  photoChanged: 'The picture kept under this number is not the one that was taken.',
  outOfBounds:
    '{value} can’t be right: it must be between {least, number} and {most, number} {sign}. Check the number and its unit.',
  entryTooLarge:
    'This entry is {size, number} kB; at most {most, number} kB are saved. Shorten it, or log it in two entries.',
  unknownTooLarge:
    'It carries {size, number} kB in fields that are not known here; at most {most, number} kB are saved.',
} as const;
