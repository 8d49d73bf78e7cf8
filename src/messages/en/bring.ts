export const enBring = {
  theFileMbAtMost:
    'The file is {size, number} MB; at most {maxbytes, number} MB can be imported. Split it by batch or by time.',
  thisServerHasNoSite: 'This server has no site yet. Name the site first.',
  aBatchAlreadyInLog:
    'A batch is already in the log under this import’s id, with other content. Nothing was saved. What was sent now is file {digest}…. Reload the import page and choose the file again.',
  itCouldNotSavedJust:
    'It could not be saved just now, and no part of it was. Try again: it is saved once, however often you send it.',
  namedInTheFile: 'named in the file',
  isNotUtf8Text:
    '{name} is not UTF-8 text. Save it as a batch file or as CSV in UTF-8 and drop it again.',
  isNeitherBatchFileNor:
    '{name} is neither a batch file nor a table with a time and a temperature.',
  nothingWasImportedPlacePlaces:
    'Nothing was imported: {problems, number} {problems, plural, one {place is} other {places are}} wrong.',
  andMore: 'and {problems, number} more.',
  fixFileDropAgain: 'Fix the file and drop it again.',
  of: 'of {site}:',
  atPointPointsOtherEntry:
    'at {points, plural, one {# point} other {# points}}, {events, plural, one {# other entry} other {# other entries}}, {from} to {to}.',
  proposed: ' · proposed: {proposed}',
  whichRulesMustMeet: 'Which rules must it meet?',
  whichRuleShownFirstOn: 'Which rule is shown first on the batch?',
  noneTickedHasNoRule: 'None is ticked: it has no rule to meet.',
  itWouldMeetOf: 'It would meet {met, number} of {chosen, number}.',
  whichRuleAppliesYouCheck: '{chosen} Which rule applies to you: check with your local authority.',
  whoImportsIt: 'Who imports it',
  bay: 'Bay',
  ifOnThisSite: 'If it is on this site',
  importIt: 'Import it',
  sayWhoImportsIt: 'Say who imports it.',
  howTableLaidOut: 'How is the table laid out?',
  oneReadingPerRow: 'One reading per row',
  timePointValue: 'time, point, value',
  oneCheckPerRow: 'One check per row',
  timeThenEachPoint: 'time, then each point',
  temperaturesIn: 'Temperatures in',
  timeZoneClock: 'Time zone of its clock',
  usedWhereTimeHasNo: 'Used where a time has no offset',
  chooseZoneSuchAsEurope: 'Choose a zone such as Europe/London.',
  ifDateDoesNotStart: 'If a date does not start with the year',
  dayMonth: 'Day, month',
  monthDay: 'Month, day',
  code: 'Code',
  name: 'Name',
  whenLastRawMaterialWent: 'When the last raw material went in',
  bySameClockNothingBefore: 'By the same clock; nothing before it counts',
  neededClockStartsHere: 'Needed: the clock starts here.',
  method: 'Method',
  turned: 'Turned',
  static: 'Static',
  inVessel: 'In-vessel',
  firstRowsFile: 'First rows of the file',
  firstRowsOf: 'First rows of {rows, number}',
  theServerDidNotAnswer:
    'The server did not answer, so it may or may not be saved. Press again: it is saved once, however often you send it.',
  dropFileHereOrChoose: 'Drop a file here, or choose one',
  aBatchFileJsonOr:
    'A batch file (.json), or temperatures as .csv: time, point, value in rows, or a time and one column for each point.',
  importBatchLoggedElsewhere: 'Import a batch logged elsewhere',
  result: 'Result',
  theVerdictEachRuleShown: 'The verdict of each rule is shown here before anything is saved.',
  sayWhenLastRawMaterial: 'Say when the last raw material went in.',
  readingAndJudging: 'Reading and judging…',
  readings: '{readings, plural, one {# reading} other {# readings}}',
  workbookTooLarge:
    '{name} unpacks to more than 100 MB. Save the sheet with your readings as CSV, and choose that.',
  isNoWorkbook:
    '{name} is not a workbook that can be read. Save it as .xlsx or as CSV, and choose it again.',
  isABatchFile:
    '{name} is a whole batch file. Import it under Import: it becomes a batch of its own.',
  readingsOf: '{n, plural, one {# reading} other {# readings}} from a file',
  addedAndHad:
    'Added {added, plural, one {# reading} other {# readings}}. {had, plural, =0 {None of them was there before.} one {# was there already.} other {# were there already.}}',
  noConnectionTryAgain:
    'There is no connection to the server. Nothing was imported; try again when there is a signal.',
  importInto: 'Import readings into {name}',
  csvOrWorkbook:
    'A CSV file or an Excel workbook (.xlsx): one row for each reading, or one row for each time with a column for each point. How its columns are read is remembered on this device. Readings that the batch has already are left out.',
  chooseAFile: 'Choose a file',
  takenWith: 'Taken with',
  asTheFileSays: 'as the file says',
  lineReason: 'Line {line, number}: {reason}',
  whoImports: 'Who imports it',
  importReadings: 'Import {n, plural, one {# reading} other {# readings}}',
  correctTheFileFirst:
    '{bad, plural, one {One line} other {# lines}} cannot be read. Correct the file and choose it again, or change how it is read.',
  sayWhichPoint: 'Say which point of the batch each column is.',
  whichPointIsWhich: 'Which point is which',
  leaveItOut: 'leave it out',
} as const;
