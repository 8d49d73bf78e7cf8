export const esLabels = {
  a4FourCards105148: 'A4, cuatro tarjetas de 105 × 148.5 mm (A6)',
  a4EightLabels991: 'A4, ocho etiquetas de 99.1 × 67.7 mm',
  a4TwentyOneLabels63: 'A4, veintiuna etiquetas de 63.5 × 38.1 mm',
  letterFourCards45: 'Carta, cuatro tarjetas de 4¼ × 5½ in',
  letterSixLabels43: 'Carta, seis etiquetas de 4 × 3⅓ in',
  letterTenLabels42: 'Carta, diez etiquetas de 4 × 2 in',
  theAddressHasLettersCode:
    'La dirección tiene {text, number} letras; un código en etiqueta admite {longestaddress, number} como máximo.',
  typeAddressAsOnPhone:
    'Escribe la dirección como en un teléfono, por ejemplo https://heap.example.',
  theAddressStartsWithHttps: 'La dirección empieza con https:// o http://.',
  thisAddressThisComputerItself:
    'Esta es la dirección de esta misma computadora: un teléfono no puede alcanzarla. Escribe la que usan los teléfonos.',
  withoutHttpsPhoneCanRead:
    'Sin https un teléfono puede leer y registrar, pero no guarda páginas para cuando no haya señal.',
  since: 'desde {started}',
  labels: 'Etiquetas',
  noSiteHasBeenNamed: 'Aún no hay sitio.',
  thereNoSheetChooseOne: "No existe la hoja ''{get}''. Elige una de {labelsheets}.",
  theNumberUsedLabelsMust: 'La cantidad de etiquetas usadas debe ser un entero menor que la hoja.',
  noneTheseBatchesOnThis: 'Ninguno de estos lotes es de este sitio.',
  aWholeNumberFrom0: 'Un entero de 0 a {each, number}.',
  aLabelForEachBatch:
    'Una etiqueta por lote: su código, nombre, fecha de inicio y un código QR que abre su bitácora en el teléfono. Imprime, corta y protégela del agua.',
  noActiveBatchYetStart: 'Aún no hay lotes activos. Inicia uno.',
  all: 'Todos',
  none: 'Ninguno',
  howToPrintThem: 'Cómo imprimirlas',
  print: 'Imprimir',
  sheet: 'Hoja',
  labelsAlreadyUsedOnFirst: 'Etiquetas ya usadas en la primera hoja',
  addressPhonesCanReach: 'Dirección a la que llegan los teléfonos',
  theQrCodeOnEach: 'El código QR de cada etiqueta abre el lote ahí',
  printAt100NotFit: 'Imprime al 100 %, no ‘ajustar a página’.',
  makeOneOtherPdf:
    'Hacer {chosen, number} {chosen, plural, one {etiqueta} other {etiquetas}} (PDF)',
  chooseABatchFirst: 'Elige antes un lote',
  labelsOnSheetThemUsed: '{columns, number} etiquetas por hoja, {used, number} ya usadas',
  stillBeingBuilt: 'en armado',
  since2: 'desde {builtAt}',
};
