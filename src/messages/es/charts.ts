export default {
  air: 'aire',
  now: 'ahora',
  noRoundYet: 'Sin temperaturas.',
  heatSinceItWasBuiltLeftAnd:
    'Temperaturas desde que se armó. Las flechas izquierda y derecha van de una toma a otra.',
  volume: 'Volumen: {points}',
  each: 'cada {each, number}',
  chartByAgeMayBeScrolled: 'Gráfica por edad, se desplaza de lado',
  hottestPlaceByAge: 'Punto más caliente por edad: {curves}',
  day0: 'día 0',
  day: '{says}, día {day, number}',
  kInIceWaterKAt60: '{at} {atIceK} K en agua con hielo, {atHotK} K a 60 °C',
  addedToItsReadings: 'Sumado a sus lecturas: {dots}',
  dayToC: 'día {day, number} {lowC, number} a {highC, number} °C',
  expectedHeat: 'Temperatura esperada: {expect}',
};
