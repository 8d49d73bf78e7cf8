export default {
  itWasNotProven: 'It did not meet its rule.',
  itWasProvenOnDayOneDay:
    'It met its rule on day {provenDay, number}, {provenDay2, plural, one {# day} other {# days}} past the present age of {name}, with {turnsAfter, plural, one {# more turning} other {# more turnings}}.',
  itWasProvenOnDay: 'It met its rule on day {provenDay, number}.',
  aWeekOnItStoodAt: ' A week later it was at {weekLaterC}.',
  apartOverOneDayOtherDays:
    '{apartK} °{unit} apart over {days, plural, one {# day} other {# days}}. {provenDay}{weekLaterC}',
  heapsByTheirAge: 'Batches by age',
  whichHeapsSixAtMostTheFirst: 'Which batches, up to six? The others are compared with the first',
  gone: ' (finished)',
  chooseHeapsThatHaveBeenRead: 'Choose batches that have temperatures.',
  hottestPlaceOfEachRoundCountedFrom:
    'Hottest point of each check, counted from the last raw material. Marks below: what was done to each.',
  mostLikeAtItsAge: 'Most like {name} at its age',
  noOlderHeapWasAlikeSoFar: 'No older batch was similar so far.',
  drawItToo: 'Show it too',
  theSameAsATable: 'Same as a table',
  day: 'Day',
  turned: 'turned',
  watered: 'watered',
  added: 'added',
  proven: 'met',
} as const;
