export const esCompare = {
  itDidNotMeetRule: 'No cumplió su regla.',
  itMetRuleOnDay:
    'Cumplió su regla el día {provenDay, number}, {provenDay2, plural, one {# día} other {# días}} después de la edad actual de {name}, con {turnsAfter, plural, one {# volteo más} other {# volteos más}}.',
  itMetRuleOnDay2: 'Cumplió su regla el día {provenDay, number}.',
  aWeekLaterWasAt: ' Una semana después estaba a {weekLaterC}.',
  apartOverDayDays:
    '{apartK} °{unit} de diferencia en {days, plural, one {# día} other {# días}}. {provenDay}{weekLaterC}',
  batchesByAge: 'Lotes por edad',
  whichBatchesUpSixOthers: '¿Qué lotes, hasta seis? Los demás se comparan con el primero',
  finished: ' (terminado)',
  chooseBatchesHaveTemperatures: 'Elige lotes con temperaturas.',
  hottestPointEachCheckCounted:
    'Punto más caliente de cada toma, contado desde el último material crudo. Marcas abajo: qué se le hizo a cada uno.',
  mostLikeAtAge: 'El más parecido a {name} a su edad',
  noOlderBatchWasSimilar: 'Ningún lote anterior fue parecido.',
  showItToo: 'Mostrarlo también',
  sameAsATable: 'En tabla',
  day: 'Día',
  turned: 'volteado',
  watered: 'regado',
  added: 'agregado',
  met: 'cumplió',
};
