export const esTrust = {
  changed: 'Asiento {seq}: no corresponde al anterior.',
  outOfSequence: 'Asiento {seq}: falta uno antes, o se metió después.',
  timeRunsBack: 'Asiento {seq}: se anotó antes que el anterior.',
  unsigned: 'Asiento {seq}: esta instalación no lo firmó.',
  otherKey: 'Asiento {seq}: lo firmó otra clave.',
  photoChanged: 'Asiento {seq}: su foto es otra.',
  photoMissing: 'Asiento {seq}: su foto ya no está.',
  snapshotDiffers: 'Asiento {seq}: lo que mostraba su lote no era lo que dice el registro.',
  siteChanged:
    'El nombre, la zona horaria, el idioma o las unidades del sitio se cambiaron en la base de datos.',
  siteUnsealed:
    'La firma del nombre, la zona horaria, el idioma y las unidades del sitio ya no está en la base de datos.',
  headLost:
    'Hasta el asiento {seq} el registro no es el que firmó esta instalación: se cambiaron o quitaron asientos.',
  memoryGone:
    'El archivo de finales firmados junto a la clave ya no está. Sin él, nadie puede ver si el registro se escribió de nuevo.',
  auditChanged:
    'Una línea de ‘Sesiones, enlaces y cambios’ se cambió, se añadió o se borró en la base de datos.',
  auditLost: 'Las últimas líneas de ‘Sesiones, enlaces y cambios’ ya no están en la base de datos.',
  placeChanged:
    'El nombre o la función de alguien se cambió en la base de datos, y no por quien dirige el sitio. Revisa ‘Personas y teléfonos’.',
  visitChanged: 'Una visita de inspección se cambió, se añadió o se borró en la base de datos.',
  witness: 'El aparato de {by} vio otro registro en el asiento {seq} ({at}).',
  doesNotFit: 'El registro de este sitio no cuadra',
  doesNotFitHow:
    'Se cambió, o se volvió a un estado anterior. Cada registro impreso desde ahora lo dice.',
  andMore: 'y {n, number} más',
  firstLine:
    'EL REGISTRO DE ESTO NO CUADRA en {n, plural, one {un lugar} many {# lugares} other {# lugares}}. {first}',
  openCheck: 'Revisión del registro',
  checkedAt:
    'Última revisión {when}: {n, plural, one {un asiento} many {# asientos} other {# asientos}}.',
  notChecked: 'Aún sin revisar. El servidor revisa poco después de arrancar y una vez al día.',
  allFits: 'Todo cuadra: asientos, firmas, fotos y lo que se calculó con ellos.',
  notAllFits:
    '{n, plural, one {Una cosa no cuadra} many {# cosas no cuadran} other {# cosas no cuadran}}.',
  signedBy: 'Firmado con la clave {key}. Está en cada registro impreso.',
  noKey: 'Esta instalación no tiene clave: nada se firma.',
  allSigned: 'Todos los asientos están firmados.',
  signedFrom:
    'Los asientos antes del número {seq} son anteriores a las firmas: nada responde por ellos.',
  lastHead:
    'El último final firmado es del {when}, en el asiento {seq}. Se guarda fuera de la base de datos.',
  noHead: 'Aún no se ha firmado ningún final del registro.',
  open: 'Aún sin explicar',
  noted: 'Tomó nota {by}, {when}: {words}',
  takeNote: 'Tomar nota',
  takeNoteHow:
    'Di qué pasó, si lo sabes: una reparación de la base de datos, una copia restaurada, otra persona. El motivo queda en el registro y no se puede cambiar. El aviso sale entonces de las páginas; los registros impresos siguen diciendo que no cuadra, y por qué.',
  reason: 'Qué pasó',
  reasonMissing: 'Di primero qué pasó.',
  onlyManagerNotes: 'Quien dirige el sitio puede tomar nota.',
  nothingOpen: 'Alguien ya tomó nota. Vuelve a cargar la página.',
  memoryBegunAnew:
    'Al tomar nota empieza un archivo nuevo de finales firmados: por lo que se anote desde entonces se responde otra vez.',
};
