export default {
  notHot: 'no caliente',
  tooHot: 'demasiado caliente',
  hotButPlacesAreNeededDoesNot:
    'caliente, pero hacen falta {minPoints, number} puntos: aún no cuenta',
  coldestAtHottestOneOther:
    '{time}: lo más frío {c} en {point}, lo más caliente {peak}, {points, number} {points, plural, one {punto} other {puntos}}, {word}',
  lastRawLoadIn: 'Último material crudo, {builtAt}',
  proven: 'cumplió {provenAt}',
  timeReached: 'tiempo alcanzado',
  atTheEarliest: 'no antes de {earliestProofAt}',
  missing: 'faltan {requiredHours}',
  andUpTimeIsCredited: '{floor} o más: el tiempo cuenta',
  aboveTooHot: 'sobre {temp}, demasiado caliente',
  seeds: 'Semillas, ',
  lost: '{ms} perdidas',
  runEnded: 'termina el tiempo contado',
  clockStartsAgain: 'el reloj se reinicia',
  notReadHotInTime: '{lostMs}: sin lectura caliente a tiempo',
  readAtOfPlacesDoesNotCount: 'medido en {points, number} de {minPoints, number} puntos: no cuenta',
  theEntryThatOpenedIt: 'el registro que lo inició',
  versionOfTheSites: ', versión {siteVersion, number} de las del sitio',
  versionOfThisHeapsRulesAndPolicy:
    'Versión {version, number} de las reglas y el criterio de este lote{site}; edición {libraryedition, number} de la biblioteca.',
  theRulesInForceDoNotAsk: 'las reglas vigentes ya no lo piden',
  underVersionInForceNowItWould:
    'con la versión {versions, number}, vigente ahora, se cumpliría {provenAt}',
  underVersionInForceNowItWould2:
    'con la versión {versions, number}, vigente ahora, sería ‘{toLowerCase}’',
  provenUnderVersionOfThisHeapsRules:
    'Cumplió con la versión {version, number} de las reglas y el criterio de este lote, y sigue en pie; {now}.',
  met: 'Cumplió {provenAt}',
  oneTurningOtherTurnings: '{turnings, plural, one {# volteo} other {# volteos}}',
  atMost: '{highestC} como máximo',
  theTimeOfItsLastRawLoad: ' La hora de su último material crudo se dio de memoria.',
  whenTheLastRawLoadWentIn:
    ' No se sabe cuándo entró el último material crudo: el reloj corre desde que se recibió.',
  takenOverNotRecordedHereBeforeAs:
    'Recibido {from}: antes no se registró aquí.{raw} Según cuentan: {told}. Nada de eso cuenta para una regla.',
  takenOverNotRecordedHereBefore: 'Recibido {from}: antes no se registró aquí.{raw}',
  coldestReadAgo: 'lo más frío {valueC}, hace {age}',
  notReadYet: 'sin temperaturas',
  stillBuilding: 'en armado',
  built: 'armado',
  stirred: 'volteo parcial',
  raw: 'crudo',
  added: 'agregado',
  hot: 'caliente',
};
