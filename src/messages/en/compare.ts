export const enCompare = {
  itDidNotMeetRule: 'It did not meet its rule.',
  itMetRuleOnDay:
    'It met its rule on day {provenDay, number}, {provenDay2, plural, one {# day} other {# days}} past the present age of {name}, with {turnsAfter, plural, one {# more turning} other {# more turnings}}.',
  itMetRuleOnDay2: 'It met its rule on day {provenDay, number}.',
  aWeekLaterWasAt: ' A week later it was at {weekLaterC}.',
  apartOverDayDays:
    '{apartK} °{unit} apart over {days, plural, one {# day} other {# days}}. {provenDay}{weekLaterC}',
  batchesByAge: 'Batches by age',
  whichBatchesUpSixOthers: 'Which batches, up to six? The others are compared with the first',
  finished: ' (finished)',
  chooseBatchesHaveTemperatures: 'Choose batches that have temperatures.',
  hottestPointEachCheckCounted:
    'Hottest point of each check, counted from the last raw material. Marks below: what was done to each.',
  mostLikeAtAge: 'Most like {name} at its age',
  noOlderBatchWasSimilar: 'No older batch was similar so far.',
  showItToo: 'Show it too',
  sameAsATable: 'Same as a table',
  day: 'Day',
  turned: 'turned',
  watered: 'watered',
  added: 'added',
  met: 'met',
} as const;
