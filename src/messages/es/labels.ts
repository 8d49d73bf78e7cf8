export default {
  a4FourCardsOf1051485: 'A4, cuatro tarjetas de 105 × 148.5 mm (A6)',
  a4EightLabelsOf99167: 'A4, ocho etiquetas de 99.1 × 67.7 mm',
  a4TwentyOneLabelsOf635: 'A4, veintiuna etiquetas de 63.5 × 38.1 mm',
  letterFourCardsOf45In: 'Carta, cuatro tarjetas de 4¼ × 5½ in',
  letterSixLabelsOf43In: 'Carta, seis etiquetas de 4 × 3⅓ in',
  letterTenLabelsOf42In: 'Carta, diez etiquetas de 4 × 2 in',
  theAddressHasLettersACodeOn:
    'La dirección tiene {text, number} letras; un código en etiqueta admite {longestaddress, number} como máximo.',
  typeTheAddressAsAPhoneWould:
    'Escribe la dirección como en un teléfono, por ejemplo https://heap.example.',
  theAddressStartsWithHttpsOrHttp: 'La dirección empieza con https:// o http://.',
  thisAddressIsThisMachinesOwnA:
    'Esta es la dirección de esta misma computadora: un teléfono no puede alcanzarla. Escribe la que usan los teléfonos.',
  withoutHttpsAPhoneCanReadAnd:
    'Sin https un teléfono puede leer y registrar, pero no guarda páginas para cuando no haya señal.',
  since: 'desde {started}',
  flags: 'Etiquetas',
  noSiteHasBeenNamedYet: 'Aún no hay sitio.',
  thereIsNoSheetChooseOneOf: "No existe la hoja ''{get}''. Elige una de {labelsheets}.",
  theNumberOfUsedLabelsMustBe:
    'La cantidad de etiquetas usadas debe ser un entero menor que la hoja.',
  noneOfTheseHeapsStandsOnThis: 'Ninguno de estos lotes es de este sitio.',
  aWholeNumberFrom0To: 'Un entero de 0 a {each, number}.',
  aFlagInEachHeapItsLetter:
    'Una etiqueta por lote: su código, nombre, fecha de inicio y un código QR que abre su bitácora en el teléfono. Imprime, corta y protégela del agua.',
  noHeapStandsHereYetOpenOne: 'Aún no hay lotes activos. Inicia uno.',
  all: 'Todos',
  none: 'Ninguno',
  howToPrintThem: 'Cómo imprimirlas',
  print: 'Imprimir',
  sheet: 'Hoja',
  labelsUsedUpOnTheFirstSheet: 'Etiquetas ya usadas en la primera hoja',
  addressThatPhonesReach: 'Dirección a la que llegan los teléfonos',
  theCodeOnEachFlagOpensThe: 'El código QR de cada etiqueta abre el lote ahí',
  printAt100NotFitToPage: 'Imprime al 100 %, no ‘ajustar a página’.',
  makeOneOtherPdf:
    'Hacer {chosen, number} {chosen, plural, one {etiqueta} other {etiquetas}} (PDF)',
  chooseAHeapFirst: 'Elige antes un lote',
  labelsOnASheetOfThemUsed: '{columns, number} etiquetas por hoja, {used, number} ya usadas',
  stillBuilding: 'en armado',
  since2: 'desde {builtAt}',
};
