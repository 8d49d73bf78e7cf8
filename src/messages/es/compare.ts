export default {
  itWasNotProven: 'No cumplió su regla.',
  itWasProvenOnDayOneDay:
    'Cumplió su regla el día {provenDay, number}, {provenDay2, plural, one {# día} other {# días}} después de la edad actual de {name}, con {turnsAfter, plural, one {# volteo más} other {# volteos más}}.',
  itWasProvenOnDay: 'Cumplió su regla el día {provenDay, number}.',
  aWeekOnItStoodAt: ' Una semana después estaba a {weekLaterC}.',
  apartOverOneDayOtherDays:
    '{apartK} °{unit} de diferencia en {days, plural, one {# día} other {# días}}. {provenDay}{weekLaterC}',
  heapsByTheirAge: 'Lotes por edad',
  whichHeapsSixAtMostTheFirst: '¿Qué lotes, hasta seis? Los demás se comparan con el primero',
  gone: ' (terminado)',
  chooseHeapsThatHaveBeenRead: 'Elige lotes con temperaturas.',
  hottestPlaceOfEachRoundCountedFrom:
    'Punto más caliente de cada toma, contado desde el último material crudo. Marcas abajo: qué se le hizo a cada uno.',
  mostLikeAtItsAge: 'El más parecido a {name} a su edad',
  noOlderHeapWasAlikeSoFar: 'Ningún lote anterior fue parecido.',
  drawItToo: 'Mostrarlo también',
  theSameAsATable: 'En tabla',
  day: 'Día',
  turned: 'volteado',
  watered: 'regado',
  added: 'agregado',
  proven: 'cumplió',
};
