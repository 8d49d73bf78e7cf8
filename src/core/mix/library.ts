import type {
  FigureName,
  LoadState,
  Material,
  Particle,
  Range,
  Risk,
  Role,
} from '../log/store-shapes';

/**
 * Materials that go into heaps, with the figures that a recipe is worked out from. A figure of a table is a starting point:
 * a site's own bucket test, drying test or laboratory stands over it.
 */

/** 1 lb/yd³ in kg/m³: 0.45359237 kg (international pound, 1959) in 0.9144³ m³. */
export const KG_M3_PER_LB_YD3 = 0.45359237 / 0.9144 ** 3;

const TABLE = 'On-Farm Composting Handbook, NRAES-54 (1992), appendix A, from memory';
const PRACTICE = 'common practice';
const MEMORY = 'from memory';
const SOURCES = { t: TABLE, p: PRACTICE, m: MEMORY } as const;
type From = keyof typeof SOURCES;
/** Which of the library's sources a figure of a material names; null: another one. */
export const librarySourceOf = (words: string): 'table' | 'practice' | null =>
  words === TABLE ? 'table' : words === PRACTICE ? 'practice' : null;

type Figure = readonly [from: From, low: number, usual: number, high: number] | null;
type Figures = {
  readonly n: Figure;
  readonly cn: Figure;
  readonly wet: Figure;
  readonly kg: Figure;
};
type Rest = {
  readonly risks?: readonly Risk[];
  readonly caution?: string;
  readonly states?: Partial<Record<LoadState, { readonly role: Role } & Partial<Figures>>>;
};

const range = (f: Figure): Range | null =>
  f === null ? null : { low: f[1], usual: f[2], high: f[3] };
/** Density from the table's pounds to the cubic yard, to the whole kg/m³. */
const lb = (low: number, usual: number, high: number): Figure => [
  't',
  ...([low, usual, high].map((x) => Math.round(x * KG_M3_PER_LB_YD3)) as [number, number, number]),
];
/** Carbon is taken as at most this share of the dry weight, %: the table's mean nitrogen and mean C:N come from different samples, and multiplied would give more. */
export const MAX_CARBON_PCT = 55;

function material(
  id: string,
  name: string,
  role: Role,
  particle: Particle,
  figures: Figures,
  { risks = [], caution, states }: Rest = {},
): Material {
  const sources: Partial<Record<FigureName, string>> = {};
  const named = { n: figures.n, cn: figures.cn, moisture: figures.wet, density: figures.kg };
  for (const [k, f] of Object.entries(named) as [FigureName, Figure][])
    if (f) sources[k] = SOURCES[f[0]];
  const other = Object.entries(states ?? {}).map(([state, s]) => {
    const f = { ...figures, ...s };
    return [
      state,
      {
        role: s.role,
        n: range(f.n),
        cn: range(f.cn),
        moisture: range(f.wet),
        density: range(f.kg),
      },
    ] as const;
  });
  return {
    id,
    name,
    role,
    particle,
    risks: [...risks, ...(caution?.includes(DUST) ? (['dust'] as const) : [])],
    n: range(figures.n),
    cn: range(figures.cn),
    moisture: range(figures.wet),
    density: range(figures.kg),
    sources,
    ...(caution ? { caution } : {}),
    ...(other.length > 0 ? { states: Object.fromEntries(other) } : {}),
  };
}

const DUST = 'Dusty and full of spores when dry: damp it down and wear a mask.';
const DUNG = 'Raw dung: gloves, wash hands, keep children off, tools of its own.';
const SPRAY =
  'Ask about weedkiller: some kinds outlast composting. Test a pot of beans or peas in it before it goes on a bed.';
const BURIED = 'Bury it inside and cover it with browns at once: it draws rats and flies.';
const ROOTS =
  'Roots and seeds survive outside of the hot core: dry or drown them first, and keep them in the middle.';
const DISEASE =
  'Hold it apart until it goes into a hot heap; not for beds of the same crop family before the proof stands.';
const BY_PRODUCT =
  'Animal by-product: the law asks for leave, and for a rule of its own. Check with your local authority.';

