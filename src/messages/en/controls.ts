export default {
  thisWasTypedAndNotSaved: 'You typed this {at} and did not save it.',
  startAfresh: 'Start over',
  theHubDoesNotAnswerWhatYou:
    'The server does not answer. What you typed is still here. Try again when there is a signal.',
  workingOutWhatItDoesToEach: 'Working out what this does to each rule…',
  noRulesClockIsRunningSoIt: 'No rule’s clock is running, so no verdict changes.',
  itChangesNoVerdict: 'No verdict changes.',
  thisCostsCountedTimeOrAProof: 'This costs counted time or a met rule:',
  whatItDoes: 'What this does:',
  theHubDoesNotAnswerSoWhat:
    'The server does not answer, so the effect on each rule is not known now.',
  keeping: 'Saving…',
  sayWhoDidIt: 'Say who did it.',
  closeWithoutKeeping: 'Close without saving',
  clear: 'Clear',
  thisTakesTheHubAndItDid:
    'This needs the server, and it did not answer. Close it and open it again.',
  aMoment: 'One moment…',
  less: 'Less: {label}',
  more: 'More: {label}',
  measure: '{label}, measure',
  litres: 'liters',
  kg: 'kg',
  notKnown: 'not known',
  judgedByEye: 'estimated by eye',
  n1IsL: '1 {name} is {litres, number} L',
  itStaysUnknownWhatHangsOnIt:
    'It stays unknown: what depends on it is not worked out, instead of guessed.',
  thePhotoCouldNotBeKeptTake: 'The photo could not be saved. Take it again.',
  photo: 'Photo',
  photoOf: 'Photo of {of}',
} as const;
