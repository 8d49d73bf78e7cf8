export const esFind = {
  whatAreYouLookingFor: '¿Qué buscas?',
  aBatchPersonMaterial:
    'Un lote, un lugar, una persona, un material, un proveedor, o palabras de una nota o registro.',
  nothingFound: 'Nada encontrado para ‘{typed}’. Prueba con menos letras u otra palabra.',
  batches: 'Lotes',
  materials: 'Materiales',
  pages: 'Páginas',
  logEntries: 'Registros de la bitácora',
  olderEntriesNotShown: 'No se muestran los registros más viejos. Escribe otra palabra.',
};
