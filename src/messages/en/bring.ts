export default {
  theFileIsMbMbIsThe:
    'The file is {size, number} MB; at most {maxbytes, number} MB can be imported. Split it by batch or by time.',
  thisHubHasNoSiteYetName: 'This server has no site yet. Name the site first.',
  entry: 'entry {n, number}',
  aBatchIsInTheLogUnder:
    'A batch is already in the log under this import’s id, with other content. Nothing was saved. Reload the import page and choose the file again.',
  itCouldNotBeWrittenJustNow:
    'It could not be saved just now, and no part of it was. Try again: it is saved once, however often you send it.',
  theFileNamesIt: 'named in the file',
  isNotUtf8TextSaveIt:
    '{name} is not UTF-8 text. Save it as a batch file or as CSV in UTF-8 and drop it again.',
  holdsNeitherABatchFileNorA:
    '{name} is neither a batch file nor a table with a time and a temperature.',
  nothingIsBroughtInOnePlaceIs:
    'Nothing was imported: {problems, number} {problems, plural, one {place is} other {places are}} wrong.',
  andMore: 'and {problems, number} more.',
  mendTheFileAndDropItAgain: 'Fix the file and drop it again.',
  of: 'of {site}:',
  atOnePlaceOtherPlacesOneAct:
    'at {points, plural, one {# point} other {# points}}, {events, plural, one {# other entry} other {# other entries}}, {from} to {to}.',
  proposed: ' · proposed: {proposed}',
  keepItUnderWhichRules: 'Which rules must it meet?',
  whichRuleDoesTheHeadOfThe: 'Which rule is shown first on the batch?',
  noneIsTickedItIsKeptWithout: 'None is ticked: it has no rule to meet.',
  itWouldMeetOf: 'It would meet {met, number} of {chosen, number}.',
  whichRuleHoldsForYouCheckWith:
    '{chosen} Which rule applies to you: check with your local authority.',
  whoBringsItIn: 'Who imports it',
  bay: 'Bay',
  ifItStandsOnThisSite: 'If it is on this site',
  bringItIn: 'Import it',
  sayWhoBringsItIn: 'Say who imports it.',
  howIsTheTableLaidOut: 'How is the table laid out?',
  aReadingARow: 'One reading per row',
  timePointValue: 'time, point, value',
  aRoundARow: 'One check per row',
  timeThenEachPoint: 'time, then each point',
  temperaturesIn: 'Temperatures in',
  timeZoneOfItsClock: 'Time zone of its clock',
  usedWhereATimeNamesNoOffset: 'Used where a time has no offset',
  chooseAZoneSuchAsEuropeLondon: 'Choose a zone such as Europe/London.',
  ifADateIsNotYearFirst: 'If a date does not start with the year',
  dayMonth: 'Day, month',
  monthDay: 'Month, day',
  code: 'Code',
  name: 'Name',
  whenTheLastRawLoadWentIn: 'When the last raw material went in',
  byTheSameClockNothingBeforeIt: 'By the same clock; nothing before it counts',
  neededTheClockStartsHere: 'Needed: the clock starts here.',
  howWasItKept: 'Method',
  turned: 'Turned',
  static: 'Static',
  vessel: 'In-vessel',
  firstRowsOfTheFile: 'First rows of the file',
  firstRowsOf: 'First rows of {rows, number}',
  theHubDidNotAnswerSoIt:
    'The server did not answer, so it may or may not be saved. Press again: it is saved once, however often you send it.',
  dropAFileHereOrChooseOne: 'Drop a file here, or choose one',
  aBatchFileJsonOrTemperaturesAs:
    'A batch file (.json), or temperatures as .csv: time, point, value in rows, or a time and one column for each point.',
  bringInABatchKeptElsewhere: 'Import a batch logged elsewhere',
  whatItWouldSay: 'Result',
  theVerdictOfEachRuleStandsHere:
    'The verdict of each rule is shown here before anything is saved.',
  sayWhenTheLastRawLoadWent: 'Say when the last raw material went in.',
  readingAndJudging: 'Reading and judging…',
} as const;
