export default {
  theHubsClockShowsUtcAndThe:
    'El reloj del servidor marca {replace} UTC, pero el último registro se hizo a las {replace2} UTC. Corrige el reloj del servidor. No se guardó nada, y lo que escribiste sigue aquí.',
  isNoTimeThatAClockShows: '‘{replace}’ no es una hora válida. Elige el día y la hora en que pasó.',
  theClockNeverShowedHereItWas:
    'Aquí el reloj nunca marcó {replace}: se adelantó. Elige otra hora.',
  thatIsStillToComeChooseThe: 'Eso está en el futuro. Elige la hora en que pasó.',
  isLongBeforeThisSiteChooseThe:
    '{sent} es mucho antes de que empezara este sitio. Elige el día en que pasó.',
  whatThePhoneSaysOfItsClock:
    'No se puede leer el reloj del teléfono. Recarga la página y envíalo otra vez.',
  thisDevicesClockRunsAheadOfThe:
    'El reloj de este aparato va adelantado respecto al servidor. Ajusta el reloj, o elige cuándo se midió.',
  isAtItsEndChooseAHeap:
    '{s} está terminado: {endwords}. Elige un lote activo, o anula antes ese registro.',
  hasNotMetSRulesByThen:
    '{part} no había cumplido las reglas de {whole} para entonces, así que el lote unido tampoco. Regístralo como no cumplido.',
  sSeedsHaveNotMetSRules:
    '{part} no había cumplido las reglas de semillas de {whole} para entonces. Regístralo con semillas vivas.',
  anotherHeap: 'otro lote',
  from: '{name} de {source}',
  theEntryToCorrectIsNotIn: 'El registro por corregir no está en la bitácora de este lote.',
  thisEntryCannotBePutRightIn:
    'Este registro no se puede corregir por partes. Anúlalo y regístralo de nuevo.',
  hasEntriesOfItsOwnSinceThen:
    '{name} ya tiene registros propios, así que la división no se puede anular. Vuelve a unir los dos.',
  versionOfTheRecipe: 'versión de la receta',
  theMap: 'el mapa',
  thisPhonesClockDiffersFromTheHubs:
    'El reloj de este teléfono difiere del servidor más de lo que el teléfono sabía.',
  itCouldNotBeWrittenJustNow:
    'No se pudo guardar ahora. Lo que escribiste sigue aquí: intenta otra vez.',
  roundOfBy: 'toma de {readings, number} por {by}',
  by: '{kind} por {by}',
  sayOnItsPageThatThisIs: '{open} Confirma en su página que lo sabes y regístralo de nuevo.',
  aPartThatWasCarriedOffIs: 'La parte separada se registra en el lote de origen.',
  aNewHeapTakesTheIdOf: 'Un lote nuevo toma el id del registro que lo inicia.',
  thereIsNoSuchHeapOnThis: 'No existe ese lote en este sitio.',
  reading: 'lectura {id}',
  thatHappenedBeforeThisHeapWasCarried:
    'Eso pasó antes de separar este lote. Corrígelo en el lote de origen; aquí también cuenta.',
  thatReadingIsNotThereOrIs: 'Esa lectura no existe, o ya está anulada.',
  tooManyEntriesAtOnceSendFewer: 'Demasiados registros a la vez. Envía menos.',
  thisHubHasNoSiteYetOpen:
    'Este servidor aún no tiene sitio. Ábrelo en un navegador y ponle nombre. Tus registros esperan en el teléfono.',
  whatCameIsNotJsonOpenThe: 'Lo recibido no es JSON. Recarga la página y envíalo otra vez.',
  aListOfAtMostEntriesIs: 'Se espera una lista de {maxentries, number} registros como máximo.',
  thePictureIsMbMbIsThe:
    'La foto pesa {size, number} MB; el servidor acepta {maxbytes, number} MB como máximo. Tómala otra vez más pequeña.',
  thisHubHasNoSiteYetName: 'Este servidor aún no tiene sitio. Ponle nombre primero.',
  thisIsNoPictureThatCanBe:
    'No es una foto que se pueda leer. Envíala como la hace la cámara: JPEG, PNG o WebP, de 50 megapíxeles como máximo.',
  thereIsNoSuchPicture: 'No existe esa foto.',
  canNoLongerBeReckoned: 'ya no se puede juzgar.',
  sProofIsLostTheClockStarts: '{name} ya no la cumple: el reloj se reinicia.',
  isProvenWithIt: 'se cumple con esto.',
  wouldBeLostRemainAndtheAndThe:
    'se perderían {lost}: quedan {creditedHours}{segmentFrom, select, andThe {, y el reloj se reinicia} other {}}.',
  theClockStartsAgainItHasNothing: 'el reloj se reinicia; aún no hay nada que perder.',
  areEarnedInAll: 'cuentan {lost} más: {creditedHours} en total.',
  oneTurningCountsOtherTurningsCountInstead:
    '{turningsCounted, plural, one {cuenta # volteo} other {cuentan # volteos}} en vez de {turningsCounted2, number}.',
  goesFromTo: 'pasa de ‘{toLowerCase}’ a ‘{toLowerCase2}’.',
  nothingChanges: 'no cambia nada.',
  who: 'Quién',
  when: 'Cuándo',
  justNow: 'Ahora mismo',
  laterEntryTheLogShowsBothTimes: 'Registro tardío: la bitácora muestra ambas horas',
  yourNameGoesBesideIt: 'Se guarda con tu nombre',
  nameTheRow: 'Ponle nombre a la hilera.',
  typeWhereItStartsAndEndsIn:
    'Escribe dónde empieza y termina, en metros desde el inicio de la hilera.',
  itMustEndBeyondWhereItStarts: 'Debe terminar después de donde empieza.',
  borderWithMoved: 'se movió el límite con {name}',
  itStands: 'Lugar',
  inABayOrBin: 'En un cajón',
  inASharedRow: 'En una hilera compartida',
  endToEndWithOthers: 'uno tras otro',
  bay: 'Cajón',
  row: 'Hilera',
  from2: 'Desde',
  to: 'Hasta',
  sBorderMovesWithIt: 'El límite de {name} se mueve también: {position}.',
  itWouldLieOverCheckTheFlags: 'Se encimaría con {name}. Revisa las marcas, o mueve antes {name}.',
  to2: ' a {position}',
  to3: 'a {position}',
  howWasItMoved: '¿Cómo se movió?',
  forkedOverWhole: 'Volteado por completo',
  countsAsAFullTurning: 'cuenta como volteo completo',
  liftedAsItWas: 'Movido tal cual',
  noTurning: 'sin volteo',
  itLosesHeatOnTheWayRead: 'Pierde calor en el camino: mide esa misma tarde y al día siguiente.',
  keepThisMove: 'Guardar este cambio de lugar',
  sayWhereItStandsNow: 'Indica dónde está ahora.',
  itWouldLieOver: 'Se encimaría con {overlaps}.',
  chooseHowItWasMoved: 'Elige cómo se movió.',
  sayWhoDidIt: 'Indica quién lo hizo.',
  aShorterNamePlease: 'Usa un nombre más corto.',
  theOtherHeapIsNotOnThis: 'El otro lote no es de este sitio. Elige uno de aquí.',
  somebody: 'alguien',
};
