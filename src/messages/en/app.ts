export default {
  thisHubDoesNotAnswerToThe:
    "This server does not answer to the name ''{name}''. If phones should reach it by that name, start it with ZEALOUS_HOSTS={name2}.",
  theAddressHoldsAPerCentSign:
    'The address contains a percent sign with no meaning. Check the link.',
  thisCameFromAnotherSitesPageAnd: 'This came from another website and was not read.',
  thisPageDidNotCome: 'This page did not load',
  theHubOrItsDatabaseDidNot:
    'The server or its database did not answer. Everything logged before is safe. Try again. If it keeps happening, stop the server and start it with ./zealous.',
  tryAgain: 'Try again',
  goToTheYard: 'Go to batches',
  zealousHeap: 'Zealous Heap',
  fromThermometerReadingsToAProvenCompost:
    'From temperature readings to a batch that meets its rule.',
  notHere: 'Page not found',
  thereIsNoSuchPageOrHeap:
    'There is no such page or batch on this site. It may belong to another site, or the address was cut short.',
  heap: 'Batch',
  building: 'Building the batch',
  placesOfARound: 'Probe points',
  heatTreatmentRecord: 'Heat-treatment record',
  rulesOfAHeap: 'Rules of this batch',
  sheetToBuildBy: 'Build sheet',
  aLoad: 'Load',
} as const;
