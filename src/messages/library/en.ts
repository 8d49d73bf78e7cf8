/** Names of the library as American English says them, by the British ones that its data hold. */
export const enMethodNames: Readonly<Record<string, string>> = {
  'Row turned by machine': 'Windrow turned by machine',
  'A loader or a turner goes along the row every third day.':
    'A loader or a turner goes along the windrow every third day.',
  'Turned every fortnight': 'Turned every two weeks',
  'Closed tub with auger and air': 'In-vessel drum with auger and air',
};

export const enLibrary: Readonly<Record<string, string>> = {
  ...enMethodNames,
  'Leaf mould': 'Leaf mold',
  'Glossy and coloured paper': 'Glossy and colored paper',
  'Hay, clover or lucerne': 'Hay, clover or alfalfa',
  'Seed meal, lucerne meal': 'Seed meal, alfalfa meal',
  'Laying hens’ droppings': 'Layer manure',
  'Hen-house litter': 'Chicken litter',
  'Maize stalks': 'Corn stalks',
  'Maize cobs': 'Corn cobs',
  'Hardwood chip': 'Hardwood chips',
  'Softwood chip': 'Softwood chips',
  'Bean and pea haulm': 'Bean and pea vines',
  'Tomato and potato haulm': 'Tomato and potato vines',
  'Bindweed and couch, with roots': 'Bindweed and quackgrass, with roots',
  'Seeds on the skin of a heap stay alive: into the middle, an arm’s length from the edge.':
    'Seeds on the surface of a pile stay alive: into the middle, an arm’s length from the edge.',
  'Carries germs and parasites nobody has looked for: refused as a rule.':
    'May carry pathogens and parasites that nobody tested for: refused as a rule.',
  'Street leaves bring litter and tyre dust: leave them out.':
    'Street leaves bring trash and tire dust: leave them out.',
  'Yew, laurel and box are poisonous to animals: keep stock off the heap.':
    'Yew, laurel and boxwood are poisonous to animals: keep livestock off the pile.',
  'Hold it apart until it goes into a hot heap; not for beds of the same crop family before the proof stands.':
    'Keep it apart until it goes into a hot pile; not for beds of the same crop family before a rule is met.',
  'Its juice burns streams: lay it where nothing runs off.':
    'Its juice kills streams: put it where nothing runs off.',
  'Inks and coatings: not into a heap.': 'Inks and coatings: not into a pile.',
  'Lumps of the rim: raw unless the heap they came from was proven.':
    'Lumps from the edge: raw unless their batch met its rule.',
  'Raw: it starts the clock of a hot heap again.': 'Raw: a hot pile starts over with it.',
  'Raw: only onto raw heaps, never to a drain or stream.':
    'Raw: only onto raw piles, never into a drain or stream.',
  'From elsewhere: unproven here, and its hay and dung are unknown.':
    'From elsewhere: nothing is shown for it here, and what was in it is unknown.',
  'An insulating cover on a static aerated heap': 'An insulating cover on an aerated static pile',
};
