export const esApp = {
  thisServerDoesNotAnswer:
    "Este servidor no responde al nombre ''{name}''. Si los teléfonos deben usar ese nombre, inícialo con ZEALOUS_HOSTS={name2}.",
  theAddressContainsPercentSign:
    'La dirección tiene un signo de porcentaje sin sentido. Revisa el enlace.',
  thisCameFromAnotherWebsite: 'Esto vino de otro sitio web y no se leyó.',
  thisPageDidNotLoad: 'Esta página no cargó',
  theServerOrDatabaseDid:
    'El servidor o su base de datos no respondió. Todo lo registrado antes está a salvo. Intenta otra vez. Si sigue pasando, detén el servidor e inícialo con ./zealous.',
  tryAgain: 'Intentar otra vez',
  goToBatches: 'Ir a los lotes',
  zealousHeap: 'Zealous Heap',
  fromTemperatureReadingsBatchMeets:
    'De las lecturas de temperatura a un lote que cumple su regla.',
  pageNotFound: 'Página no encontrada',
  thereNoSuchPageOr:
    'No existe esa página o ese lote en este sitio. Puede ser de otro sitio, o la dirección llegó cortada.',
  batch: 'Lote',
  buildingTheBatch: 'Armado del lote',
  probePoints: 'Puntos de medición',
  heatTreatmentRecord: 'Registro del tratamiento térmico',
  rulesOfThisBatch: 'Reglas del lote',
  buildSheet: 'Hoja de armado',
  load: 'Carga',
  paperSheet: 'Hoja de papel',
  importReadings: 'Importar lecturas',
  tooManyRequests:
    'Demasiadas solicitudes a la vez. Espera {waitS, plural, one {# segundo} other {# segundos}}; lo que espera en este aparato se envía solo otra vez.',
  errorWithNumber:
    'El servidor no pudo hacerlo en este momento. No se perdió nada: inténtalo otra vez. Error número {number}, para quien cuida el servidor.',
  bodyCut:
    'Solo llegaron {size, number} de {told, number} bytes: se cortó en el camino. Envíalo otra vez.',
  notAsked: 'A esta dirección no se le pregunta así. Recarga la página e inténtalo de nuevo.',
  noActions: 'Este servidor no acepta esa petición. Recarga la página e inténtalo de nuevo.',
  methodNotTaken: 'Este servidor no acepta {method}.',
  bodyTooLarge:
    'Lo enviado es demasiado grande: esta dirección acepta como máximo {most, number} kB.',
  bodyWithoutSize: 'Lo enviado no dice cuánto mide. Envíalo con un Content-Length.',
  tooDeep:
    'Lo que llegó está anidado demasiado hondo para ser un archivo nuestro. Elige otro archivo.',
};
