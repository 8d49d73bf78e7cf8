import { findMaterials, SYNONYM_IDS } from './find';
import { MATERIAL_LIBRARY } from './library';

const found = (typed: string): string[] =>
  findMaterials(MATERIAL_LIBRARY, typed, (m) => m).map((m) => m.id);

/** What crews and growers type, American and British, singular and plural (common practice of speech), and what must be among what is found. */
test.each([
  ['chicken', 'hen-litter'],
  ['chicken manure', 'hen-manure'],
  ['layer manure', 'hen-manure'],
  ['poultry litter', 'hen-litter'],
  ['cow', 'cattle-manure'],
  ['cows', 'cattle-manure'],
  ['cow manure', 'cattle-manure'],
  ['corn', 'maize-stalks'],
  ['corn stalks', 'maize-stalks'],
  ['corn cobs', 'maize-cobs'],
  ['alfalfa', 'hay-legume'],
  ['wood chips', 'hardwood-chip'],
  ['woodchip', 'green-chip'],
  ['food scraps', 'kitchen-peelings'],
  ['kitchen scraps', 'kitchen-peelings'],
  ['yard waste', 'grass-clippings'],
  ['garden waste', 'leaves'],
  ['lawn', 'grass-clippings'],
  ['lawn clippings', 'grass-clippings'],
  ['coffee chaff', 'coffee-chaff'],
  ['eggshell', 'eggshells'],
  ['egg shells', 'eggshells'],
  ['molasses', 'molasses'],
  ['kelp', 'seaweed'],
  ['bran', 'bran'],
  ['rice bran', 'bran'],
  ['twigs', 'shrub-trimmings'],
  ['sticks', 'shrub-trimmings'],
  ['branches', 'green-chip'],
  ['horse', 'horse-manure'],
  ['pig', 'pig-manure'],
  ['hog manure', 'pig-manure'],
  ['goat', 'goat-manure'],
  ['rabbit', 'rabbit-manure'],
  ['dog', 'pet-dung'],
  ['newspaper', 'newsprint'],
  ['egg cartons', 'cardboard'],
  ['hay', 'hay-grass'],
  ['leaf', 'leaves'],
  ['fall leaves', 'leaves'],
  ['leaf mold', 'leaf-mould'],
  ['beer', 'brewery-grain'],
  ['spent grain', 'brewery-grain'],
  ['brewers grains', 'brewery-grain'],
  ['bokashi', 'fermented-food'],
  ['oranges', 'citrus-peel'],
  ['pumpkins', 'fruit-waste'],
  ['ash', 'wood-ash'],
  ['charcoal', 'biochar'],
  ['dirt', 'soil'],
  ['sod', 'soil'],
  ['weeds', 'green-weeds'],
  ['hedge clippings', 'hedge-green'],
  ['bedding', 'shavings'],
  ['sawdust', 'sawdust'],
  ['feathers', 'slaughter-waste'],
  ['fish', 'meat-fish'],
  ['bones', 'meat-fish'],
  ['mushroom compost', 'mushroom-block'],
  ['sugar water', 'molasses'],
])('%s finds %s', (typed, id) => expect(found(typed)).toContain(id));
test('the thing itself comes before what is only also called so', () => {
  expect(found('straw')[0]).toBe('straw');
  expect(found('LEAVES')[0]).toBe('leaves');
  expect(found('bark')[0]).toBe('bark');
});
test('what nobody says finds nothing, and nothing typed finds all in order', () => {
  expect(found('xyzzy')).toEqual([]);
  expect(found('  ')).toEqual(MATERIAL_LIBRARY.map((m) => m.id));
});
test('synonyms are of materials that there are, and every material of the library has some', () => {
  const ids = MATERIAL_LIBRARY.map((m) => m.id);
  for (const id of SYNONYM_IDS) expect(ids).toContain(id);
  for (const id of ids) expect(SYNONYM_IDS).toContain(id);
});

test('what is called so by the very word stands alone: bran, and no branches', () =>
  expect(found('bran')).toEqual(['bran']));
