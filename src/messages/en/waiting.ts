export const enWaiting = {
  nothingWaitingEverythingSavedOn:
    'Nothing is waiting. Everything saved on this device has been sent.',
  refusedLookAtOneOther: 'Refused: look at {refused, plural, one {it} other {them}}',
  waitingForASignal: 'Waiting for a signal',
  waitingForWhoLogged: 'Waiting for who logged it',
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
    '{n, plural, one {One entry of {names} waits on this device. It is sent when {names} signs in here.} other {# entries of {names} wait on this device. They are sent when whoever logged them signs in here.}}',
  onThisDevice: 'On this device',
  kept: 'This browser keeps what waits until it is sent.',
  notKept:
    'This browser may throw away what waits if the device runs out of room. Send it soon, or save it to a file.',
  roomPlenty: 'There is plenty of room left for it.',
  roomLeft: 'Room left for it: about {mb, number} MB.',
  saveToFile: 'Save what waits to a file',
  giveBack: 'Give back from a file',
  saveToFileHow:
    'If this device has to be wiped or repaired: save what waits, and give the file back here or on another device. Each entry is saved once, however often it is given back.',
  noSuchFile: 'This is no file of entries that waited. Choose the one that was saved here.',
  gaveBack:
    '{n, plural, =0 {Everything in this file is here already, or was sent.} one {One entry was given back.} other {# entries were given back.}}',
} as const;
