export const esEntry = {
  theServersClockShowsUtc:
    'El reloj del servidor marca {replace} UTC, pero el último registro se hizo a las {replace2} UTC. Corrige el reloj del servidor. No se guardó nada, y lo que escribiste sigue aquí.',
  isNotValidTimeChoose: '‘{replace}’ no es una hora válida. Elige el día y la hora en que pasó.',
  theClockNeverShowedHere: 'Aquí el reloj nunca marcó {replace}: se adelantó. Elige otra hora.',
  thatInFutureChooseTime: 'Eso está en el futuro. Elige la hora en que pasó.',
  isLongBeforeThisSite:
    '{sent} es mucho antes de que empezara este sitio. Elige el día en que pasó.',
  thePhonesClockInformationCannot:
    'No se puede leer el reloj del teléfono. Recarga la página y envíalo otra vez.',
  thisDevicesClockAheadServers:
    'El reloj de este aparato va adelantado respecto al servidor. Ajusta el reloj, o elige cuándo se midió.',
  isFinishedChooseActiveBatch:
    '{s} está terminado: {endwords}. Elige un lote activo, o anula antes ese registro.',
  hasNotMetRulesBy:
    '{part} no había cumplido las reglas de {whole} para entonces, así que el lote unido tampoco. Regístralo como no cumplido.',
  theWeedSeedRulesWere:
    '{part} no había cumplido las reglas de semillas de {whole} para entonces. Regístralo con semillas vivas.',
  anotherBatch: 'otro lote',
  from: '{name} de {source}',
  theEntryCorrectNotIn: 'El registro por corregir no está en la bitácora de este lote.',
  thisEntryCannotCorrectedIn:
    'Este registro no se puede corregir por partes. Anúlalo y regístralo de nuevo.',
  hasOwnEntriesSinceThen:
    '{name} ya tiene registros propios, así que la división no se puede anular. Vuelve a unir los dos.',
  versionOfTheRecipe: 'versión de la receta',
  theMap: 'el mapa',
  thisPhonesClockDiffersFrom:
    'El reloj de este teléfono difiere del servidor más de lo que el teléfono sabía.',
  itCouldNotSavedJust: 'No se pudo guardar ahora. Lo que escribiste sigue aquí: intenta otra vez.',
  temperatureCheckOfBy: 'toma de {readings, number} por {by}',
  by: '{kind} por {by}',
  confirmOnPageYouKnow: '{open} Confirma en su página que lo sabes y regístralo de nuevo.',
  aPartWasSplitOff: 'La parte separada se registra en el lote de origen.',
  aNewBatchTakesId: 'Un lote nuevo toma el id del registro que lo inicia.',
  thereNoSuchBatchOn: 'No existe ese lote en este sitio.',
  reading: 'lectura {id}',
  thatHappenedBeforeThisBatch:
    'Eso pasó antes de separar este lote. Corrígelo en el lote de origen; aquí también cuenta.',
  thatReadingNotThereOr: 'Esa lectura no existe, o ya está anulada.',
  tooManyEntriesAtOnce: 'Demasiados registros a la vez. Envía menos.',
  thisServerHasNoSite:
    'Este servidor aún no tiene sitio. Ábrelo en un navegador y ponle nombre. Tus registros esperan en el teléfono.',
  whatArrivedNotJsonReload: 'Lo recibido no es JSON. Recarga la página y envíalo otra vez.',
  aListAtMostEntries: 'Se espera una lista de {maxentries, number} registros como máximo.',
  thePhotoMbServerTakes:
    'La foto pesa {size, number} MB; el servidor acepta {maxbytes, number} MB como máximo. Tómala otra vez más pequeña.',
  thisServerHasNoSite2: 'Este servidor aún no tiene sitio. Ponle nombre primero.',
  thisNotPhotoCanRead:
    'No es una foto que se pueda leer. Envíala como la hace la cámara: JPEG, PNG o WebP, de 50 megapíxeles como máximo.',
  thereNoSuchPhoto: 'No existe esa foto.',
  canNoLongerJudged: 'ya no se puede juzgar.',
  noLongerMeetsClockStarts: '{name} ya no la cumple: el reloj se reinicia.',
  isMetWithThis: 'se cumple con esto.',
  wouldLostLeftAndtheClock:
    'se perderían {lost}: quedan {creditedHours}{segmentFrom, select, andThe {, y el reloj se reinicia} other {}}.',
  theClockStartsOverThere: 'el reloj se reinicia; aún no hay nada que perder.',
  moreCountInAll: 'cuentan {lost} más: {creditedHours} en total.',
  turningCountsTurningsCountInstead:
    '{turningsCounted, plural, one {cuenta # volteo} other {cuentan # volteos}} en vez de {turningsCounted2, number}.',
  goesFromTo: 'pasa de ‘{toLowerCase}’ a ‘{toLowerCase2}’.',
  nothingChanges: 'no cambia nada.',
  who: 'Quién',
  when: 'Cuándo',
  justNow: 'Ahora mismo',
  laterEntryLogShowsBoth: 'Registro tardío: la bitácora muestra ambas horas',
  yourNameSavedWith: 'Se guarda con tu nombre',
  nameTheWindrow: 'Ponle nombre a la hilera.',
  typeWhereStartsEndsIn: 'Escribe dónde empieza y termina, desde el inicio de la hilera.',
  itMustEndAfterStarts: 'Debe terminar después de donde empieza.',
  borderWithMoved: 'se movió el límite con {name}',
  location: 'Lugar',
  inBayOrBin: 'En un cajón',
  inASharedWindrow: 'En una hilera compartida',
  endEndWithOthers: 'uno tras otro',
  bay: 'Cajón',
  windrow: 'Hilera',
  from2: 'Desde',
  to: 'Hasta',
  theBorderMovesWith: 'El límite de {name} se mueve también: {position}.',
  itWouldOverlapCheckMarkers: 'Se encimaría con {name}. Revisa las marcas, o mueve antes {name}.',
  moved: 'movida',
  movedTo: 'movida a {position}',
  to3: 'a {position}',
  howWasItMoved: '¿Cómo se movió?',
  forkedOrTurnedOverCompletely: 'Volteado por completo',
  countsAsFullTurn: 'cuenta como volteo completo',
  movedAsItWas: 'Movido tal cual',
  noTurning: 'sin volteo',
  itLosesHeatOnWay: 'Pierde calor en el camino: mide esa misma tarde y al día siguiente.',
  saveThisMove: 'Guardar este cambio de lugar',
  sayWhereNow: 'Indica dónde está ahora.',
  itWouldOverlap: 'Se encimaría con {overlaps}.',
  chooseHowWasMoved: 'Elige cómo se movió.',
  sayWhoDidIt: 'Indica quién lo hizo.',
  useAShorterName: 'Usa un nombre más corto.',
  theOtherBatchNotOn: 'El otro lote no es de este sitio. Elige uno de aquí.',
  somebody: 'alguien',
  photoChanged: 'La foto guardada con este número no es la que se tomó.',
  outOfBounds:
    '{value} no puede ser: debe estar entre {least, number} y {most, number} {sign}. Revisa el número y su unidad.',
  entryTooLarge:
    'Este asiento mide {size, number} kB; se guardan como máximo {most, number} kB. Acórtalo o anótalo en dos.',
  unknownTooLarge:
    'Trae {size, number} kB en campos que aquí no se conocen; se guardan como máximo {most, number} kB.',
};
