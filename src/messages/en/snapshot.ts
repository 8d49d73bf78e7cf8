export default {
  notHot: 'not hot',
  tooHot: 'too hot',
  hotButPlacesAreNeededDoesNot:
    'hot, but {minPoints, number} places are needed: does not count yet',
  coldestAtHottestOneOther:
    '{time}: coldest {c} at {point}, hottest {peak}, {points, number} {points, plural, one {point} other {points}}, {word}',
  lastRawLoadIn: 'Last raw load in, {builtAt}',
  proven: 'proven {provenAt}',
  timeReached: 'time reached',
  atTheEarliest: '{earliestProofAt} at the earliest',
  missing: '{requiredHours} missing',
  andUpTimeIsCredited: '{floor} and up: time is credited',
  aboveTooHot: 'above {temp}, too hot',
  seeds: 'Seeds, ',
  lost: '{ms} lost',
  runEnded: 'run ended',
  clockStartsAgain: 'clock starts again',
  notReadHotInTime: '{lostMs}: not read hot in time',
  readAtOfPlacesDoesNotCount:
    'read at {points, number} of {minPoints, number} places: does not count',
  theEntryThatOpenedIt: 'the entry that opened it',
  versionOfTheSites: ', version {siteVersion, number} of the site’s',
  versionOfThisHeapsRulesAndPolicy:
    'Version {version, number} of this heap’s rules and policy{site}; edition {libraryedition, number} of the library.',
  theRulesInForceDoNotAsk: 'the rules in force do not ask for it any more',
  underVersionInForceNowItWould:
    'under version {versions, number}, in force now, it would be proven {provenAt}',
  underVersionInForceNowItWould2:
    'under version {versions, number}, in force now, it would be ‘{toLowerCase}’',
  provenUnderVersionOfThisHeapsRules:
    'Proven under version {version, number} of this heap’s rules and policy, and it stands; {now}.',
  met: 'Met {provenAt}',
  oneTurningOtherTurnings: '{turnings, plural, one {# turning} other {# turnings}}',
  atMost: '{highestC} at most',
  theTimeOfItsLastRawLoad: ' The time of its last raw load was told from memory.',
  whenTheLastRawLoadWentIn:
    ' When the last raw load went in is not known: the clock runs from when it was taken over.',
  takenOverNotRecordedHereBeforeAs:
    'Taken over {from}: not recorded here before.{raw} As they tell it: {told}. None of that counts for a rule.',
  takenOverNotRecordedHereBefore: 'Taken over {from}: not recorded here before.{raw}',
  coldestReadAgo: 'coldest {valueC}, read {age} ago',
  notReadYet: 'not read yet',
  stillBuilding: 'still building',
  built: 'built',
  stirred: 'stirred',
  raw: 'raw',
  added: 'added',
  hot: 'hot',
} as const;
