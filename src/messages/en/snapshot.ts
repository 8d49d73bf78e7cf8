export const enSnapshot = {
  notHot: 'not hot',
  tooHot: 'too hot',
  hotButPointsNeededDoes: 'hot, but {minPoints, number} points are needed: does not count yet',
  coldestAtHottestOneOther:
    '{time}: coldest {c} at {point}, hottest {peak}, {points, number} {points, plural, one {point} other {points}}, {word}',
  lastRawMaterialIn: 'Last raw material in, {builtAt}',
  met: 'met {provenAt}',
  timeReached: 'time reached',
  atTheEarliest: '{earliestProofAt} at the earliest',
  toGo: '{requiredHours} to go',
  andAboveTimeCounts: '{floor} and above: time counts',
  aboveTooHot: 'above {temp}, too hot',
  weedSeeds: 'Weed seeds, ',
  lost: '{ms} lost',
  countedTimeEnds: 'counted time ends',
  clockStartsOver: 'clock starts over',
  noHotReadingInTime: '{lostMs}: no hot reading in time',
  readAtPointsDoesNot: 'read at {points, number} of {minPoints, number} points: does not count',
  theEntryStarted: 'the entry that started it',
  versionOfTheSites: ', version {siteVersion, number} of the site’s',
  versionThisBatchsRulesPolicy:
    'Version {version, number} of this batch’s rules and policy{site}; edition {libraryedition, number} of the library.',
  theRulesInForceNo: 'the rules in force no longer ask for it',
  underVersionInForceNow:
    'under version {versions, number}, in force now, it would be met {provenAt}',
  underVersionInForceNow2:
    'under version {versions, number}, in force now, it would be ‘{toLowerCase}’',
  metUnderVersionThisBatchs:
    'Met under version {version, number} of this batch’s rules and policy, and it stands; {now}.',
  turningTurnings: '{turnings, plural, one {# turning} other {# turnings}}',
  atMost: 'at most {highestC}',
  theTimeLastRawMaterial: ' The time of its last raw material was given from memory.',
  whenLastRawMaterialWent:
    ' When the last raw material went in is not known: the clock runs from when it was taken over.',
  takenOverNotLoggedHere:
    'Taken over {from}: not logged here before.{raw} As reported: {told}. None of that counts for a rule.',
  takenOverNotLoggedHere2: 'Taken over {from}: not logged here before.{raw}',
  coldestAgo: 'coldest {valueC}, {age} ago',
  noTemperaturesYet: 'no temperatures yet',
  built: 'built',
  partialTurn: 'partial turn',
  raw: 'raw',
  added: 'added',
  hot: 'hot',
} as const;
