export const enCharts = {
  air: 'air',
  now: 'now',
  noTemperaturesYet: 'No temperatures yet.',
  temperaturesSinceWasBuiltLeft:
    'Temperatures since it was built. Left and right arrow keys go from check to check.',
  volume: 'Volume: {points}',
  each: 'each {each, number}',
  chartByAgeScrollsSideways: 'Chart by age, scrolls sideways',
  hottestPointByAge: 'Hottest point by age: {curves}',
  day0: 'day 0',
  day: '{says}, day {day, number}',
  kInIceWaterK: '{at} {atIce} in ice water, {atHot} at {hot, number, celsius}',
  addedToItsReadings: 'Added to its readings: {dots}',
  dayToC: 'day {day, number} {lowC, number, celsius} to {highC, number, celsius}',
  expectedTemperature: 'Expected temperature: {expect}',
} as const;
