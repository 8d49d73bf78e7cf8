export const enWaiting = {
  waitingToSend: 'Waiting to send',
  nothingWaitingEverythingSavedOn:
    'Nothing is waiting. Everything saved on this device has been sent.',
  refusedLookAtOneOther: 'Refused: look at {refused, plural, one {it} other {them}}',
  waitingForASignal: 'Waiting for a signal',
  theySentByThemselvesIn: 'They are sent by themselves, in this order, each once.',
  sendNow: 'Send now',
  tryNow: 'Try now',
  whenItHappened: 'When it happened',
  whereWas: 'Where was',
  read: 'read?',
  chooseThePoint: 'Choose the point',
  sendAsNewEntry: 'Send as a new entry',
  sendAgain: 'Send again',
  sayWhenItHappened: 'Say when it happened.',
  chooseWhereEachValueWas: 'Choose where each value was read.',
  yesDeleteForGood: 'Yes, delete it for good',
  leaveItHere: 'Leave it here',
  deleteIt: 'Delete it',
  waitsForOther: '{name} logged this. It waits on this device until {name} signs in here.',
  sendInMyName: 'Send it as {me}',
  handedOverHow:
    'The log will say that {name} logged it and {me} sent it. What a trainee logged still has to be checked.',
  sendBothNamed: 'Send: logged by {name}, sent by {me}',
  othersWait:
    '{n, plural, one {One entry of {names} waits} other {# entries of {names} wait}} on this device. They are sent when the same person signs in here.',
} as const;
