export default {
  onThisDevice: 'En espera de envío',
  nothingWaitsHereTheHubHasAll:
    'No hay nada en espera. Todo lo guardado en este aparato ya se envió.',
  refusedLookAtOneOther:
    '{refused, plural, one {Rechazado: revísalo} other {Rechazados: revísalos}}',
  waitingForASignal: 'Esperando señal',
  theyGoUpByThemselvesInThis: 'Se envían solos, en este orden, cada uno una vez.',
  sendNow: 'Enviar ahora',
  tryNow: 'Intentar ahora',
  whenItHappened: 'Cuándo pasó',
  whereWas: '¿Dónde se midió',
  read: '?',
  chooseThePlace: 'Elige el punto',
  sendItAsANewEntry: 'Enviar como registro nuevo',
  sendItAgain: 'Enviar otra vez',
  sayWhenItHappened: 'Indica cuándo pasó.',
  chooseWhereEachValueWasRead: 'Elige dónde se midió cada valor.',
  yesLetItGoForGood: 'Sí, borrarlo para siempre',
  keepIt: 'Dejarlo aquí',
  letItGo: 'Borrarlo',
};
