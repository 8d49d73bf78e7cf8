export const enChecker = {
  theFile: 'the file',
  thisNotTextFileAs:
    'This is not a text file, as a PDF or a photo is not. Choose the batch file, whose name ends with .zealous-heap.json. It is beside the record in a ZIP, and inside the PDF as an attachment.',
  openAnotherBatchFile: 'Open another batch file',
  orDropHereNothingLeaves: 'or drop it here. Nothing leaves this computer.',
  theChainLogEntriesIntact: 'The chain of log entries is intact',
  nothingShowsWhetherThisFile: 'Nothing shows whether this file was changed',
  allLogEntriesMatchTheir:
    'All {entries, number} log entries match their hashes, and the readings and other entries in the file match the log. This shows that nothing was changed after it was logged. It cannot show that what was logged is true.',
  itContainsNoLogEntries:
    'It contains no log entries. Its verdicts are worked out from the file anyway.',
  sha256ThisFile: 'SHA-256 of this file:',
  sha256PrintedOnRecord: 'SHA-256 printed on the record',
  notSameRecordWasMade: 'Not the same: the record was made from another file, or at another time.',
  theSameRecordWasMade: 'The same: the record was made from exactly this file.',
  typeOrPasteCompare: 'Type or paste it to compare',
  judgedAsOf: 'Judged as of',
  mustTimeSuchAs2026: 'Must be a time such as 2026-05-01T07:30:00Z.',
  theTimeAfterAsOn: 'The time after --as-of on the record',
  temperaturesIn: 'Temperatures in',
  checkHeatTreatmentRecord: 'Check a heat-treatment record',
  chooseBatchFileCameWith:
    'Choose the batch file that came with a record. This page checks that no log entry was changed, and works out every verdict again from the readings. It is part of Zealous Heap, works with no network, and saves nothing.',
  cannotTrustedAs: '{name} cannot be trusted as it is',
  cannotReadAsBatchFile: '{name} cannot be read as a batch file',
  andMore: 'and {problems, number} more.',
  lotsWorkedOut: 'After the heat, worked out again from the flows in this file',
  lotsNoChain:
    'This file bears no chain of log entries: nothing shows whether it was changed. Shares and what tests say are worked out here from its litres and raw values.',
  openALotsFile: 'Open a batch file or a lots file',
  testsWorkedOut: 'Maturity tests, worked out again from their raw values',
  noLotsThere: 'No lot in this file holds anything.',
  noTestsThere: 'No tests in this file.',
  noOutsThere: 'Nothing in this file has left the site.',
  ofTheBatch: 'Of the batch',
  lotsFile: 'Lots file (open JSON)',
  compareKey:
    'Compare the key with the one printed on the record. It shows who sealed the file; it cannot show that a reading was true when it was typed.',
  keyPrinted: 'Key printed on the record',
  keyTypeIt: 'Four groups of four, such as 7DBB 554D 0F1A 22C9.',
  keySame: 'The same key signed this file.',
} as const;
