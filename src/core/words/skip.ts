/** Why a heap or a place was left out of a round. */
export const SKIP_WORDS = {
  'no-time': 'no time',
  'just-turned': 'just turned',
  'not-reachable': 'could not be reached',
  'too-hot': 'too hot to go near',
  thermometer: 'thermometer failed',
  other: 'another reason',
} as const;
export type SkipReason = keyof typeof SKIP_WORDS;
