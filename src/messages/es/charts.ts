export const esCharts = {
  air: 'aire',
  now: 'ahora',
  noTemperaturesYet: 'Sin temperaturas.',
  temperaturesSinceWasBuiltLeft:
    'Temperaturas desde que se armó. Las flechas izquierda y derecha van de una toma a otra.',
  volume: 'Volumen: {points}',
  each: 'cada {each, number}',
  chartByAgeScrollsSideways: 'Gráfica por edad, se desplaza de lado',
  hottestPointByAge: 'Punto más caliente por edad: {curves}',
  day0: 'día 0',
  day: '{says}, día {day, number}',
  kInIceWaterK: '{at} {atIce} en agua con hielo, {atHot} a {hot, number, celsius}',
  addedToItsReadings: 'Sumado a sus lecturas: {dots}',
  dayToC: 'día {day, number} {lowC, number, celsius} a {highC, number, celsius}',
  expectedTemperature: 'Temperatura esperada: {expect}',
};
