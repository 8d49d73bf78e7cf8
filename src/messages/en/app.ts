export const enApp = {
  thisServerDoesNotAnswer:
    "This server does not answer to the name ''{name}''. If phones should reach it by that name, start it with ZEALOUS_HOSTS={name2}.",
  theAddressContainsPercentSign:
    'The address contains a percent sign with no meaning. Check the link.',
  thisCameFromAnotherWebsite: 'This came from another website and was not read.',
  thisPageDidNotLoad: 'This page did not load',
  theServerOrDatabaseDid:
    'The server or its database did not answer. What was logged before is there. Try again; if it keeps happening, restart it with ./zealous.',
  tryAgain: 'Try again',
  goToBatches: 'Go to batches',
  zealousHeap: 'Zealous Heap',
  fromTemperatureReadingsBatchMeets: 'From temperature readings to a batch that meets its rule.',
  pageNotFound: 'Page not found',
  thereNoSuchPageOr:
    'There is no such page or batch on this site. It may belong to another site, or the address was cut short.',
  batch: 'Batch',
  buildingTheBatch: 'Building the batch',
  probePoints: 'Probe points',
  heatTreatmentRecord: 'Heat-treatment record',
  rulesOfThisBatch: 'Rules of this batch',
  buildSheet: 'Build sheet',
  load: 'Load',
  paperSheet: 'Paper sheet',
  importReadings: 'Import readings',
  tooManyRequests:
    'Too many requests at once. Wait {waitS, plural, one {# second} other {# seconds}}; what waits on this device is sent again by itself.',
  errorWithNumber:
    'The server could not do that just now. Nothing was lost: try again. Error number {number}, for whoever looks after the server.',
  bodyCut:
    'Only {size, number} of {told, number} bytes arrived: it was cut off on its way. Send it again.',
  notAsked: 'This address is not asked that way. Reload the page and try again.',
  noActions: 'This server takes no such request. Reload the page and try again.',
  methodNotTaken: 'This server does not take {method}.',
  bodyTooLarge: 'What was sent is too large: this address takes at most {most, number} kB.',
  bodyWithoutSize: 'What was sent does not say how large it is. Send it with a Content-Length.',
  tooDeep: 'What arrived is nested too deep to be one of our files. Choose another file.',
} as const;
