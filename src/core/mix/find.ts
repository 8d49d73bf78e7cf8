import type { Material } from '../log/store-shapes';

/**
 * Everyday words for the materials of the library, so that whoever types what a crew says finds them; American and British
 * words both, singular (plurals are found by {@link findMaterials}). Common practice of speech.
 */
const SYNONYMS: Readonly<Record<string, readonly string[]>> = {
  'vegetable-waste': [
    'food scrap',
    'veg scrap',
    'produce',
    'vegetable waste',
    'market waste',
    'greens',
  ],
  'kitchen-peelings': ['food scrap', 'kitchen scrap', 'kitchen waste', 'food waste', 'caddy'],
  'cooked-food': [
    'food scrap',
    'food waste',
    'leftover',
    'plate scraping',
    'canteen waste',
    'bread',
    'dairy',
    'cheese',
  ],
  'fermented-food': ['bokashi', 'pickled food', 'sealed bucket'],
  'fruit-waste': ['fruit scrap', 'apple', 'windfall', 'banana', 'melon', 'pumpkin'],
  'citrus-peel': ['orange', 'lemon', 'lime peel', 'grapefruit'],
  'apple-pomace': ['cider', 'juice pulp', 'press cake'],
  'grape-marc': ['wine', 'grape pomace', 'lees'],
  'brewery-grain': ['brewer’s grain', 'brewers grain', 'beer', 'draff', 'malt', 'spent grain'],
  'spent-hops': ['hop'],
  'coffee-grounds': ['coffee', 'espresso', 'filter'],
  'coffee-chaff': ['coffee chaff', 'coffee husk', 'silverskin', 'roastery', 'chaff'],
  'tea-leaves': ['tea bag', 'teabag'],
  'grass-clippings': [
    'lawn',
    'lawn clipping',
    'mowing',
    'turf',
    'yard waste',
    'garden waste',
    'grass cutting',
    'cut grass',
  ],
  'green-weeds': ['weed', 'yard waste', 'garden waste', 'plant', 'green waste'],
  'seeding-weeds': ['weed', 'weeds with seed', 'seed head'],
  bindweed: ['couch', 'root', 'couch grass', 'quackgrass', 'rhizome', 'weed'],
  'invasive-roots': ['knotweed', 'invasive'],
  'nettles-comfrey': ['nettle', 'comfrey'],
  'bean-haulm': [
    'bean haulm',
    'pea haulm',
    'bean',
    'pea vine',
    'legume',
    'vetch',
    'clover',
    'cover crop',
  ],
  'tomato-haulm': [
    'tomato haulm',
    'potato haulm',
    'tomato plant',
    'potato plant',
    'tomato vine',
    'haulm',
  ],
  'crop-residue': [
    'crop',
    'crop waste',
    'stubble',
    'plant',
    'brassica',
    'cabbage',
    'yard waste',
    'garden waste',
    'cover crop',
  ],
  'diseased-plants': ['blight', 'clubroot', 'sick plant', 'disease'],
  'hedge-green': ['hedge', 'hedge clipping', 'yard waste', 'garden waste', 'brush', 'twig'],
  seaweed: ['kelp', 'wrack', 'algae', 'eelgrass'],
  'hay-legume': ['lucerne hay', 'lucerne', 'alfalfa', 'lucerne', 'clover hay', 'alfalfa hay'],
  silage: ['haylage', 'baleage'],
  'cattle-manure': [
    'cow',
    'cow manure',
    'cow dung',
    'dairy',
    'steer',
    'beef',
    'slurry',
    'cattle',
    'buffalo',
  ],
  'horse-manure': ['horse', 'pony', 'muck', 'stable', 'donkey', 'mule'],
  'stable-litter': ['horse bedding', 'stall', 'muck', 'straw bedding', 'stable manure', 'bedding'],
  'sheep-manure': ['sheep', 'lamb', 'ewe', 'dagging'],
  'goat-manure': ['goat', 'alpaca', 'llama'],
  'pig-manure': ['pig', 'hog', 'swine'],
  'hen-manure': [
    'laying hens’ droppings',
    'hen droppings',
    'chicken manure',
    'chicken',
    'poultry',
    'layer manure',
    'hen',
    'duck',
    'turkey',
    'goose',
    'dropping',
    'guano',
    'pigeon',
  ],
  'hen-litter': [
    'hen-house litter',
    'hen house',
    'chicken litter',
    'chicken',
    'poultry litter',
    'broiler',
    'coop',
    'chicken bedding',
    'deep litter',
    'duck bedding',
  ],
  'rabbit-manure': ['rabbit', 'guinea pig', 'hamster'],
  'pet-dung': ['dog', 'cat', 'cat litter', 'dog poop', 'pet waste'],
  'wild-droppings': ['deer', 'fox', 'bird dropping', 'wildlife'],
  'meat-fish': ['meat', 'fish', 'bone', 'shellfish', 'crab', 'shrimp', 'fish waste'],
  'slaughter-waste': ['slaughterhouse', 'offal', 'feather', 'hide', 'paunch', 'blood', 'carcass'],
  biosolids: ['sewage', 'sludge', 'humanure', 'septage'],
  wool: ['fleece', 'sheep wool', 'dag'],
  hair: ['human hair', 'barber', 'fur'],
  straw: ['wheat straw', 'barley straw', 'oat straw', 'rice straw', 'bale'],
  'hay-grass': ['hay', 'timothy', 'meadow hay', 'old hay', 'bale'],
  leaves: [
    'leaf',
    'autumn leaf',
    'fall leaf',
    'fallen leaf',
    'yard waste',
    'garden waste',
    'dead leaf',
    'pine needle',
    'oak leaf',
  ],
  'leaf-mould': ['leaf mould', 'leaf mold', 'duff', 'forest litter'],
  sawdust: ['saw dust', 'wood dust', 'wood pellet'],
  shavings: ['wood shaving', 'planer shaving', 'animal bedding', 'bedding', 'pine shaving'],
  cardboard: [
    'corrugated',
    'carton',
    'card',
    'egg box',
    'egg carton',
    'box',
    'toilet roll',
    'paper towel',
  ],
  newsprint: ['newspaper', 'paper'],
  'printed-paper': ['coloured paper', 'magazine', 'glossy', 'catalog', 'catalogue'],
  'maize-stalks': [
    'maize stalk',
    'maize',
    'corn',
    'corn stalk',
    'cornstalk',
    'corn stover',
    'maize',
    'sorghum',
    'sunflower stalk',
    'stalk',
  ],
  'maize-cobs': ['maize cob', 'maize', 'corn', 'corn cob', 'corncob', 'cob'],
  reed: ['bamboo', 'ornamental grass', 'miscanthus', 'rush'],
  'hop-bines': ['hop vine', 'hop'],
  vines: ['grapevine', 'raspberry cane', 'bramble', 'blackberry', 'rose', 'pruning', 'cane'],
  'paper-waste': ['office paper', 'shredded paper', 'paper', 'printer paper', 'envelope'],
  coir: ['coco', 'coconut', 'potting mix', 'potting soil', 'peat', 'growing medium'],
  'hardwood-chip': ['wood chip', 'woodchip', 'arborist chip', 'tree chip', 'mulch', 'oak chip'],
  'softwood-chip': ['wood chip', 'woodchip', 'pine chip', 'conifer', 'mulch'],
  'green-chip': [
    'wood chip',
    'woodchip',
    'ramial',
    'arborist chip',
    'brush',
    'branch',
    'pruning',
    'twig',
    'yard waste',
    'garden waste',
    'tree trimming',
  ],
  'shrub-trimmings': [
    'twig',
    'stick',
    'branch',
    'brush',
    'shrub',
    'bush',
    'pruning',
    'yard waste',
    'garden waste',
    'brushwood',
  ],
  bark: ['bark mulch', 'mulch', 'bark chip'],
  overs: ['screenings', 'oversize', 'oversize compost', 'sieving'],
  'mushroom-block': [
    'mushroom compost',
    'mushroom substrate',
    'grow block',
    'spawn',
    'spent substrate',
  ],
  'treated-wood': [
    'pallet',
    'plywood',
    'chipboard',
    'fence post',
    'timber',
    'painted wood',
    'mdf',
    'osb',
  ],
  'nut-shells': ['nut', 'nutshell', 'walnut', 'peanut', 'pecan', 'almond', 'hull', 'husk'],
  bran: ['wheat bran', 'rice bran', 'oat', 'middling', 'grain dust', 'flour'],
  'seed-meal': [
    'lucerne meal',
    'alfalfa meal',
    'alfalfa',
    'soybean meal',
    'cottonseed',
    'canola',
    'oilcake',
    'feed',
  ],
  'blood-meal': ['bone meal', 'feather meal', 'horn', 'fish meal'],
  molasses: ['treacle', 'sugar', 'sugar water', 'syrup'],
  'finished-compost': [
    'compost',
    'old compost',
    'mature compost',
    'vermicast',
    'worm casting',
    'starter',
  ],
  eggshells: ['egg shell', 'eggshell', 'egg', 'oyster shell', 'shell'],
  biochar: ['char', 'charcoal', 'bio char'],
  'wood-ash': ['ash', 'fireplace ash', 'wood ash'],
  soil: ['dirt', 'earth', 'topsoil', 'sod', 'turf', 'loam', 'clay'],
  'rock-dust': ['lime', 'gypsum', 'basalt', 'limestone', 'clay', 'zeolite', 'stone dust'],
  'pond-water': ['pond', 'pond water', 'rinse water', 'grey water', 'gray water', 'duck water'],
  leachate: ['compost juice', 'run-off', 'runoff', 'seepage', 'compost tea'],
};

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[’']/g, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** A word without its plural, roughly: `leaves` and `leaf`, `cherries` and `cherry`, `boxes` and `box` are one. */
function singular(word: string): string {
  if (word.length < 4) return word;
  if (word.endsWith('aves')) return `${word.slice(0, -3)}f`;
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (/(ch|sh|x|ss)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
}

/** British spellings to American ones, so that either finds the other. */
const american = (word: string): string =>
  word
    .replace(/mould/, 'mold')
    .replace(/colour/, 'color')
    .replace(/fibre/, 'fiber')
    .replace(/plough/, 'plow')
    .replace(/grey/, 'gray');

const wordsOf = (text: string): string[] =>
  plain(text)
    .split(' ')
    .filter(Boolean)
    .map((w) => american(singular(w)));

/** How well a phrase answers a query: 0 not at all; each word of the query must begin a word of the phrase. */
function fit(query: readonly string[], phrase: readonly string[]): number {
  if (query.length === 0 || !query.every((q) => phrase.some((p) => p.startsWith(q)))) return 0;
  const whole = query.every((q) => phrase.includes(q));
  return whole ? (query.length === phrase.length ? 3 : 2) : 1;
}

/** What a material is called, its own name first. @param names other names of the same thing, such as that of a load */
const phrasesOf = (
  material: { readonly id: string; readonly name: string },
  names: readonly string[],
): string[][] => [material.name, ...names, ...(SYNONYMS[material.id] ?? [])].map(wordsOf);

/**
 * How well a material answers to what was typed: 0 not at all, more is better; its own name weighs more than a synonym.
 * @param typed as it was typed, in any spelling, singular or plural
 */
function findScore(
  material: Pick<Material, 'id' | 'name'>,
  typed: string,
  names: readonly string[] = [],
): number {
  const query = wordsOf(typed);
  const phrases = phrasesOf(material, names);
  // Words of two of its names together still mean it: 'hog manure' where it is called pig manure, and hog.
  const across = fit(query, phrases.flat()) > 0 ? 0.5 : 0;
  return phrases.reduce((best, phrase, i) => {
    const f = fit(query, phrase);
    return Math.max(best, f === 0 ? 0 : f + (i <= names.length ? 0.5 : 0));
  }, across);
}

/** From this score on a material is called by the very words. */
const WHOLE = 2;

/** Those that answer to what was typed, the best first; all in their order where nothing was typed. */
export function findMaterials<T>(
  all: readonly T[],
  typed: string,
  of: (item: T) => Pick<Material, 'id' | 'name'>,
  names: (item: T) => readonly string[] = () => [],
): T[] {
  if (plain(typed) === '') return [...all];
  const found = all
    .map((item, i) => ({ item, i, score: findScore(of(item), typed, names(item)) }))
    .filter((x) => x.score > 0);
  // Where something is called so, what only begins so is not meant: bran, and no branches.
  const least = found.some((x) => x.score >= WHOLE) ? WHOLE : 0;
  return found
    .filter((x) => x.score >= least)
    .sort((a, b) => b.score - a.score || a.i - b.i)
    .map((x) => x.item);
}

/** Ids that synonyms are given for: each must be in the library. */
export const SYNONYM_IDS = Object.keys(SYNONYMS);
