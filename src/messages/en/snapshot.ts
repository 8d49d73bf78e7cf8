export default {
  notHot: 'not hot',
  tooHot: 'too hot',
  hotButPlacesAreNeededDoesNot:
    'hot, but {minPoints, number} points are needed: does not count yet',
  coldestAtHottestOneOther:
    '{time}: coldest {c} at {point}, hottest {peak}, {points, number} {points, plural, one {point} other {points}}, {word}',
  lastRawLoadIn: 'Last raw material in, {builtAt}',
  proven: 'met {provenAt}',
  timeReached: 'time reached',
  atTheEarliest: '{earliestProofAt} at the earliest',
  missing: '{requiredHours} to go',
  andUpTimeIsCredited: '{floor} and above: time counts',
  aboveTooHot: 'above {temp}, too hot',
  seeds: 'Weed seeds, ',
  lost: '{ms} lost',
  runEnded: 'counted time ends',
  clockStartsAgain: 'clock starts over',
  notReadHotInTime: '{lostMs}: no hot reading in time',
  readAtOfPlacesDoesNotCount:
    'read at {points, number} of {minPoints, number} points: does not count',
  theEntryThatOpenedIt: 'the entry that started it',
  versionOfTheSites: ', version {siteVersion, number} of the site’s',
  versionOfThisHeapsRulesAndPolicy:
    'Version {version, number} of this batch’s rules and policy{site}; edition {libraryedition, number} of the library.',
  theRulesInForceDoNotAsk: 'the rules in force no longer ask for it',
  underVersionInForceNowItWould:
    'under version {versions, number}, in force now, it would be met {provenAt}',
  underVersionInForceNowItWould2:
    'under version {versions, number}, in force now, it would be ‘{toLowerCase}’',
  provenUnderVersionOfThisHeapsRules:
    'Met under version {version, number} of this batch’s rules and policy, and it stands; {now}.',
  met: 'Met {provenAt}',
  oneTurningOtherTurnings: '{turnings, plural, one {# turning} other {# turnings}}',
  atMost: 'at most {highestC}',
  theTimeOfItsLastRawLoad: ' The time of its last raw material was given from memory.',
  whenTheLastRawLoadWentIn:
    ' When the last raw material went in is not known: the clock runs from when it was taken over.',
  takenOverNotRecordedHereBeforeAs:
    'Taken over {from}: not logged here before.{raw} As reported: {told}. None of that counts for a rule.',
  takenOverNotRecordedHereBefore: 'Taken over {from}: not logged here before.{raw}',
  coldestReadAgo: 'coldest {valueC}, {age} ago',
  notReadYet: 'no temperatures yet',
  stillBuilding: 'still being built',
  built: 'built',
  stirred: 'partial turn',
  raw: 'raw',
  added: 'added',
  hot: 'hot',
} as const;
