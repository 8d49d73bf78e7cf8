/** What people decide and do, in words. */

export const END_WORDS = {
  matured: 'said to be mature',
  'gave-up': 'given up',
  merged: 'joined to another heap',
  discarded: 'thrown away',
  'used-raw': 'used unproven',
} as const;

/** What was changed to mend a heap. */
export const FIXED_WORDS = {
  added: 'something added',
  enlarge: 'made bigger',
  water: 'watered',
  dry: 'left to dry',
  nitrogen: 'something rich added',
  carbon: 'browns added',
  structure: 'coarse browns mixed in',
  turn: 'turned',
  cover: 'covered',
  uncover: 'uncovered',
  shrink: 'split',
  bury: 'food buried',
  thermometer: 'thermometer checked',
  wait: 'left alone',
} as const;

/** Why an advised act is put off. */
export const DEFER_WORDS = {
  weather: 'Weather',
  'no-time': 'No time',
  'no-hands': 'Nobody free',
  'no-machine': 'No machine',
  'no-water': 'No water',
  'heap-fine': 'It looks fine',
  other: 'Something else',
} as const;
