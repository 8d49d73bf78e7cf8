export default {
  isMissing: 'falta',
  mustBeNot: 'debe ser {expected}, no {input}',
  mustBeNot2: 'debe ser {values}, no {input}',
  mustBeOneOf: 'debe ser uno de {eventtypes}',
  an: 'un {expected}',
  aWholeNumber: 'un número entero',
  theSitesOwnRule: 'la regla propia del sitio',
  version: ', versión {version, number}',
  thisSite: 'este sitio',
  site: '{id} (sitio)',
  not: "{noTime}, no ''{asOf}''",
  fileSha256: 'archivo SHA-256 {text}',
  logEntriesTheirChainCheckedItEnds:
    '  {entries} registros, con su cadena revisada; termina en {head}',
  itCarriesNoLogEntriesNothingShows: '  no contiene registros: nada muestra si se cambió',
  valuefromValueFromMemoryCheckWithYour:
    '  {title} ({document}, {section}{fromMemory, select, valueFrom {; valor de memoria, consulta con tu autoridad local} other {}})',
  valuefromValueFromMemoryCheckWithYour2:
    '  {title} ({document}{fromMemory, select, valueFrom {; valor de memoria, consulta con tu autoridad local} other {}})',
  beyondTheRulesInformationNotCompliance: 'Más allá de las reglas: información, no cumplimiento',
  pathogenDoseWeedSeedDose1Is:
    '  dosis de patógenos {pathogen}, de semillas {weedSeed} (1 es el tiempo a temperatura publicado o usual, una vez)',
  hotShareOfTheHeapAt55: '  parte caliente del lote a 55 °C: no se sabe',
  hotShareOfTheHeapAt552: '  parte caliente del lote a 55 °C: {share}',
  line: 'Línea {line, number}: {reason}.',
  line2: 'línea {line, number}',
  line1: 'línea 1',
  thereIsNoReadingInIt: 'No trae ninguna lectura.',
  whenTheLastRawLoadWentIn: 'Cuándo entró el último material crudo: {noTime}.',
};
