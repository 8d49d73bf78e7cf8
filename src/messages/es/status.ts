export const esStatus = {
  met: 'Cumplida el {day}',
  metWhereRead: 'Cumplida donde se midió el {day}, orilla sin medir',
  unreadSince: 'Sin medir desde el {day}',
  noTemperaturesYet: 'Todavía sin temperaturas',
  notHotEnoughSoFar: 'Todavía no calienta lo suficiente',
  paused: '{hours}, en pausa',
  startsOver: '{progress}, empieza de nuevo',
  needsHeat: '{progress}, le falta calor',
  othersMet: 'cumple {rules}',
  noRuleToMeet: 'Sin regla que cumplir',
  doesNotCountYet: 'todavía no cuenta',
  lost: 'se perdieron {hours}',
  mainNotMet: '{rule} sin cumplir, {progress}',
  onDay: 'el día {days, number}',
  courseUnread: 'No se sabe cómo está ahora: última medición {at}, {is}.',
  courseTooHot: '{is}: demasiado caliente. De este método se espera {band} {day}.',
  courseWatch: '{is} {day}: tan caliente que hay que vigilarlo, de este método se espera {band}.',
  courseWarming: '{is} {day}: todavía se calienta. La mezcla correcta está caliente en tres días.',
  courseNotHeating:
    '{is} {day}: todavía no está caliente, de este método se espera {band}. {late, select, late {Después de una semana difícilmente se calienta sola.} other {Mira qué le puede faltar.}}',
  courseNeedsMending: '{is} {day}, donde se espera {band}, pero algo le pasa.',
  stageWhenRead: '{stage} en la última medición, {at}; sin medir desde entonces',
  day: 'día {days, number}',
  dayOfBuilding: 'día {days, number} de armado',
  stillBeingBuilt: 'En armado',
  started: 'desde {at}',
  markedReady: 'Marcado como listo',
  curing: 'En curado',
  onHold: 'Retenido',
  finished: 'Terminado',
  noHotCheckBetween:
    'El volteo del {at} no cuenta: no hay medición caliente entre él y el anterior.',
  cureInDanger:
    '{temp} adentro en la última medición{level, select, fire {: puede prenderse. Moverlo deja entrar aire y no quita el peligro. Aléjate, mídelo otra vez, sigue el plan de incendio.} other {, demasiado caliente para curar: movido, sigue calentándose donde nadie lo busca. Primero enfríalo y mídelo otra vez.}}',
  cureInDangerUnread:
    'Alguien olió a quemado y nadie lo ha medido desde entonces. Moverlo deja entrar aire y no quita el peligro. Aléjate, mídelo, sigue el plan de incendio.',
  cureUnproven:
    '{rule} sin cumplir: {progress}. Lo que se mueve ahora deja de contar, y su lote no tiene detrás ninguna regla cumplida.',
  confirmCure: 'Confirma en la página que lo sabes: {open}',
  beforeItIsMoved: 'Antes de moverlo',
  implausibleCheck:
    'Marcó {read} y debía marcar {reference}. ¿Se leyó en {unit} y no en {other}? Escríbelo otra vez, o di que es así: cada medición con él se corregiría en esa cantidad.',
  tickTheBox: 'Primero marca la casilla de arriba.',
  isThatRight: '¿Es correcto?',
  lookedTwice: 'Lo miré dos veces: marca así',
  hotButDoesNotCount:
    '{valueC} en la última toma, pero esa toma no cuenta: mide todos los puntos en una sola toma.',
  actNow: '{act}: ahora',
  actBy: '{act}: antes de {by}',
  thermometerOff:
    'El termómetro {probe} marcaba {off} de {way, select, high {más} other {menos}} en su revisión del {day}.',
  fromTheStart: 'desde el principio',
  sinceCheckOf: 'desde su revisión del {day}',
  wouldNotBeMet: 'Si era así {from}, {losses}.',
  hasNotMet: '{batch} no cumplió {rules}',
  wouldLoseTime: 'Si era así {from}, parte del tiempo que cuenta no estuvo bastante caliente.',
  weedsCameUp: 'Salieron malas hierbas donde se usó {lot} (anotado el {day}).',
  weedsInTest: 'Salieron malas hierbas en la prueba de {lot} ({day}).',
  seedlingsHarmed:
    'Las plántulas crecieron mal en la prueba de {lot} ({day}): puede llevar herbicida.',
  laboratoryOver: '{analytes} en {lot}: fuera de los límites para {uses} (laboratorio, {day}).',
  speaksOf: 'Afecta a {names}.',
  settledBy: '{by} lo aclaró el {day}: {reason}',
  toClearUp: 'Por aclarar',
  toClearUpHow:
    'Algo habla en contra de lo que dice un registro. Figura en cada pila y cada lote a los que afecta hasta que alguien lo examina y dice por qué está aclarado.',
  nothingToClearUp: 'Nada por aclarar.',
  settled: 'Aclarado',
  settleIt: 'Darlo por aclarado',
  settleReason: 'Qué encontraste y por qué está aclarado',
  settleReasonMissing: 'Di primero qué encontraste.',
  onlyManagerSettles: 'Quien dirige el sitio puede darlo por aclarado.',
  questionNotOpen: 'Esto ya está aclarado o nunca estuvo por aclarar. Vuelve a cargar la página.',
  concernsTitle: 'Atención a lo que entró',
  loadOfDay: '{load}{supplier, select, none {} other { de {supplierName}}}, {day}',
  moreLoads: '{more, plural, one {una carga más} other {# cargas más}}',
  concernSludge:
    'Lodos de aguas negras: {from}. Ningún uso sin resultados de laboratorio, una regla para patógenos cumplida y una prueba de madurez. Consulta a la autoridad local.',
  concernByProduct:
    'Subproductos animales: {from}. Todo debe calentarse según su regla. Consulta a la autoridad local.',
  concernSprayed:
    'Rociado con herbicida: {from}. Algunos resisten el compostaje: prueba con plántulas antes de ponerlo donde crecen plantas.',
  concernDiseased: 'Plantas enfermas: {from}. No lo pongas en camas de los mismos cultivos.',
  concernDiseasedFamilies:
    'Plantas enfermas ({families}): {from}. No lo pongas en camas de la misma familia de cultivos.',
  concernUnknownOrigin:
    'Compost de otra parte sin papeles: {from}. Cuenta como crudo hasta que se caliente aquí.',
  concernSeeds:
    'Puede haber semillas o raíces vivas de malezas: {from}. Solo una regla para semillas muestra que el calor llegó a ellas.',
  concernSprayUnknown:
    'Nadie sabe si fue rociado: {from}. Prueba con plántulas en el compost antes de ponerlo en una cama.',
  concernDust:
    'Polvo, esporas o alérgenos: {from}. Humedécelo y usa mascarilla al voltearlo o cernirlo en seco.',
  standBack: 'aléjate, mide primero',
  tooHot: 'demasiado caliente',
} as const;
