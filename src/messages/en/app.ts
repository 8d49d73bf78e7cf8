export default {
  thisHubDoesNotAnswerToThe:
    "This hub does not answer to the name ''{name}''. If phones are to reach it by that name, start it with ZEALOUS_HOSTS={name2}.",
  theAddressHoldsAPerCentSign:
    'The address holds a per cent sign that stands for nothing. Check the link.',
  thisCameFromAnotherSitesPageAnd: 'This came from another site’s page and was not read.',
  thisPageDidNotCome: 'This page did not come',
  theHubOrItsDatabaseDidNot:
    'The hub or its database did not answer. What was logged before is safe. Try again; if it stays, stop and start it with ./zealous.',
  tryAgain: 'Try again',
  goToTheYard: 'Go to the yard',
  zealousHeap: 'Zealous Heap',
  fromThermometerReadingsToAProvenCompost: 'From thermometer readings to a proven compost batch.',
  notHere: 'Not here',
  thereIsNoSuchPageOrHeap:
    'There is no such page or heap on this site. It may belong to another site, or the address was cut short.',
  heap: 'Heap',
  building: 'Building',
  placesOfARound: 'Places of a round',
  heatTreatmentRecord: 'Heat-treatment record',
  rulesOfAHeap: 'Rules of a heap',
  sheetToBuildBy: 'Sheet to build by',
  aLoad: 'A load',
} as const;
