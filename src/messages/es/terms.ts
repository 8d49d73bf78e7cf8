export default {
  somethingRawWentIn: 'Se agregó algo crudo',
  uncleanWaterWentIn: 'Se agregó agua no limpia',
  itWasJoinedWithAHeapThat: 'Se unió con un lote que no ha cumplido su regla',
  somethingWithLiveSeedsWentIn: 'Se agregó algo con semillas vivas',
  waterWithLiveSeedsWentIn: 'Se agregó agua con semillas vivas',
  itWasJoinedWithAHeapWhose: 'Se unió con un lote que puede tener semillas vivas',
  ofThisRunNoLongerCountToward: ' {ms} ya no cuentan como días seguidos.',
  onSoTheClockStartsAgainFrom: '{seedwhat} el {at}, así que el reloj empieza de nuevo desde ahí.',
  itWasProvenOnWhatWentIn:
    'Cumplió su regla el {provenAt}. Lo agregado el {at} no se calentó con el resto, así que eso ya no cubre todo el lote.',
  theRoundThatEndedBeganBeforeThe:
    'La toma que terminó {at} empezó antes de reiniciar el reloj, así que se deja fuera completa.',
  theRoundThatEndedTookMoreThan:
    'La toma que terminó {at} duró más de 6 horas, así que sus últimas lecturas cuentan como otra toma.',
  onlyOnePointOtherPointsReadOn:
    'Solo {points, plural, one {# punto medido} other {# puntos medidos}} el {at}, se necesitan {minPoints, number}: esta toma no cuenta.',
  theHeapWasLoggedAsDryWhen:
    'El lote se registró como seco cuando se midió el {at}. Ese calor no cuenta para semillas hasta que la prueba del puño muestre que está húmedo.',
  theRoundOfCameToUnderWith:
    'La toma del {at} dio {valueC}, debajo de {floorC}, sin volteo que lo explique.{lostMs}',
  aPointReadOnOverTheRules:
    'Un punto marcó {peakC} el {at}, sobre los {ceilingC} de la regla.{lostMs}',
  theRoundOfCameToAfterA:
    'La toma del {at} dio {valueC} después de un volteo: en pausa, no perdido. {until, select, itHad {Tenía} other {Tiene}} hasta {until2} para llegar a {floorC}.',
  itWasHotAgainByButLater:
    'Volvió a estar caliente el {at}, pero más tarde de lo que permite un volteo.{lostMs}',
  noRoundForBeforeAtMostCan:
    'Sin temperaturas durante {gapMs} antes del {at}; cuentan {maxGapHours} como máximo.{lostMs}',
  noHotRoundSinceLongerThanCan:
    'Sin toma caliente desde {since}: más de lo que puede contar.{lostMs}',
  theTurningOfWasNotAFull: 'El volteo del {at} fue parcial y no cuenta.',
  noHotRoundBetweenTheTurningOf:
    'No estuvo caliente entre el volteo del {at} y el anterior, así que no cuenta.',
  theTurningOfCameBeforeTheHeap:
    'El volteo del {at} llegó antes de que el lote estuviera caliente lo suficiente desde el anterior, así que no cuenta.',
  theTurningOfDoesNotCountYet:
    'El volteo del {at} aún no cuenta. Contará cuando el lote vuelva a calentarse en el mismo periodo.',
  theTurningOfLiesOutsideARun: 'El volteo del {at} quedó fuera del tiempo caliente y no cuenta.',
  thermometerHadNoCheckInTheBefore:
    'El termómetro {probe} no se revisó en {days} antes de {count, plural, one {# lectura} other {# lecturas}}. Cuentan. Revísalo en agua con hielo.',
  theChecksOfThermometerOnDoNot:
    'Las revisiones del termómetro {probe} del {at} no coinciden, así que solo se usa su desvío medio. Revísalo otra vez.',
  oneReadingOtherReadingsOfTheRound:
    '{count, plural, one {# lectura de la toma del {at} se registró} other {# lecturas de la toma del {at} se registraron}} {hours} después.',
  atOnWasAndTakesNoPart: '{valueC} en {point} el {at}: {flag}, no cuenta.',
  withTheRejectedAtOfInThe:
    'Si contara la lectura rechazada de {valueC} en {point} del {at}, el veredicto sería peor.',
  thisRuleIsNotWrittenForA: 'Esta regla no está escrita para un lote con el método ‘{method}’.',
  whetherTheHeapWasMoistWasNot:
    'No se registró la humedad. Las semillas secas sobreviven un calor que mata a las húmedas.',
  notAJsonTextExportTheBatch:
    'no es texto JSON ({why}). Exporta de nuevo el archivo del lote e impórtalo completo.',
  notUtf8TextSaveItAs: 'no es texto UTF-8. Guárdalo como UTF-8 e intenta otra vez.',
  holdsAZeroByteWhichCannotBe:
    'contiene un byte cero, que no se puede guardar. Quítalo y envía otra vez',
  holdsHalfOfACharacterABroken:
    'contiene medio carácter (quizá un emoji roto). Quítalo y envía otra vez',
  theDatabaseCannotStoreSomethingInThis:
    'La base de datos no puede guardar algo de este registro; enviarlo otra vez no sirve. Regístralo con otras palabras, o bórralo.',
  mustBeATimeSuchAs2026: 'debe ser una hora como 2026-05-01T07:30:00Z o 2026-05-01T07:30+02:00',
  mustBeAnIanaTimeZoneSuch: 'debe ser una zona horaria IANA como Europe/Berlin',
  theIdStandsHereASecondTime: "el id ''{id}'' aparece dos veces; los ids deben ser únicos",
  noWithTheIdIsListed: "no hay {what} con el id ''{id}''",
  mustNotBeLongerThanMaxgaphours: 'no debe ser mayor que maxGapHours',
  aFloorOfCLiesOutside20:
    'un límite de {c, number} °C está fuera de 20 a 90 °C. ¿Se escribió en °F?',
  theMostAllowedCMustLieAbove:
    'el máximo permitido ({ceiling, number} °C) debe ser mayor que el mínimo ({floor, number} °C)',
  theHotterTimeMustNotBeLonger:
    'el tiempo más caliente no puede ser mayor que el tiempo que lo contiene',
  theMeanAskedForLiesBelowThe: 'la media es menor que el límite, así que no pide nada más',
  theIdMustBeSiteWithSmall:
    'el id debe empezar con site- y seguir con minúsculas, cifras y guiones, como site-gallinaza',
  giveTheRuleATitleOfThree: 'ponle a la regla un título de al menos tres letras',
  isARuleOfTheLibraryGive:
    "''{id}'' es una regla de la biblioteca; dale a la tuya un id que empiece con site-",
  mustBeASha256HashOf: 'debe ser un hash SHA-256 de 64 dígitos hexadecimales en minúscula',
  thisEntryOfDoesNotFitIts:
    'este registro ({kind} de {at}) no coincide con su hash: se cambió después de registrarse. Pide el archivo otra vez al sitio que tiene el registro',
  theChainIsBrokenBeforeThisEntry:
    'la cadena está rota antes de este registro ({kind} de {at}): se quitó o insertó algo. Pide el archivo otra vez al sitio que tiene el registro',
  theEntriesAreNotInTheOrder: 'los registros no están en el orden de la bitácora',
  theEntriesDoNotTellTheBatch: 'los registros no describen el lote del archivo',
  theFileSaysSomethingElseHereThan:
    'el archivo dice aquí otra cosa que sus registros. Pide el archivo otra vez al sitio que tiene el registro',
  keptUnderEditionOfTheRuleLibrary:
    'guardado con la edición {theirs, number} de la biblioteca de reglas; este programa conoce la {ours, number}. Actualiza el programa para no juzgar con un texto viejo',
  theEndOfAStretchOfRow: 'el final del tramo debe estar después de su inicio',
  giveTheThermometerTheNameThatStands: 'ponle al termómetro el nombre que lleva escrito, como T1',
  theTopOfTheScaleMustLie: 'el tope de la escala debe ser mayor que su mínimo',
  theUpperEndOfARangeMust: 'el extremo superior no puede ser menor que el inferior',
  thisIdIsInTheLogAlready:
    'este id ya está en la bitácora con otro contenido ({what}). La bitácora no se cambió. Envía este como registro nuevo, o bórralo',
  thisHeapHasNoPlaceChooseThe:
    'este lote no tiene el punto ‘{name}’. Elige el punto donde se midió',
  thePlaceHasReadingsAPlaceAt:
    'el punto ‘{name}’ ya tiene lecturas; otra profundidad o zona es un punto nuevo con su propio id',
  itsPictureHasNotComeUpYet: 'su foto aún no llega; se envía de nuevo con el registro',
  smallLettersFiguresAndHyphensOnlySuch:
    'solo minúsculas, cifras y guiones, como nuestro-lote-rapido',
  giveTheMethodANameOfThree: 'ponle al método un nombre de al menos tres letras',
  theMoistureAimedAtMustLieBetween: 'la meta de humedad debe estar entre la mínima y la máxima',
  theUpperEndOfTheHeatExpected:
    'el extremo superior de la temperatura esperada debe ser mayor que el inferior',
  theDaysOfTheHeatExpectedMust: 'los días de la temperatura esperada deben ir en aumento',
  theWorkingDayMustEndAfterIt: 'la jornada debe terminar después de empezar',
  aHeapCannotBeJoinedStackedOr:
    'un lote no se puede unir, apilar ni enviar a sí mismo. Elige el otro lote',
  thePartsMustLeaveSomethingBehindThis: 'las partes deben dejar algo: este lote tiene unos {m3}',
  smallLettersFiguresAndHyphensOnlySuch2: 'solo minúsculas, cifras y guiones, como guias-de-lupulo',
  theUsualValueMustLieBetweenThe: 'el valor usual debe estar entre el mínimo y el máximo',
  nitrogenIsAShareOfTheDry: 'el nitrógeno es parte del peso seco: da un porcentaje entre 0 y 50',
  cNMustBeANumberBetween: 'C:N debe ser un número entre 0 y 5000',
  moistureIsAShareOfTheWet: 'la humedad es parte del peso húmedo: da un porcentaje entre 0 y 99.5',
  aBulkDensityLiesBetween5And:
    'la densidad aparente está entre 5 y 3000 kg/m³. ¿Se escribió en otra unidad?',
  giveTheMaterialANameOfTwo: 'ponle al material un nombre de al menos dos letras',
  giveTheMeasureTheNameThatThe: 'ponle a la medida el nombre que usa la cuadrilla, como carretilla',
  litresMustBeANumberThatIs:
    'los litros deben ser un número de 0 o más, y no más de lo que lleva un camión (60 000 L por medida)',
  typeHowMuchAsANumberAbove: 'escribe cuánto como número mayor que 0, o di que no se sabe',
  moreThan10000OfThemWas: 'más de 10 000: ¿sobra una cifra?',
  moreThan500MInOneLoad:
    'más de 500 m³ en una carga es más de lo que recibe un sitio. ¿Es correcta la medida?',
  moreThan100TInOneLoad:
    'más de 100 t en una carga: un camión lleva unas 25 t. ¿Es correcta la unidad?',
  giveAReasonOfThreeLettersAt:
    'da un motivo de al menos tres letras: quien recibe las cargas lo va a leer',
  nameEitherAMaterialOrWhatIt: 'nombra un material o lo que puede traer, no ambos',
  giveTheRecipeANameOfTwo: 'ponle a la receta un nombre de al menos dos letras',
  nothingWasPutInYetNameWhat:
    'aún no se agregó nada: indica qué entró, o el agua, la base o la capa de cubierta',
  giveThePlaceTheNameThatStands: 'ponle al lugar el nombre que lleva escrito, como 7',
  typeMetresAsANumberAbove0: 'escribe los metros como número mayor que 0',
  liesBeyondTheEdgeOfTheMap: '{name} queda fuera del mapa. Muévelo adentro, o agranda el mapa',
  thereIsNoMaterialInTheLibrary: 'no hay material ‘{name}’ en la biblioteca de este sitio',
  thatLoadIsNotInTheStore: 'esa carga no está en existencia',
  thisHeapIsClosedWhatGoesIn:
    'ya se terminó de agregar a este lote. Lo que entre ahora regístralo como adición: puede reiniciar su reloj',
  somethingWentInAfterThatAtThe:
    'algo se agregó después, a las {when}. El reloj empieza con el último material crudo: termina de agregar entonces, o después',
  wasChangedByAtWhileYouWorked:
    '{who} cambió {what} a las {when} mientras trabajabas. No se perdió nada tuyo: guárdalo como copia, o como la versión más nueva sobre la otra, que sigue en la bitácora',
  noRuleInTheLibraryOrIn: "no hay regla ''{id}'' en la biblioteca ni en el archivo",
  crumbles: 'Se desmorona',
  tooDry: 'demasiado seco',
  crumblesTooDry: 'se desmorona: demasiado seco',
  holds: 'Se mantiene, sin gotas',
  noDropALittleDry: 'un poco seco',
  holdsNoDropALittleDry: 'se mantiene, sin gotas: un poco seco',
  aDropOrTwo: 'Una gota o dos',
  aDropOrTwoRight: 'una gota o dos: bien',
  runsOut: 'Escurre',
  tooWet: 'demasiado mojado',
  runsOutTooWet: 'escurre: demasiado mojado',
  none: 'Ninguno',
  earthy: 'A tierra',
  sweet: 'Dulce',
  ammonia: 'Amoniaco',
  sour: 'Agrio',
  rotten: 'Podrido',
  burnt: 'Quemado',
  heap: 'Pila',
  cone: 'Cono',
  rowRounded: 'Hilera redondeada',
  rowSharp: 'Hilera en pico',
  rowFlatTop: 'Hilera de cima plana',
  binFilledLevel: 'Cajón lleno al ras',
  roundBin: 'Cajón redondo',
  bayOpenInFront: 'Compartimento abierto al frente',
  lyingTub: 'Tambor acostado',
  amountNotKnown: 'cantidad desconocida ({words})',
  amountNotKnown2: 'cantidad desconocida',
  about: 'unos ',
  noTime: 'sin tiempo',
  justTurned: 'recién volteado',
  couldNotBeReached: 'no se pudo alcanzar',
  tooHotToGoNear: 'demasiado caliente para acercarse',
  thermometerFailed: 'falló el termómetro',
  anotherReason: 'otro motivo',
  saidToBeMature: 'terminado y maduro',
  givenUp: 'abandonado',
  joinedToAnotherHeap: 'unido a otro lote',
  thrownAway: 'desechado',
  usedUnproven: 'usado sin cumplir una regla',
  somethingAdded: 'se agregó algo',
  madeBigger: 'se hizo más grande',
  leftToDry: 'se dejó secar',
  somethingRichAdded: 'se agregó algo rico en nitrógeno',
  brownsAdded: 'se agregaron secos',
  coarseBrownsMixedIn: 'se mezclaron secos gruesos',
  foodBuried: 'se enterró la comida',
  thermometerChecked: 'se revisó el termómetro',
  leftAlone: 'se dejó quieto',
  weather: 'Clima',
  noTime2: 'Sin tiempo',
  nobodyFree: 'No hay gente',
  noMachine: 'No hay máquina',
  noWater: 'No hay agua',
  itLooksFine: 'Se ve bien',
  somethingElse: 'Otra cosa',
  rowM: 'hilera {row}, {fromM, number}–{toM, number} m',
  bay: 'cajón {bay}',
  row: 'hilera {row}',
  leachate: 'Lixiviado',
  rawItStartsAHotHeapsClock: 'crudo: reinicia el reloj de un lote caliente',
  rinseWater: 'Agua de enjuague',
  rawAsWhatItRinsed: 'crudo, como lo que enjuagó',
  overs: 'Rechazo de criba',
  whatTheScreenKeptBack: 'lo que no pasó la criba',
  chargedChar: 'Biocarbón cargado',
  cleanUnlessItWasChargedInSomething: 'limpio, salvo que se haya cargado en algo crudo',
  takenAsRaw: 'cuenta como crudo',
  atLeastStillRising: 'al menos {low}, y subiendo',
  atLeast: 'al menos {low}',
  about2: 'unos {low}',
  upTo: 'hasta {high}',
  atLeastStillRising2: 'al menos, y subiendo',
  atLeast2: 'al menos',
  theColdestPoint: 'el punto más frío',
  theMeanOfThePoints: 'la media de los puntos',
  theMedianOfThePoints: 'la mediana de los puntos',
  lessForTheThermometer: ', menos {guardBandC, number} °{unit} por el termómetro',
  thoseWithoutAZone: 'los que no tienen zona',
  places: '; puntos: {zones}',
  countedInCalendarDaysAtMostBlank:
    'contado en días de calendario, {maxBlankDays, number} seguidos sin lecturas como máximo',
  countedInHours: 'contado en horas',
  aGapOfMoreThanHIs: ' Un hueco de más de {longgaphours, number} h es largo: es evidencia débil.',
  judgedOnPointsARoundAtLeast:
    'Se juzga por {value}{guard}, al menos {minPoints, number} puntos por toma, huecos hasta {maxGapHours, number} h, {turnGraceHours, number} h para recalentarse tras un volteo completo, {days}{zones}.{long}',
  steamAndAHotCoreBurnGloves:
    'El vapor y el centro caliente queman: usa guantes y aparta la cara al abrirlo.',
  keepPeopleBackAndDoNotOpen:
    'Aleja a la gente y no lo abras a ciegas: el aire aviva la brasa. Si ves humo o huele a quemado, llama a los bomberos.',
  dryTurningThrowsUpDustAndSpores:
    'Voltear compost seco levanta polvo y esporas: mójalo o usa mascarilla, y aleja a quien tenga pulmones delicados.',
  aBurntSmellCanMeanASmoulder:
    'El olor a quemado puede ser una brasa: no abras la pila, aleja a la gente y llama a los bomberos si hay humo.',
  splittingLetsAirIntoAVeryHot:
    'Dividir mete aire a una pila muy caliente: ten agua corriendo, busca humo primero y trabaja por partes pequeñas.',
  keepPeopleClearOfTheLoaderAnd:
    'Mantén a la gente lejos del cargador; que solo lo maneje alguien capacitado. Apágalo antes de limpiar algo con la mano.',
  forkingIsHeavySmallLoadsTwoPeople:
    'Usar la horca es pesado: cargas pequeñas, dos personas, descansos.',
  ratsCarryDiseaseGlovesAndKeepWhat:
    'Las ratas traen enfermedades: usa guantes y aleja de los cultivos lo que tocaron.',
  unprovenCompostMayCarryGermsAndLive:
    'El compost que no cumplió su regla puede tener patógenos y semillas vivas: díselo a quien se lo lleve.',
  unprovenItCountsAsRawManureWhere:
    'No cumplió ninguna regla, así que cuenta como estiércol crudo: respeta los plazos hasta la cosecha que fije tu autoridad local y no lo uses en cultivos que se comen crudos.',
  doNotStackOrBagItWarm:
    'No lo apiles ni embolses tibio: puede recalentarse solo e incendiarse. Mídelo al día siguiente.',
  seedsRootsAndPlantDiseaseLiveThrough:
    'Semillas, raíces y enfermedades sobreviven en una pila que no se calienta. Quita antes espigas y raíces, o échalo a una pila caliente.',
  rawManureAndLeachateCarryGermsGloves:
    'El estiércol crudo y el lixiviado traen patógenos: usa guantes y lava manos y herramientas antes de tocar un lote terminado.',
  under001: 'menos de 0.01',
  over1000: 'más de 1000',
  notKnown: 'no se sabe',
  under1: 'menos de 1 %',
  allOfIt: 'todo',
  over99: 'más de 99 %',
  about3: 'en torno a {percent, number} %',
  moreThanHalf: 'más de la mitad',
  fewerThan1InAMillion: 'menos de 1 en un millón',
  about1In: '1 de cada {share}, más o menos',
  to: '{a} a {b}',
  thin: 'Débil',
  fair: 'Regular',
  good: 'Buena',
  strong: 'Fuerte',
  oneRoundOtherRounds:
    '{count, plural, one {# toma de temperatura} other {# tomas de temperatura}}',
  oneRoundOtherRoundsAboutADay:
    '{count, plural, one {# toma de temperatura} other {# tomas de temperatura}}, unas {perDay, number} al día',
  oneRoundOtherRoundsOneEvery:
    '{count, plural, one {# toma de temperatura} other {# tomas de temperatura}}, una cada {perDay}',
  aRoundEachDay: 'Mide todos los días.',
  onePlaceOtherPlacesRead: '{count, plural, one {# punto medido} other {# puntos medidos}}',
  fivePlacesInEachRoundTheColdest:
    'Cinco puntos en cada toma, con la esquina más fría entre ellos.',
  howDeepTheHeapIsWasNot: 'no se indicó la profundidad del centro',
  giveTheDepthOfTheCoreSo: 'Indica la profundidad del centro, para ver si el termómetro llega.',
  depthsOfThePlacesWereNotGiven:
    'no se indicaron las profundidades; el centro está a {coreM, number} m',
  giveEachPlaceItsDepth: 'Indica la profundidad de cada punto.',
  readDownToMOfM: 'medido hasta {deepestM, number} m de {coreM, number} m',
  aLongerThermometerOrReadFromAnother: 'Usa un termómetro más largo, o mide desde otro lado.',
  oneRoundOnlySoThereIsNo: 'una sola toma, así que no hay tiempo entre tomas',
  aSecondRoundWithinADay: 'Otra toma en menos de un día.',
  longestTimeBetweenRounds: 'mayor tiempo entre tomas {hours}',
  neverMoreThanADayOrSo: 'Nunca más de un día entre tomas.',
  noReadingSaysWhichThermometerTookIt: 'ninguna lectura dice con qué termómetro',
  nameTheThermometerInEachRoundAnd:
    'Indica el termómetro en cada toma y revísalo en agua con hielo.',
  oneReadingOtherReadingsByAThermometer:
    '{unchecked, plural, one {# lectura} other {# lecturas}} con un termómetro sin revisión reciente',
  oneReadingOtherReadingsWithoutAThermometers:
    '{without, plural, one {# lectura} other {# lecturas}} sin nombre de termómetro',
  everyReadingByAThermometerWithA: 'todas las lecturas con un termómetro revisado hace poco',
  checkTheThermometerInIceWaterAnd:
    'Revisa el termómetro en agua con hielo e indícalo en cada toma.',
  nothingEnteredLaterThanADay: 'nada registrado con más de un día de retraso',
  oneReadingOtherReadingsOfEnteredMore:
    '{count, plural, one {# lectura} other {# lecturas}} de {total, number} con más de un día de retraso',
  typeTheValuesInWhileYouStand: 'Escribe los valores ahí mismo.',
  theThermometerIsMLongAndThe:
    'El termómetro mide {stemM, number} m y el centro está a {coreDepthM, number} m: no llega. Usa uno más largo, o mide desde el lado más cercano.',
  theThermometerIsMLongOneOther:
    'El termómetro mide {stemM, number} m; {places} {places2, plural, one {está} other {están}} más hondo.',
  noPlaceReadsTheCoreWhereIt:
    'Ningún punto llega al centro, donde está más caliente: solo se sabe lo que se alcanza.',
  onePlaceOnlyAHotMiddleSays:
    'Un solo punto. Un centro caliente no dice nada del borde de la base, y un punto no dice nada de toda la pila.',
  noPlaceReadsTheToeWhereIt: 'Ningún punto en el borde de la base, donde está más frío.',
  onePlaceOtherPlacesAndARound:
    '{places, plural, one {# punto} other {# puntos}}, y una toma necesita {minPoints, number}: ninguna contaría.',
  itBordersOnKeepMFromThe:
    'Colinda con {neighbours}: quédate a {keepM, number} m de la marca, o medirás también el calor del vecino.',
  liesMFromItReadsTheNeighbours:
    '{place} está a {distanceM, number} m de {neighbour}: mide también su calor. Aléjate de la marca.',
  stillBuilding: 'en armado',
  pausedAt: 'en pausa con {hours}',
  brokenNothingEarned: 'empieza de nuevo, sin tiempo contado',
  nothingCountsYet: 'aún no cuenta nada',
  noRuleClaimed: 'sin regla que cumplir',
  hasGoneOut: 'se entregó',
  isNotClosedYet: 'sigue en armado',
  read: 'medido {at}',
  readDue: 'medido {at}, toca {due}',
  wasTurnedReadIt: 'se volteó: mídelo {due}',
  thatReads: 'Eso da {typed}',
  wrongUnitFaultyThermometerOrAnEmergency:
    '{says}. ¿Unidad equivocada, termómetro dañado o una emergencia?',
  colderThanAnyHeapWrongUnitOr:
    '{says}, más frío que cualquier pila. ¿Unidad equivocada o termómetro dañado?',
  itWasHereLastTimeIsThat: '{says}; la vez pasada aquí dio {against}. ¿Es correcto?',
  colderThanTheAirAtIsThe: '{says}, más frío que el aire a {against}. ¿La sonda está en la pila?',
  fiveTimesDoesTheNeedleStillMove: '{typed, number} °{unit} cinco veces. ¿Aún se mueve la aguja?',
  theScaleOfThisThermometerEndsAt:
    '{says}; la escala de este termómetro llega a {against}. ¿Es correcto?',
  thisThermometerIsOutOfServiceDid:
    'Este termómetro está fuera de servicio. ¿Lo usaste de todos modos?',
  itIsWhatItSaid: 'Es lo que marcó',
  itWas: 'Era {typed, number} °{unit}',
  thermometerIsFaulty: 'El termómetro está dañado',
  itMayBeOnFire: 'Puede estar ardiendo',
  itMayBeBurningInside: 'Puede estar ardiendo por dentro',
  keepPeopleBackUpwindAndMachinesAway:
    'Aleja a la gente, contra el viento, y también las máquinas.',
  doNotOpenItAirFeedsA: 'No lo abras: el aire aviva la brasa.',
  smokeAGlowOrASmellOf: 'Humo, resplandor u olor a quemado: llama a los bomberos ya.',
  haveWaterReadyLookAtItAgain: 'Ten agua lista. Míralo otra vez de lejos antes de una hora.',
  whatYouMustReportAndKeepClear: 'Qué debes reportar y despejar: consulta con tu autoridad local.',
  yard: 'Lotes',
  round: 'Temperaturas',
  bench: 'Recetas',
  plan: 'Plan',
  store: 'Materiales',
  loadsMaterialsSuppliers: 'cargas en existencia, biblioteca de materiales, proveedores',
  map: 'Mapa',
  baysAndRowsWhatStandsWhere: 'cajones e hileras, qué hay en cada lugar',
  records: 'Registros',
  whatWasProven: 'qué lotes cumplieron qué regla',
  instruments: 'Termómetros',
  thermometersAndChecks: 'termómetros, sondas y sus revisiones',
  openAHeap: 'Iniciar un lote',
  newOrAlreadyUnderWay: 'nuevo, o ya en marcha',
  compare: 'Comparar',
  heapsSideBySideByAge: 'lotes lado a lado, por edad',
  rules: 'Reglas',
  whatMustBeProven: 'qué debe cumplir un lote',
  methods: 'Métodos',
  whenHeapsAreTurned: 'cuándo se voltean los lotes',
  crew: 'Cuadrilla y horas',
  whoMachineLimitsChores: 'quién trabaja, máquina, límites, tareas regulares',
  fireCard: 'Plan contra incendios',
  whomToCall: 'a quién llamar',
  bringIn: 'Importar',
  filesOfReadings: 'archivos de lecturas',
  flags: 'Etiquetas',
  labelsToPrint: 'para imprimir',
  more: 'Más',
  onThisDevice: 'En espera de envío',
  heapsKeptOnThisDevice: 'Lotes guardados en este aparato',
  yourSite: 'Tu sitio',
  calendarForPhones: 'Calendario para teléfonos',
  atTheGate: 'Qué aceptamos',
  materials: 'Biblioteca de materiales',
  suppliers: 'Proveedores',
  takeInALoad: 'Registrar una carga',
  gThenALetter: 'G, y luego una letra',
  mostFinishedFirstRawestLastSoThat:
    'Primero el más terminado, al final el más crudo, para que el termómetro no lleve nada crudo a un lote terminado. Antes de volver al revés, enjuágalo.',
  theThermometerWasFaultySaidAtEntry: 'El termómetro estaba dañado, según se anotó al registrar.',
  right: 'bien',
  watered: 'regado',
  turned: 'volteado',
  covered: 'cubierto',
  uncovered: 'descubierto',
  split: 'dividido',
  none2: 'ninguna',
  about4: 'unos',
  proven: 'cumplió',
};
