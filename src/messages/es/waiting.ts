export const esWaiting = {
  nothingWaitingEverythingSavedOn:
    'No hay nada en espera. Todo lo guardado en este aparato ya se envió.',
  refusedLookAtOneOther:
    '{refused, plural, one {Rechazado: revísalo} other {Rechazados: revísalos}}',
  waitingForASignal: 'Esperando señal',
  waitingForWhoLogged: 'En espera de quien lo anotó',
  theySentByThemselvesIn: 'Se envían solos, en este orden, cada uno una vez.',
  sendNow: 'Enviar ahora',
  tryNow: 'Intentar ahora',
  whenItHappened: 'Cuándo pasó',
  whereWas: '¿Dónde se midió',
  read: '?',
  chooseThePoint: 'Elige el punto',
  sendAsNewEntry: 'Enviar como registro nuevo',
  sendAgain: 'Enviar otra vez',
  sayWhenItHappened: 'Indica cuándo pasó.',
  chooseWhereEachValueWas: 'Elige dónde se midió cada valor.',
  yesDeleteForGood: 'Sí, borrarlo para siempre',
  leaveItHere: 'Dejarlo aquí',
  deleteIt: 'Borrarlo',
  waitsForOther: 'Lo anotó {name}. Espera en este aparato hasta que {name} entre aquí.',
  sendInMyName: 'Enviarlo como {me}',
  handedOverHow:
    'El registro dirá que lo anotó {name} y lo envió {me}. Lo que anotó un aprendiz todavía se debe revisar.',
  sendBothNamed: 'Enviar: anotado por {name}, enviado por {me}',
  othersWait:
    '{n, plural, one {Un asiento de {names} espera en este aparato. Se envía cuando {names} entre aquí.} many {# asientos de {names} esperan en este aparato. Se envían cuando quien los anotó entre aquí.} other {# asientos de {names} esperan en este aparato. Se envían cuando quien los anotó entre aquí.}}',
  onThisDevice: 'En este aparato',
  kept: 'Este navegador guarda lo que espera hasta que se envíe.',
  notKept:
    'Este navegador puede borrar lo que espera si falta espacio en el aparato. Envíalo pronto o guárdalo en un archivo.',
  roomPlenty: 'Queda espacio de sobra.',
  roomLeft: 'Espacio que queda: unos {mb, number} MB.',
  saveToFile: 'Guardar lo que espera en un archivo',
  giveBack: 'Recuperar de un archivo',
  saveToFileHow:
    'Si hay que borrar o reparar este aparato: guarda lo que espera y recupera el archivo aquí o en otro aparato. Cada asiento se guarda una vez, aunque se recupere varias.',
  noSuchFile: 'Este no es un archivo de asientos en espera. Elige el que se guardó aquí.',
  gaveBack:
    '{n, plural, =0 {Todo lo de este archivo ya está aquí o ya se envió.} one {Se recuperó un asiento.} many {Se recuperaron # asientos.} other {Se recuperaron # asientos.}}',
};