/** Materials of farms, gardens and kitchens. The order is that of the roles. */
export const MATERIAL_LIBRARY: readonly Material[] = [
  material(
    'vegetable-waste',
    'Vegetable trimmings',
    'green',
    'medium',
    {
      n: ['t', 2.0, 2.7, 4.0],
      cn: ['t', 11, 19, 23],
      wet: ['t', 80, 87, 92],
      kg: lb(1200, 1585, 1700),
    },
    {
      risks: ['food'],
      caution: BURIED,
      states: {
        frozen: { role: 'green' },
        fermenting: { role: 'green', kg: ['p', 700, 850, 1000] },
      },
    },
  ),
  material(
    'kitchen-peelings',
    'Kitchen peelings, raw',
    'green',
    'medium',
    {
      n: ['m', 1.9, 2.4, 3.5],
      cn: ['m', 14, 19, 25],
      wet: ['m', 75, 82, 90],
      kg: ['p', 450, 600, 800],
    },
    {
      risks: ['food'],
      caution: BURIED,
      states: {
        frozen: { role: 'green' },
        fermenting: { role: 'green', kg: ['p', 700, 850, 1000] },
      },
    },
  ),
  material(
    'cooked-food',
    'Cooked food',
    'green',
    'paste',
    {
      n: ['m', 2.0, 3.0, 4.5],
      cn: ['m', 12, 15, 22],
      wet: ['m', 60, 70, 80],
      kg: ['p', 600, 800, 1000],
    },
    {
      risks: ['food', 'raw-animal'],
      caution: `${BURIED} Food that was in a kitchen with meat is regulated in many places: check with your local authority.`,
    },
  ),
  material(
    'fermented-food',
    'Fermented food waste, sealed pail',
    'green',
    'paste',
    {
      n: ['m', 1.8, 2.5, 4.0],
      cn: ['m', 13, 18, 24],
      wet: ['m', 75, 80, 88],
      kg: ['p', 750, 900, 1000],
    },
    { risks: ['food'], caution: `${BURIED} Open sealed pails slowly: gas builds up in them.` },
  ),
  material(
    'fruit-waste',
    'Fruit waste',
    'green',
    'medium',
    {
      n: ['t', 0.9, 1.4, 2.6],
      cn: ['t', 20, 40, 49],
      wet: ['t', 62, 80, 88],
      kg: ['p', 600, 800, 950],
    },
    { risks: ['food'], caution: 'Draws wasps and flies: inside, and covered.' },
  ),
  material(
    'citrus-peel',
    'Citrus peel',
    'green',
    'medium',
    {
      n: ['m', 0.8, 1.1, 1.5],
      cn: ['m', 30, 40, 50],
      wet: ['m', 70, 78, 85],
      kg: ['p', 450, 600, 800],
    },
    { risks: ['food'], caution: 'Sour and slow at first: chop it and spread it thinly.' },
  ),
  material(
    'apple-pomace',
    'Apple pomace',
    'green',
    'paste',
    {
      n: ['t', 1.0, 1.1, 1.2],
      cn: ['t', 45, 48, 51],
      wet: ['t', 80, 88, 90],
      kg: lb(1400, 1559, 1700),
    },
    { caution: 'Sour, packs tight and runs: always with structure.' },
  ),
  material('grape-marc', 'Grape marc', 'green', 'fine', {
    n: ['m', 1.5, 1.8, 2.2],
    cn: ['m', 22, 28, 34],
    wet: ['m', 55, 65, 72],
    kg: ['p', 350, 450, 600],
  }),
  material(
    'brewery-grain',
    'Spent brewery grain',
    'green',
    'fine',
    {
      n: ['m', 3.0, 3.8, 4.5],
      cn: ['m', 10, 12, 15],
      wet: ['m', 70, 78, 82],
      kg: ['p', 500, 650, 900],
    },
    {
      caution: 'Sours within a day or two and packs tight: use it fresh, with structure.',
      states: { dried: { role: 'green', wet: ['p', 6, 10, 15], kg: ['p', 180, 220, 280] } },
    },
  ),
  material(
    'spent-hops',
    'Spent hops',
    'green',
    'fine',
    {
      n: ['m', 2.5, 3.2, 4.0],
      cn: ['m', 11, 14, 18],
      wet: ['m', 70, 78, 84],
      kg: ['p', 350, 480, 650],
    },
    { caution: 'Poisonous to dogs: keep them off.' },
  ),
  material(
    'coffee-grounds',
    'Coffee grounds',
    'green',
    'fine',
    {
      n: ['m', 1.9, 2.2, 2.6],
      cn: ['m', 18, 22, 26],
      wet: ['m', 50, 60, 68],
      kg: ['p', 400, 550, 700],
    },
    { caution: 'Cakes when it lies in one place: spread it thinly.' },
  ),
  material(
    'coffee-chaff',
    'Coffee chaff',
    'green',
    'fine',
    {
      n: ['p', 1.8, 2.5, 3.2],
      cn: ['p', 14, 20, 26],
      wet: ['p', 5, 8, 14],
      kg: ['p', 40, 70, 120],
    },
    { caution: `${DUST} It blows about: wet it as it goes in.` },
  ),
  material(
    'tea-leaves',
    'Tea leaves',
    'green',
    'fine',
    {
      n: ['m', 3.0, 3.8, 4.5],
      cn: ['m', 11, 13, 16],
      wet: ['m', 65, 75, 85],
      kg: ['p', 350, 450, 600],
    },
    { caution: 'Bags may hold plastic: tear one open and look.' },
  ),
  material(
    'grass-clippings',
    'Grass clippings',
    'green',
    'fine',
    {
      n: ['t', 2.0, 3.4, 6.0],
      cn: ['t', 9, 17, 25],
      wet: ['t', 65, 82, 86],
      kg: lb(300, 500, 800),
    },
    {
      caution: `${SPRAY} Mats when fresh: mix it, never a thick layer.`,
      states: {
        dried: {
          role: 'brown',
          cn: ['p', 14, 20, 30],
          n: ['p', 1.6, 2.4, 3.2],
          wet: ['p', 10, 15, 25],
          kg: ['p', 40, 60, 90],
        },
      },
    },
  ),
  material(
    'green-weeds',
    'Weeds without seed, leafy',
    'green',
    'medium',
    {
      n: ['p', 1.8, 2.5, 3.5],
      cn: ['p', 12, 18, 25],
      wet: ['p', 70, 80, 88],
      kg: ['p', 120, 200, 320],
    },
    {
      states: {
        dried: {
          role: 'brown',
          cn: ['p', 18, 25, 35],
          n: ['p', 1.2, 1.8, 2.4],
          wet: ['p', 10, 18, 30],
          kg: ['p', 40, 70, 110],
        },
      },
    },
  ),
  material(
    'seeding-weeds',
    'Weeds gone to seed',
    'green',
    'medium',
    {
      n: ['p', 1.4, 2.0, 2.8],
      cn: ['p', 16, 23, 32],
      wet: ['p', 55, 70, 80],
      kg: ['p', 100, 180, 300],
    },
    {
      risks: ['seeds'],
      caution:
        'Seeds on the skin of a heap stay alive: into the middle, an arm’s length from the edge.',
      states: {
        dried: {
          role: 'brown',
          cn: ['p', 22, 32, 45],
          n: ['p', 0.9, 1.4, 2.0],
          wet: ['p', 10, 18, 30],
          kg: ['p', 40, 70, 110],
        },
      },
    },
  ),
  material(
    'bindweed',
    'Bindweed and couch, with roots',
    'green',
    'long',
    {
      n: ['p', 1.5, 2.1, 2.8],
      cn: ['p', 15, 20, 28],
      wet: ['p', 60, 70, 82],
      kg: ['p', 120, 220, 320],
    },
    { risks: ['seeds'], caution: ROOTS },
  ),
  material(
    'invasive-roots',
    'Roots of invasive plants',
    'green',
    'coarse',
    { n: null, cn: null, wet: null, kg: null },
    {
      risks: ['seeds', 'disease'],
      caution:
        'In many places it may not be moved at all: check with your local authority before it comes through the gate.',
    },
  ),
  material(
    'nettles-comfrey',
    'Nettles, comfrey',
    'green',
    'medium',
    {
      n: ['p', 3.0, 4.0, 5.5],
      cn: ['p', 8, 11, 14],
      wet: ['p', 78, 84, 90],
      kg: ['p', 120, 200, 320],
    },
    { caution: 'Gloves for nettles; roots of comfrey grow again.' },
  ),
  material(
    'bean-haulm',
    'Bean and pea haulm',
    'green',
    'long',
    {
      n: ['p', 1.8, 2.5, 3.3],
      cn: ['p', 13, 18, 25],
      wet: ['p', 60, 75, 85],
      kg: ['p', 80, 140, 220],
    },
    {
      states: {
        dried: {
          role: 'brown',
          cn: ['p', 25, 38, 50],
          n: ['p', 0.8, 1.1, 1.6],
          wet: ['p', 10, 15, 25],
          kg: ['p', 40, 60, 90],
        },
      },
    },
  ),
  material(
    'tomato-haulm',
    'Tomato and potato haulm',
    'green',
    'long',
    {
      n: ['m', 1.8, 2.6, 3.3],
      cn: ['m', 12, 16, 25],
      wet: ['m', 70, 82, 90],
      kg: ['p', 100, 180, 280],
    },
    { risks: ['disease', 'sharps'], caution: `${DISEASE} Take clips, twine and tape out.` },
  ),
  material(
    'crop-residue',
    'Crop residues, leafy',
    'green',
    'medium',
    {
      n: ['p', 1.5, 2.2, 3.0],
      cn: ['p', 14, 20, 30],
      wet: ['p', 70, 82, 90],
      kg: ['p', 150, 280, 450],
    },
    {
      states: {
        dried: {
          role: 'brown',
          cn: ['p', 30, 45, 60],
          n: ['p', 0.7, 1.0, 1.4],
          wet: ['p', 10, 15, 25],
          kg: ['p', 50, 80, 120],
        },
      },
    },
  ),
  material(
    'diseased-plants',
    'Diseased plants',
    'green',
    'medium',
    {
      n: ['p', 1.5, 2.2, 3.0],
      cn: ['p', 14, 20, 28],
      wet: ['p', 65, 78, 88],
      kg: ['p', 120, 220, 350],
    },
    { risks: ['disease'], caution: DISEASE },
  ),
  material(
    'hedge-green',
    'Hedge trimmings, leafy',
    'green',
    'long',
    {
      n: ['p', 1.2, 1.8, 2.6],
      cn: ['p', 18, 26, 38],
      wet: ['p', 45, 58, 68],
      kg: ['p', 90, 150, 240],
    },
    { caution: 'Yew, laurel and box are poisonous to animals: keep stock off the heap.' },
  ),
  material(
    'seaweed',
    'Seaweed',
    'green',
    'long',
    {
      n: ['t', 1.2, 1.9, 3.0],
      cn: ['t', 5, 17, 27],
      wet: ['t', 45, 53, 75],
      kg: ['p', 250, 400, 600],
    },
    { caution: 'Salty: rinse it, and keep it to a tenth of the mix. Gathering may need leave.' },
  ),
  material(
    'hay-legume',
    'Hay, clover or lucerne',
    'green',
    'long',
    {
      n: ['t', 1.8, 2.5, 3.6],
      cn: ['t', 15, 16, 19],
      wet: ['t', 8, 10, 15],
      kg: ['p', 60, 90, 140],
    },
    {
      risks: ['seeds'],
      caution: `${SPRAY} ${DUST} Moist bales heat up on their own in the stack.`,
    },
  ),
  material(
    'silage',
    'Spoiled silage',
    'green',
    'medium',
    {
      n: ['m', 1.2, 1.5, 2.2],
      cn: ['m', 28, 38, 43],
      wet: ['m', 60, 67, 73],
      kg: ['p', 300, 450, 650],
    },
    { caution: 'Its juice burns streams: lay it where nothing runs off.' },
  ),
  material(
    'cattle-manure',
    'Cattle manure',
    'green',
    'paste',
    {
      n: ['t', 1.5, 2.4, 4.2],
      cn: ['t', 11, 19, 30],
      wet: ['t', 67, 81, 87],
      kg: lb(1323, 1458, 1674),
    },
    {
      risks: ['raw-animal', 'seeds'],
      caution: DUNG,
      states: {
        aged: {
          role: 'green',
          cn: ['p', 12, 17, 22],
          n: ['p', 1.6, 2.2, 2.8],
          wet: ['p', 55, 68, 78],
          kg: ['p', 500, 650, 800],
        },
      },
    },
  ),
  material(
    'horse-manure',
    'Horse manure',
    'green',
    'medium',
    {
      n: ['t', 1.4, 1.6, 2.3],
      cn: ['t', 22, 30, 50],
      wet: ['t', 59, 72, 79],
      kg: lb(1215, 1379, 1620),
    },
    {
      risks: ['raw-animal', 'seeds'],
      caution: `${DUNG} Ask what hay they ate: weedkiller passes through.`,
      states: {
        aged: {
          role: 'green',
          cn: ['p', 17, 23, 30],
          n: ['p', 1.4, 1.8, 2.3],
          wet: ['p', 50, 62, 72],
          kg: ['p', 450, 600, 750],
        },
      },
    },
  ),
  material(
    'stable-litter',
    'Stable litter, much straw',
    'green',
    'long',
    {
      n: ['p', 0.9, 1.2, 1.6],
      cn: ['p', 28, 38, 55],
      wet: ['p', 55, 65, 72],
      kg: ['p', 250, 380, 550],
    },
    {
      risks: ['raw-animal', 'seeds'],
      caution: `${DUNG} Ask what hay they ate: weedkiller passes through.`,
    },
  ),
  material(
    'sheep-manure',
    'Sheep manure',
    'green',
    'medium',
    {
      n: ['t', 1.3, 2.7, 3.9],
      cn: ['t', 13, 16, 20],
      wet: ['t', 60, 69, 75],
      kg: ['p', 450, 600, 750],
    },
    { risks: ['raw-animal', 'seeds'], caution: DUNG },
  ),
  material(
    'goat-manure',
    'Goat manure, with bedding',
    'green',
    'medium',
    {
      n: ['p', 1.8, 2.4, 3.0],
      cn: ['p', 14, 18, 25],
      wet: ['p', 50, 62, 70],
      kg: ['p', 350, 480, 600],
    },
    { risks: ['raw-animal', 'seeds'], caution: DUNG },
  ),
  material(
    'pig-manure',
    'Pig manure',
    'green',
    'paste',
    {
      n: ['m', 1.9, 3.1, 4.3],
      cn: ['m', 9, 14, 19],
      wet: ['m', 65, 80, 91],
      kg: ['p', 750, 900, 1050],
    },
    { risks: ['raw-animal'], caution: DUNG },
  ),
  material(
    'hen-manure',
    'Laying hens’ droppings',
    'green',
    'paste',
    {
      n: ['t', 4.0, 8.0, 10.0],
      cn: ['t', 3, 6, 10],
      wet: ['t', 62, 69, 75],
      kg: lb(1377, 1479, 1620),
    },
    { risks: ['raw-animal'], caution: `${DUNG} Strong ammonia: mix it in the open.` },
  ),
  material(
    'hen-litter',
    'Hen-house litter',
    'green',
    'fine',
    {
      n: ['t', 1.6, 2.7, 3.9],
      cn: ['t', 12, 14, 15],
      wet: ['t', 22, 37, 46],
      kg: lb(756, 864, 1026),
    },
    { risks: ['raw-animal'], caution: `${DUNG} ${DUST}` },
  ),
  material(
    'rabbit-manure',
    'Rabbit manure, with bedding',
    'green',
    'medium',
    {
      n: ['p', 1.8, 2.4, 3.2],
      cn: ['p', 12, 16, 22],
      wet: ['p', 45, 60, 70],
      kg: ['p', 300, 420, 550],
    },
    { risks: ['raw-animal', 'seeds'], caution: DUNG },
  ),
  material(
    'pet-dung',
    'Dung of cats and dogs',
    'green',
    'medium',
    { n: null, cn: null, wet: null, kg: null },
    {
      risks: ['raw-animal'],
      caution: 'Carries parasites that outlast a short heat: refused unless your rules allow it.',
    },
  ),
  material(
    'wild-droppings',
    'Droppings of wild animals',
    'green',
    'medium',
    { n: null, cn: null, wet: null, kg: null },
    {
      risks: ['raw-animal', 'seeds'],
      caution: 'Carries germs and parasites nobody has looked for: refused as a rule.',
    },
  ),
  material(
    'meat-fish',
    'Meat, fish, bones',
    'green',
    'coarse',
    {
      n: ['m', 5.0, 7.5, 11.0],
      cn: ['m', 3, 5, 7],
      wet: ['m', 55, 68, 78],
      kg: ['p', 700, 850, 1000],
    },
    { risks: ['raw-animal', 'food', 'by-product'], caution: BY_PRODUCT },
  ),
  material(
    'slaughter-waste',
    'Slaughter waste, hides, feathers',
    'green',
    'coarse',
    {
      n: ['m', 7.0, 10.0, 14.0],
      cn: ['m', 3, 4, 5],
      wet: ['m', 10, 60, 78],
      kg: ['p', 300, 700, 950],
    },
    { risks: ['raw-animal', 'by-product'], caution: BY_PRODUCT },
  ),
  material(
    'biosolids',
    'Sewage sludge',
    'green',
    'paste',
    {
      n: ['m', 2.0, 5.6, 6.9],
      cn: ['m', 5, 8, 16],
      wet: ['m', 72, 78, 84],
      kg: ['p', 850, 950, 1050],
    },
    {
      risks: ['raw-animal', 'chemical', 'sludge'],
      caution:
        'A regulated class of its own, with sampling and records; heat alone never lets it out. Check with your local authority.',
    },
  ),
  material(
    'wool',
    'Wool waste',
    'green',
    'long',
    { n: ['m', 10, 12, 14], cn: ['m', 3, 4, 5], wet: ['m', 10, 15, 25], kg: ['p', 40, 70, 120] },
    { risks: ['raw-animal'], caution: 'Mats: tear it into tufts. Raw fleece may carry dip: ask.' },
  ),
  material(
    'hair',
    'Hair',
    'green',
    'long',
    { n: ['m', 10, 12, 15], cn: ['m', 3, 4, 5], wet: ['m', 6, 10, 15], kg: ['p', 30, 60, 100] },
    { caution: 'Mats, and dyed hair brings dyes: a little, well spread.' },
  ),

  material(
    'straw',
    'Straw',
    'brown',
    'long',
    {
      n: ['t', 0.3, 0.7, 1.1],
      cn: ['t', 48, 80, 150],
      wet: ['t', 4, 12, 27],
      kg: lb(58, 227, 378),
    },
    {
      caution: `${DUST} Old straw sheds water at first: soak it.`,
      states: { soaked: { role: 'brown', wet: ['p', 55, 68, 75], kg: ['p', 220, 350, 450] } },
    },
  ),
  material(
    'hay-grass',
    'Hay, grass',
    'brown',
    'long',
    {
      n: ['t', 0.7, 1.3, 2.5],
      cn: ['t', 20, 32, 40],
      wet: ['t', 8, 10, 15],
      kg: ['p', 60, 90, 140],
    },
    {
      risks: ['seeds'],
      caution: `${SPRAY} ${DUST} Moist bales heat up on their own in the stack.`,
    },
  ),
  material(
    'leaves',
    'Leaves',
    'brown',
    'medium',
    {
      n: ['t', 0.5, 0.9, 1.3],
      cn: ['t', 40, 54, 80],
      wet: ['t', 15, 38, 50],
      kg: lb(100, 300, 500),
    },
    {
      caution: 'Street leaves bring litter and tyre dust: leave them out.',
      states: {
        dried: { role: 'brown', wet: ['p', 8, 15, 25], kg: ['p', 50, 80, 120] },
        soaked: { role: 'brown', wet: ['p', 55, 65, 75], kg: ['p', 250, 350, 450] },
      },
    },
  ),
  material(
    'leaf-mould',
    'Leaf mould',
    'brown',
    'fine',
    {
      n: ['p', 0.8, 1.3, 1.8],
      cn: ['p', 20, 30, 45],
      wet: ['p', 50, 62, 72],
      kg: ['p', 350, 480, 600],
    },
    { caution: 'Not from woods without leave: it carries pests along.' },
  ),
  material(
    'sawdust',
    'Sawdust',
    'brown',
    'fine',
    {
      n: ['t', 0.06, 0.24, 0.8],
      cn: ['t', 200, 442, 750],
      wet: ['t', 19, 39, 65],
      kg: lb(350, 410, 450),
    },
    { caution: `${DUST} Only from untreated wood.` },
  ),
  material(
    'shavings',
    'Wood shavings',
    'brown',
    'medium',
    {
      n: ['p', 0.06, 0.12, 0.3],
      cn: ['p', 200, 400, 650],
      wet: ['p', 8, 15, 35],
      kg: ['p', 80, 120, 180],
    },
    { caution: `${DUST} Only from untreated wood.` },
  ),
  material(
    'cardboard',
    'Cardboard, shredded',
    'brown',
    'medium',
    {
      n: ['t', 0.06, 0.1, 0.15],
      cn: ['t', 400, 563, 750],
      wet: ['t', 5, 8, 12],
      kg: lb(180, 259, 320),
    },
    {
      risks: [],
      caution: 'Tape, staples and gloss off first.',
      states: { soaked: { role: 'brown', wet: ['p', 55, 65, 72], kg: ['p', 280, 400, 520] } },
    },
  ),
  material(
    'newsprint',
    'Newsprint, shredded',
    'brown',
    'medium',
    {
      n: ['t', 0.06, 0.1, 0.14],
      cn: ['t', 398, 600, 852],
      wet: ['t', 3, 5, 8],
      kg: lb(195, 220, 242),
    },
    { caution: 'Mats when wet: shredded, and mixed with structure.' },
  ),
  material(
    'printed-paper',
    'Glossy and coloured paper',
    'brown',
    'medium',
    { n: null, cn: null, wet: null, kg: null },
    { risks: ['chemical'], caution: 'Inks and coatings: not into a heap.' },
  ),
  material(
    'maize-stalks',
    'Maize stalks',
    'brown',
    'coarse',
    { n: ['m', 0.6, 0.7, 0.8], cn: ['m', 60, 67, 73], wet: ['m', 9, 12, 20], kg: lb(20, 32, 60) },
    { caution: 'Chop them: whole ones lie for years.' },
  ),
  material('maize-cobs', 'Maize cobs', 'brown', 'coarse', {
    n: ['m', 0.4, 0.6, 0.8],
    cn: ['m', 56, 98, 123],
    wet: ['m', 9, 15, 18],
    kg: lb(450, 557, 650),
  }),
  material(
    'reed',
    'Reed, miscanthus',
    'brown',
    'long',
    {
      n: ['p', 0.3, 0.5, 0.8],
      cn: ['p', 60, 90, 140],
      wet: ['p', 10, 15, 25],
      kg: ['p', 60, 100, 150],
    },
    { caution: 'Edges cut: gloves.' },
  ),
  material(
    'hop-bines',
    'Hop bines, chopped',
    'brown',
    'long',
    {
      n: ['p', 1.2, 1.6, 2.2],
      cn: ['p', 22, 28, 36],
      wet: ['p', 45, 55, 68],
      kg: ['p', 100, 150, 220],
    },
    {
      risks: ['sharps'],
      caution: 'Bines bring wire and twine along: pull it out before the machine finds it.',
    },
  ),
  material(
    'vines',
    'Vine and cane prunings',
    'brown',
    'coarse',
    {
      n: ['p', 0.5, 0.8, 1.1],
      cn: ['p', 50, 65, 90],
      wet: ['p', 30, 42, 55],
      kg: ['p', 120, 180, 260],
    },
    { caution: 'Thorns and ties: gloves.' },
  ),
  material(
    'paper-waste',
    'Office paper, shredded',
    'brown',
    'medium',
    {
      n: ['p', 0.05, 0.1, 0.2],
      cn: ['p', 200, 400, 700],
      wet: ['p', 4, 6, 9],
      kg: ['p', 40, 70, 120],
    },
    { caution: 'Mats when wet. Windows of envelopes are plastic.' },
  ),
  material('coir', 'Coir, spent potting mix', 'brown', 'fine', {
    n: ['p', 0.3, 0.6, 1.0],
    cn: ['p', 50, 80, 120],
    wet: ['p', 45, 60, 75],
    kg: ['p', 300, 420, 550],
  }),

  material(
    'hardwood-chip',
    'Hardwood chip',
    'structure',
    'coarse',
    {
      n: ['t', 0.06, 0.09, 0.11],
      cn: ['t', 451, 560, 819],
      wet: ['p', 25, 40, 50],
      kg: lb(400, 500, 620),
    },
    {
      caution: 'Fresh chip heats up in the stack: read its temperature, keep the stack low.',
      states: {
        aged: {
          role: 'structure',
          cn: ['p', 120, 200, 350],
          n: ['p', 0.15, 0.25, 0.4],
          wet: ['p', 40, 50, 60],
          kg: ['p', 260, 330, 400],
        },
      },
    },
  ),
  material(
    'softwood-chip',
    'Softwood chip',
    'structure',
    'coarse',
    {
      n: ['t', 0.04, 0.09, 0.23],
      cn: ['t', 212, 641, 1313],
      wet: ['p', 25, 40, 50],
      kg: lb(400, 450, 620),
    },
    {
      caution: 'Fresh chip heats up in the stack: read its temperature, keep the stack low.',
      states: {
        aged: {
          role: 'structure',
          cn: ['p', 120, 220, 400],
          n: ['p', 0.13, 0.23, 0.4],
          wet: ['p', 40, 50, 60],
          kg: ['p', 250, 320, 400],
        },
      },
    },
  ),
  material(
    'green-chip',
    'Chipped prunings, with leaf',
    'structure',
    'coarse',
    {
      n: ['p', 0.5, 0.9, 1.4],
      cn: ['p', 35, 55, 90],
      wet: ['p', 35, 48, 58],
      kg: ['p', 200, 280, 360],
    },
    {
      caution:
        'Fresh chip with leaf heats up fast in the stack: read its temperature, keep the stack low.',
    },
  ),
  material(
    'shrub-trimmings',
    'Shrub trimmings',
    'structure',
    'coarse',
    {
      n: ['t', 0.8, 1.0, 1.2],
      cn: ['t', 45, 53, 60],
      wet: ['t', 10, 15, 40],
      kg: lb(330, 429, 530),
    },
    { risks: ['seeds'] },
  ),
  material('bark', 'Bark', 'structure', 'coarse', {
    n: ['m', 0.1, 0.19, 0.4],
    cn: ['m', 117, 270, 450],
    wet: ['p', 35, 50, 60],
    kg: ['p', 220, 280, 360],
  }),
  material(
    'overs',
    'Overs from screening',
    'structure',
    'coarse',
    {
      n: ['p', 0.6, 0.9, 1.3],
      cn: ['p', 30, 45, 70],
      wet: ['p', 35, 45, 55],
      kg: ['p', 250, 330, 420],
    },
    {
      risks: ['raw-animal', 'seeds'],
      caution: 'Lumps of the rim: raw unless the heap they came from was proven.',
    },
  ),
  material(
    'nut-shells',
    'Nut shells and hulls',
    'structure',
    'coarse',
    {
      n: ['m', 0.1, 0.4, 0.9],
      cn: ['m', 60, 120, 200],
      wet: ['p', 5, 10, 18],
      kg: ['p', 200, 300, 420],
    },
    { caution: 'Black walnut harms tomatoes and their kin: keep it out.' },
  ),
  material(
    'mushroom-block',
    'Spent mushroom block',
    'brown',
    'medium',
    {
      n: ['p', 0.8, 1.5, 2.2],
      cn: ['p', 18, 30, 60],
      wet: ['p', 50, 62, 70],
      kg: ['p', 250, 350, 480],
    },
    { caution: `Take the plastic off. ${DUST}` },
  ),
  material(
    'treated-wood',
    'Treated, painted or glued wood',
    'structure',
    'coarse',
    { n: null, cn: null, wet: null, kg: null },
    { risks: ['chemical'], caution: 'Copper, arsenic and glue do not rot: refuse it.' },
  ),

  material(
    'bran',
    'Bran, grain dust',
    'activator',
    'fine',
    {
      n: ['m', 2.2, 2.6, 3.0],
      cn: ['m', 14, 17, 21],
      wet: ['p', 9, 12, 14],
      kg: ['p', 200, 280, 380],
    },
    { caution: DUST },
  ),
  material(
    'molasses',
    'Molasses, sugar water',
    'activator',
    'liquid',
    { n: null, cn: null, wet: ['p', 22, 80, 98], kg: ['p', 1000, 1050, 1400] },
    { caution: 'Draws wasps and rats: inside, and covered.' },
  ),
  material(
    'seed-meal',
    'Seed meal, lucerne meal',
    'activator',
    'fine',
    {
      n: ['m', 3.0, 5.5, 7.5],
      cn: ['m', 6, 8, 14],
      wet: ['m', 7, 10, 13],
      kg: ['p', 450, 550, 650],
    },
    { caution: DUST },
  ),
  material(
    'blood-meal',
    'Blood meal, hoof and horn',
    'activator',
    'fine',
    { n: ['m', 10, 13, 15], cn: ['m', 3, 3.5, 4], wet: ['m', 5, 10, 13], kg: ['p', 500, 650, 800] },
    { risks: ['raw-animal', 'by-product'], caution: `${BY_PRODUCT} ${DUST}` },
  ),
  material(
    'finished-compost',
    'Finished compost',
    'finished',
    'fine',
    {
      n: ['p', 1.0, 1.5, 2.0],
      cn: ['p', 12, 15, 20],
      wet: ['p', 35, 45, 55],
      kg: ['p', 450, 550, 700],
    },
    { caution: 'From elsewhere: unproven here, and its hay and dung are unknown.' },
  ),
  material(
    'eggshells',
    'Eggshells',
    'mineral',
    'medium',
    { n: null, cn: null, wet: ['p', 1, 5, 15], kg: ['p', 300, 450, 650] },
    { caution: 'Crush them: whole ones stay for years.' },
  ),
  material(
    'biochar',
    'Biochar',
    'mineral',
    'fine',
    {
      n: ['p', 0.2, 0.5, 1.0],
      cn: ['p', 80, 150, 400],
      wet: ['p', 5, 20, 45],
      kg: ['p', 200, 280, 380],
    },
    {
      caution: `${DUST} It may still glow inside: drench it and wait a day. Its carbon hardly rots.`,
      states: { charged: { role: 'mineral', wet: ['p', 45, 55, 65], kg: ['p', 350, 450, 550] } },
    },
  ),
  material(
    'wood-ash',
    'Wood ash',
    'mineral',
    'fine',
    { n: null, cn: null, wet: ['p', 1, 5, 20], kg: ['p', 400, 550, 700] },
    {
      risks: ['chemical'],
      caution:
        'Raises the pH and drives ammonia off: a dusting, cold, from clean wood only. Burns skin and eyes when wet.',
    },
  ),
  material(
    'soil',
    'Soil',
    'mineral',
    'fine',
    {
      n: ['p', 0.1, 0.2, 0.4],
      cn: ['p', 9, 11, 14],
      wet: ['p', 8, 15, 25],
      kg: ['p', 1100, 1300, 1500],
    },
    { risks: ['seeds'] },
  ),
  material(
    'rock-dust',
    'Rock dust, clay, lime',
    'mineral',
    'fine',
    { n: null, cn: null, wet: ['p', 0, 3, 15], kg: ['p', 1000, 1300, 1600] },
    { caution: `${DUST} Lime burns skin and eyes, and drives ammonia off.` },
  ),
  material(
    'pond-water',
    'Pond water, rinsings',
    'liquid',
    'liquid',
    { n: null, cn: null, wet: ['p', 98, 99, 99.5], kg: ['p', 990, 1000, 1010] },
    { risks: ['raw-animal', 'seeds'], caution: 'Raw: it starts the clock of a hot heap again.' },
  ),
  material(
    'leachate',
    'Leachate',
    'liquid',
    'liquid',
    { n: null, cn: null, wet: ['p', 95, 98, 99.5], kg: ['p', 990, 1005, 1020] },
    {
      risks: ['raw-animal'],
      caution: 'Raw: only onto raw heaps, never to a drain or stream. Gloves.',
    },
  ),
];
