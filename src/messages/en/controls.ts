export const enControls = {
  youTypedThisDidNot: 'You typed this {at} and did not save it.',
  startOver: 'Start over',
  theServerDoesNotAnswer:
    'The server does not answer. What you typed is still here. Try again when there is a signal.',
  workingOutWhatThisDoes: 'Working out what this does to each rule…',
  noRulesClockRunningSo: 'No rule’s clock is running, so no verdict changes.',
  noVerdictChanges: 'No verdict changes.',
  thisCostsCountedTimeOr: 'This costs counted time or a met rule:',
  whatThisDoes: 'What this does:',
  theServerDoesNotAnswer2:
    'The server does not answer, so the effect on each rule is not known now.',
  saving: 'Saving…',
  sayWhoDidIt: 'Say who did it.',
  closeWithoutSaving: 'Close without saving',
  clear: 'Clear',
  thisNeedsServerDidNot:
    'This needs the server, and it did not answer. Close it and open it again.',
  oneMoment: 'One moment…',
  less: 'Less: {label}',
  more: 'More: {label}',
  measure: '{label}, measure',
  notKnown: 'not known',
  estimatedByEye: 'estimated by eye',
  n1IsL: '1 {name} is {litres, number, litres}',
  itStaysUnknownWhatDepends:
    'It stays unknown: what depends on it is not worked out, instead of guessed.',
  thePhotoCouldNotSaved: 'The photo could not be saved. Take it again.',
  photo: 'Photo',
  photoOf: 'Photo of {of}',
  photoTooLarge:
    '‘{name}’ is {size, number} MB; this phone can open {most, number} MB at most. Take it again at a smaller size.',
  notAPicture: '‘{name}’ is not a picture that this phone can open. Choose a photo.',
  photoNotMadeSmaller: '‘{name}’ could not be made smaller on this phone. Take it again.',
  correctWhatIsMarkedAbove: 'Correct what is marked above.',
} as const;
