export default {
  itWasNotProven: 'It was not proven.',
  itWasProvenOnDayOneDay:
    'It was proven on day {provenDay, number}, {provenDay2, plural, one {# day} other {# days}} after the age that {name} has now, with {turnsAfter, plural, one {# more turning} other {# more turnings}}.',
  itWasProvenOnDay: 'It was proven on day {provenDay, number}.',
  aWeekOnItStoodAt: ' A week on it stood at {weekLaterC}.',
  apartOverOneDayOtherDays:
    '{apartK} °{unit} apart over {days, plural, one {# day} other {# days}}. {provenDay}{weekLaterC}',
  heapsByTheirAge: 'Heaps by their age',
  whichHeapsSixAtMostTheFirst:
    'Which heaps, six at most? The first is the one that others are likened to',
  gone: ' (gone)',
  chooseHeapsThatHaveBeenRead: 'Choose heaps that have been read.',
  hottestPlaceOfEachRoundCountedFrom:
    'Hottest place of each round, counted from the last raw load. Marks below: what was done to each.',
  mostLikeAtItsAge: 'Most like {name} at its age',
  noOlderHeapWasAlikeSoFar: 'No older heap was alike so far.',
  drawItToo: 'Draw it too',
  theSameAsATable: 'The same as a table',
  day: 'Day',
  turned: 'turned',
  watered: 'watered',
  added: 'added',
  proven: 'proven',
} as const;
