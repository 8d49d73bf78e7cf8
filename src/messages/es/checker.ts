export const esChecker = {
  theFile: 'el archivo',
  thisNotTextFileAs:
    'No es un archivo de texto (un PDF o una foto no lo son). Elige el archivo del lote, que termina en .zealous-heap.json. Está junto al registro en un ZIP, y dentro del PDF como adjunto.',
  openAnotherBatchFile: 'Abrir otro archivo de lote',
  orDropHereNothingLeaves: 'o suéltalo aquí. Nada sale de esta computadora.',
  theChainLogEntriesIntact: 'La cadena de registros está intacta',
  nothingShowsWhetherThisFile: 'Nada muestra si este archivo se cambió',
  allLogEntriesMatchTheir:
    'Los {entries, number} registros coinciden con sus hashes, y las lecturas y demás datos del archivo coinciden con la bitácora. Muestra que nada se cambió después de registrarse. No puede mostrar que lo registrado sea verdad.',
  itContainsNoLogEntries:
    'No contiene registros. Los veredictos se calculan de todos modos con el archivo.',
  sha256ThisFile: 'SHA-256 de este archivo:',
  sha256PrintedOnRecord: 'SHA-256 impreso en el registro',
  notSameRecordWasMade: 'No es igual: el registro se hizo con otro archivo, o en otro momento.',
  theSameRecordWasMade: 'Es igual: el registro se hizo con este mismo archivo.',
  typeOrPasteCompare: 'Escríbelo o pégalo para comparar',
  judgedAsOf: 'Juzgado al',
  mustTimeSuchAs2026: 'Debe ser una hora como 2026-05-01T07:30:00Z.',
  theTimeAfterAsOn: 'La hora después de --as-of en el registro',
  temperaturesIn: 'Temperaturas en',
  checkHeatTreatmentRecord: 'Revisar un registro de tratamiento térmico',
  chooseBatchFileCameWith:
    'Elige el archivo de lote que vino con un registro. Esta página revisa que ningún registro se haya cambiado y calcula otra vez cada veredicto con las lecturas. Es parte de Zealous Heap, funciona sin red y no guarda nada.',
  cannotTrustedAs: '{name} no es confiable tal como está',
  cannotReadAsBatchFile: '{name} no se puede leer como archivo de lote',
  andMore: 'y {problems, number} más.',
  lotsWorkedOut: 'Después del calor, calculado otra vez con los flujos de este archivo',
  lotsNoChain:
    'Este archivo no lleva cadena de registros: nada muestra si fue cambiado. Las partes y lo que dicen las pruebas se calculan aquí con sus litros y valores medidos.',
  openALotsFile: 'Abrir un archivo de lote o de partidas',
  testsWorkedOut: 'Pruebas de madurez, calculadas otra vez con sus valores medidos',
  noLotsThere: 'Ninguna partida de este archivo tiene algo.',
  noTestsThere: 'No hay pruebas en este archivo.',
  noOutsThere: 'Nada de este archivo ha salido del sitio.',
  ofTheBatch: 'Del lote',
  lotsFile: 'Archivo de partidas (JSON abierto)',
  compareKey:
    'Compara la clave con la impresa en el registro. Muestra quién selló el archivo; no puede mostrar que una lectura fuera cierta al escribirla.',
  keyPrinted: 'Clave impresa en el registro',
  keyTypeIt: 'Cuatro grupos de cuatro, como 7DBB 554D 0F1A 22C9.',
  keySame: 'La misma clave firmó este archivo.',
};
