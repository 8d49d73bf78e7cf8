export default {
  air: 'air',
  now: 'now',
  noRoundYet: 'No temperatures yet.',
  heatSinceItWasBuiltLeftAnd:
    'Temperatures since it was built. Left and right arrow keys go from check to check.',
  volume: 'Volume: {points}',
  each: 'each {each, number}',
  chartByAgeMayBeScrolled: 'Chart by age, scrolls sideways',
  hottestPlaceByAge: 'Hottest point by age: {curves}',
  day0: 'day 0',
  day: '{says}, day {day, number}',
  kInIceWaterKAt60: '{at} {atIceK} K in ice water, {atHotK} K at 60 °C',
  addedToItsReadings: 'Added to its readings: {dots}',
  dayToC: 'day {day, number} {lowC, number} to {highC, number} °C',
  expectedHeat: 'Expected temperature: {expect}',
} as const;
