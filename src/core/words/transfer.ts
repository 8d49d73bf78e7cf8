/** What leaves one heap and goes into another, as people call it. */
export const TRANSFER_WORDS = {
  leachate: { name: 'Leachate', hint: 'raw: it starts a hot heap’s clock again' },
  rinsings: { name: 'Rinse water', hint: 'raw, as what it rinsed' },
  overs: { name: 'Overs', hint: 'what the screen kept back' },
  char: { name: 'Charged char', hint: 'clean, unless it was charged in something raw' },
  other: { name: 'Something else', hint: 'taken as raw' },
} as const;
