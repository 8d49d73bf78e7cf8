export default {
  theFile: 'the file',
  itIsNotATextAsA:
    'It is not a text, as a PDF or a picture is not. Choose the batch file, whose name ends with .zealous-heap.json; it lies beside the record in a ZIP, and inside the PDF as an attachment.',
  openAnotherBatchFile: 'Open another batch file',
  openABatchFile: 'Open a batch file',
  orDropItHereNothingLeavesThis: 'or drop it here. Nothing leaves this computer.',
  theChainOfLogEntriesHolds: 'The chain of log entries holds',
  nothingShowsWhetherThisFileWasChanged: 'Nothing shows whether this file was changed',
  allLogEntriesFitTheirHashesAnd:
    'All {entries, number} log entries fit their hashes, and the readings and works in the file are what the entries say. It shows that nothing was changed after it was logged; it cannot show that what was logged is true.',
  itCarriesNoLogEntriesItsVerdicts:
    'It carries no log entries. Its verdicts are reckoned from what it says, all the same.',
  sha256OfThisFile: 'SHA-256 of this file:',
  sha256PrintedOnTheRecord: 'SHA-256 printed on the record',
  notTheSameTheRecordWasMade:
    'Not the same: the record was made from another file, or at another moment.',
  theSameTheRecordWasMadeFrom: 'The same: the record was made from this very file.',
  typeOrPasteItToCompare: 'Type or paste it to compare',
  judgedAsOf: 'Judged as of',
  mustBeATimeSuchAs2026: 'Must be a time such as 2026-05-01T07:30:00Z.',
  theMomentAfterAsOfOnThe: 'The moment after --as-of on the record',
  temperaturesIn: 'Temperatures in',
  checkAHeatTreatmentRecord: 'Check a heat-treatment record',
  giveItTheBatchFileThatCame:
    'Give it the batch file that came with a record. It checks that no log entry was changed, and reckons every verdict anew from the readings. It is part of Zealous Heap, works with no network, and keeps nothing.',
  cannotBeTrustedAsItIs: '{name} cannot be trusted as it is',
  cannotBeReadAsABatchFile: '{name} cannot be read as a batch file',
  andMore: 'and {problems, number} more.',
} as const;
