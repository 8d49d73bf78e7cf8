export const esSnapshot = {
  notHot: 'no caliente',
  tooHot: 'demasiado caliente',
  hotButPointsNeededDoes: 'caliente, pero hacen falta {minPoints, number} puntos: aún no cuenta',
  coldestAtHottestOneOther:
    '{time}: lo más frío {c} en {point}, lo más caliente {peak}, {points, number} {points, plural, one {punto} other {puntos}}, {word}',
  lastRawMaterialIn: 'Último material crudo, {builtAt}',
  met: 'cumplió {provenAt}',
  timeReached: 'tiempo alcanzado',
  atTheEarliest: 'no antes de {earliestProofAt}',
  toGo: 'faltan {requiredHours}',
  andAboveTimeCounts: '{floor} o más: el tiempo cuenta',
  aboveTooHot: 'sobre {temp}, demasiado caliente',
  weedSeeds: 'Semillas, ',
  lost: '{ms} perdidas',
  countedTimeEnds: 'termina el tiempo contado',
  clockStartsOver: 'el reloj se reinicia',
  noHotReadingInTime: '{lostMs}: sin lectura caliente a tiempo',
  readAtPointsDoesNot: 'medido en {points, number} de {minPoints, number} puntos: no cuenta',
  theEntryStarted: 'el registro que lo inició',
  versionOfTheSites: ', versión {siteVersion, number} de las del sitio',
  versionThisBatchsRulesPolicy:
    'Versión {version, number} de las reglas y el criterio de este lote{site}; edición {libraryedition, number} de la biblioteca.',
  theRulesInForceNo: 'las reglas vigentes ya no lo piden',
  underVersionInForceNow:
    'con la versión {versions, number}, vigente ahora, se cumpliría {provenAt}',
  underVersionInForceNow2:
    'con la versión {versions, number}, vigente ahora, sería ‘{toLowerCase}’',
  metUnderVersionThisBatchs:
    'Cumplió con la versión {version, number} de las reglas y el criterio de este lote, y sigue en pie; {now}.',
  turningTurnings: '{turnings, plural, one {# volteo} other {# volteos}}',
  atMost: '{highestC} como máximo',
  theTimeLastRawMaterial: ' La hora de su último material crudo se dio de memoria.',
  whenLastRawMaterialWent:
    ' No se sabe cuándo entró el último material crudo: el reloj corre desde que se recibió.',
  takenOverNotLoggedHere:
    'Recibido {from}: antes no se registró aquí.{raw} Según cuentan: {told}. Nada de eso cuenta para una regla.',
  takenOverNotLoggedHere2: 'Recibido {from}: antes no se registró aquí.{raw}',
  coldestAgo: 'lo más frío {valueC}, hace {age}',
  noTemperaturesYet: 'sin temperaturas',
  built: 'armado',
  partialTurn: 'volteo parcial',
  raw: 'crudo',
  added: 'agregado',
  hot: 'caliente',
};
