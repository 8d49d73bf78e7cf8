export default {
  thisHubDoesNotAnswerToThe:
    "Este servidor no responde al nombre ''{name}''. Si los teléfonos deben usar ese nombre, inícialo con ZEALOUS_HOSTS={name2}.",
  theAddressHoldsAPerCentSign:
    'La dirección tiene un signo de porcentaje sin sentido. Revisa el enlace.',
  thisCameFromAnotherSitesPageAnd: 'Esto vino de otro sitio web y no se leyó.',
  thisPageDidNotCome: 'Esta página no cargó',
  theHubOrItsDatabaseDidNot:
    'El servidor o su base de datos no respondió. Todo lo registrado antes está a salvo. Intenta otra vez. Si sigue pasando, detén el servidor e inícialo con ./zealous.',
  tryAgain: 'Intentar otra vez',
  goToTheYard: 'Ir a los lotes',
  zealousHeap: 'Zealous Heap',
  fromThermometerReadingsToAProvenCompost:
    'De las lecturas de temperatura a un lote que cumple su regla.',
  notHere: 'Página no encontrada',
  thereIsNoSuchPageOrHeap:
    'No existe esa página o ese lote en este sitio. Puede ser de otro sitio, o la dirección llegó cortada.',
  heap: 'Lote',
  building: 'Armado del lote',
  placesOfARound: 'Puntos de medición',
  heatTreatmentRecord: 'Registro del tratamiento térmico',
  rulesOfAHeap: 'Reglas del lote',
  sheetToBuildBy: 'Hoja de armado',
  aLoad: 'Carga',
};
