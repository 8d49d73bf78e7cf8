import type { NewEntry } from '@/core/log/entry';
import type { OwnMeasure, Part, Recipe, Slot } from '@/core/log/store-shapes';
import { MS } from '@/core/quantity/instant';
import { idAt, newId } from '@/platform/ids';
import { parseLoadId } from '@/core/log/ids';
import { present } from '@/core/quantity/present';

/** What the made-up site has in store, what it brought in, and what went into its heaps. */

export type StoredHeap = {
  readonly code: string;
  readonly id: string;
  readonly builtAt: number;
  readonly volumeM3: number;
  readonly building: boolean;
};
type Laid = { readonly entry: NewEntry; readonly recordedAt: number };

const MEASURES: readonly OwnMeasure[] = [
  { id: 'bucket', name: 'bucket', litres: 20 },
  { id: 'barrow', name: 'barrow', litres: 90 },
  { id: 'scoop', name: 'loader scoop', litres: 450 },
  { id: 'trailer', name: 'trailer', litres: 2500 },
];
const by = (id: string): OwnMeasure => MEASURES.find((m) => m.id === id)!;
const inMeasure = (n: number, id: string, about = false): Part['amount'] => ({
  in: 'measure',
  n,
  measure: id,
  name: by(id).name,
  litresEach: by(id).litres,
  ...(about ? { about: true } : {}),
});

/** What goes into a cubic metre of heap, L. */
const MIXES = {
  usual: {
    'hop-bines': 330,
    'horse-manure': 130,
    'hen-litter': 110,
    'green-chip': 200,
    straw: 190,
    bindweed: 110,
    'kitchen-peelings': 40,
  },
  rich: {
    'hen-litter': 260,
    'hop-bines': 360,
    'brewery-grain': 90,
    'hardwood-chip': 200,
    'kitchen-peelings': 110,
    cardboard: 60,
  },
} as const;
type MixName = keyof typeof MIXES;
const MIX_OF: Readonly<Record<string, MixName>> = { H: 'rich', F: 'rich', G: 'rich', K: 'rich' };

const NAMES: Readonly<Record<string, string>> = {
  'green-chip': 'Poplar chip, with leaf',
  'hen-litter': 'Hen-house litter',
  'kitchen-peelings': 'Canteen peelings',
  bindweed: 'Bindweed clearings',
};
const FROM: Readonly<Record<string, string>> = {
  'hop-bines': 'Our own hop garden',
  'horse-manure': 'Livery yard',
  'green-chip': 'Tree crew',
  'hardwood-chip': 'Tree crew',
  straw: 'Neighbour’s barn',
  bindweed: 'Our own beds',
  'kitchen-peelings': 'School canteen',
  'hen-litter': 'Hen field',
  'brewery-grain': 'Oast brewery',
  cardboard: 'Farm shop',
};

/** @param working the nearest moment at which people are on the site */
export function storeEntries(
  now: number,
  heaps: readonly StoredHeap[],
  working: (at: number) => number,
): Laid[] {
  const laid: Laid[] = [];
  const add = (
    at: number,
    who: string,
    kind: NewEntry['kind'],
    data: object,
    batch: string | null = null,
    id = idAt(at),
  ): string => {
    const day = Math.round(working(at));
    laid.push({
      entry: { id, batch, at: day, by: who, kind, data } as NewEntry,
      recordedAt: Math.min(now, day + 3 * MS.minute),
    });
    return id;
  };
  const ago = (days: number): number => now - days * MS.day;
  add(ago(121), 'Mo', 'measures', { measures: MEASURES });
  add(ago(121), 'Mo', 'site-map', { map: { widthM: 34, depthM: 18, slots: SLOTS }, from: null });
  const recipe = (id: string, name: string, m3: number, mix: MixName): Recipe => ({
    id,
    name,
    shape: 'dome',
    waterL: Math.round(m3 * 30),
    parts: Object.entries(MIXES[mix]).map(([material, litres]) => ({
      material,
      amount: inMeasure(Math.max(1, Math.round((litres * m3) / 90)), 'barrow'),
    })),
  });
  const [usual, rich] = [
    recipe(newId(), 'Bines and stable litter', 5, 'usual'),
    recipe(newId(), 'Hen litter and grain', 5, 'rich'),
  ];
  const kept = {
    usual: add(ago(96), 'Mo', 'recipe', { recipe: usual, from: null }),
    rich: add(ago(40), 'Jo', 'recipe', { recipe: rich, from: null }),
  };
  // One load of each material for the heaps of a time, a little more than they took.
  const needs = new Map<string, { litres: number; heaps: StoredHeap[] }>();
  for (const h of heaps)
    for (const [material, litres] of Object.entries(MIXES[MIX_OF[h.code] ?? 'usual'])) {
      const key = `${h.builtAt < ago(30) ? 'old' : 'new'}:${material}`;
      const n = needs.get(key) ?? { litres: 0, heaps: [] };
      needs.set(key, {
        litres: n.litres + (h.building ? 0.4 : 1) * litres * h.volumeM3,
        heaps: [...n.heaps, h],
      });
    }
  const loads = new Map<string, string>();
  for (const [key, { litres, heaps: for_ }] of needs) {
    const material = key.slice(4);
    const at =
      Math.min(...for_.map((h) => h.builtAt)) - 1.5 * MS.day - (material.length % 7) * 3 * MS.hour;
    const [unit, each] = litres > 2000 ? (['trailer', 2500] as const) : (['barrow', 90] as const);
    const price =
      material === 'straw' ? { cost: 60 } : material === 'brewery-grain' ? { cost: 25 } : {};
    loads.set(
      key,
      add(at, material.length % 2 ? 'Sam' : 'Mo', 'load', {
        material,
        ...(NAMES[material] ? { what: NAMES[material] } : {}),
        supplier: FROM[material],
        amount: inMeasure(Math.ceil(((litres * 1.04) / each) * 2) / 2, unit, unit === 'trailer'),
        state: 'fresh',
        sprayed: material === 'straw' ? 'unknown' : 'no',
        where: 'Stock bay A',
        answer: 'accept',
        waste: material !== 'straw',
        ...price,
      }),
    );
  }
  for (const h of heaps) {
    const mix = MIX_OF[h.code] ?? 'usual';
    const r = mix === 'usual' ? usual : rich;
    const start = h.builtAt - 4.6 * MS.hour;
    add(
      start,
      'Mo',
      'lay-up',
      {
        recipe: {
          ...r,
          parts: r.parts.map((p) => ({
            ...p,
            amount: inMeasure(
              Math.max(1, Math.round(((p.amount as { n: number }).n * h.volumeM3) / 5)),
              'barrow',
            ),
          })),
          waterL: Math.round(h.volumeM3 * 30),
        },
        from: kept[mix],
      },
      h.id,
    );
    const parts = Object.entries(MIXES[mix]).map(([material, litres]): Part => ({
      material,
      load: present(
        parseLoadId(
          present(loads.get(`${h.builtAt < ago(30) ? 'old' : 'new'}:${material}`), material),
        ),
        material,
      ),
      amount: inMeasure(Math.max(0.5, Math.round(((litres * h.volumeM3) / 90) * 2) / 2), 'barrow'),
    }));
    const part = (material: string, share: number): Part[] =>
      parts
        .filter((p) => p.material === material)
        .map((p) => ({
          ...p,
          amount: inMeasure(
            Math.max(0.5, Math.round((p.amount as { n: number }).n * share * 2) / 2),
            'barrow',
          ),
        }));
    const all = Object.keys(MIXES[mix]);
    if (h.building) {
      add(
        start,
        'Sam',
        'charge',
        { parts: part('hardwood-chip', 0.2), layer: 1, way: 'layered', base: 'twigs on bare soil' },
        h.id,
      );
      add(
        start + 0.8 * MS.hour,
        'Sam',
        'charge',
        {
          parts: ['hen-litter', 'kitchen-peelings', 'brewery-grain'].flatMap((m) => part(m, 1 / 3)),
          layer: 2,
          waterL: 10,
        },
        h.id,
      );
      add(
        start + 1.4 * MS.hour,
        'Jo',
        'charge',
        {
          parts: [
            ...part('hop-bines', 0.35),
            ...part('hardwood-chip', 0.2),
            ...part('cardboard', 1 / 3),
          ],
          layer: 3,
          waterL: 10,
        },
        h.id,
      );
    } else {
      add(
        start + 0.2 * MS.hour,
        'Sam',
        'charge',
        {
          parts: all.flatMap((m) => part(m, 0.5)),
          way: 'layered',
          base: 'chip over pallets',
          waterL: Math.round(h.volumeM3 * 16),
        },
        h.id,
      );
      add(
        h.builtAt - 0.4 * MS.hour,
        'Jo',
        'charge',
        {
          parts: all.flatMap((m) => part(m, 0.5)),
          waterL: Math.round(h.volumeM3 * 14),
          cover: 'fleece',
        },
        h.id,
      );
    }
  }
  // What was left over of the old loads went onto the path, after the last heap was built of them.
  const lastOld = Math.max(...heaps.filter((h) => h.builtAt < ago(30)).map((h) => h.builtAt));
  for (const [key, load] of loads)
    if (key.startsWith('old'))
      add(lastOld + 2 * MS.day, 'Sam', 'load-change', {
        load,
        gone: 'spread',
        words: 'the last of it, onto the path',
      });
  // What lies there now.
  const stock = (days: number, who: string, data: object): string =>
    add(ago(days), who, 'load', {
      state: 'fresh',
      sprayed: 'no',
      answer: 'accept',
      waste: true,
      ...data,
    });
  stock(3.2, 'Sam', {
    material: 'bindweed',
    what: 'Bindweed clearings',
    supplier: 'Our own beds',
    amount: inMeasure(9, 'barrow'),
    seeds: true,
    where: 'Stock bay B',
  });
  stock(5.1, 'Mo', {
    material: 'hop-bines',
    what: 'Hop bines, chopped',
    supplier: 'Our own hop garden',
    amount: inMeasure(1.5, 'trailer', true),
    where: 'Stock bay A',
  });
  const litter = stock(6.3, 'Jo', {
    material: 'hen-litter',
    supplier: 'Hen field',
    amount: inMeasure(14, 'barrow'),
    where: 'Stock bay B',
  });
  const chip = stock(11.4, 'Mo', {
    material: 'green-chip',
    what: 'Poplar chip',
    supplier: 'Tree crew',
    amount: inMeasure(2, 'trailer', true),
    where: 'Stock bay C',
  });
  stock(2.2, 'Sam', {
    material: 'apple-pomace',
    supplier: 'Cider press',
    amount: inMeasure(5, 'barrow'),
    where: 'Stock bay B',
  });
  stock(9, 'Mo', {
    material: 'cardboard',
    what: 'Shredded cardboard',
    supplier: 'Farm shop',
    amount: inMeasure(4, 'barrow'),
    where: 'Dry store',
  });
  stock(1.1, 'Jo', {
    material: 'brewery-grain',
    supplier: 'Oast brewery',
    amount: inMeasure(16, 'bucket'),
    cost: 25,
    waste: true,
    where: 'Dry store',
  });
  stock(0.6, 'Jo', {
    material: 'kitchen-peelings',
    what: 'Canteen peelings',
    supplier: 'School canteen',
    amount: inMeasure(9, 'bucket'),
    where: 'Dry store',
  });
  stock(4.4, 'Sam', {
    material: 'grass-clippings',
    what: 'Grass from the cricket field',
    supplier: 'Parish green',
    amount: inMeasure(2, 'trailer', true),
    sprayed: 'unknown',
    becomes: 'dried',
    readyFrom: Math.round(now + 0.6 * MS.day),
    where: 'Pad',
  });
  stock(8, 'Jo', {
    material: 'kitchen-peelings',
    what: 'Sealed pails',
    supplier: 'School canteen',
    amount: inMeasure(12, 'bucket'),
    state: 'fresh',
    becomes: 'fermenting',
    readyFrom: Math.round(now + 6 * MS.day),
    where: 'Dry store',
  });
  stock(20, 'Mo', {
    material: 'biochar',
    what: 'Char in the butt',
    supplier: 'Our own kiln',
    amount: { in: 'kg', n: 40 },
    becomes: 'charged',
    readyFrom: Math.round(now - 5 * MS.hour),
    waste: false,
    where: 'Dry store',
  });
  stock(0.3, 'Sam', {
    material: 'stable-litter',
    supplier: 'Livery yard',
    amount: { in: 'unknown', words: 'a heap at the gate' },
    sprayed: 'unknown',
    answer: 'ask',
    asked: 'which hay they fed, and whether it was sprayed',
    where: 'At the gate',
  });
  stock(12, 'Mo', {
    material: 'treated-wood',
    what: 'Fence posts, painted',
    supplier: 'Tree crew',
    amount: inMeasure(1, 'trailer', true),
    answer: 'refuse',
    asked: 'painted and treated',
    done: 'sent back on the same trailer',
  });
  for (const [days, c] of [
    [10, 41],
    [6, 55],
    [3, 58.5],
    [0.9, 61.5],
  ] as const)
    add(ago(days), 'Mo', 'load-heat', { load: chip, value: c, unit: 'C' });
  add(ago(5.9), 'Jo', 'load-change', {
    load: litter,
    test: {
      how: 'bucket',
      density: 460,
      airPct: 52,
      working: [
        '9.8 − 0.6 = what is in it: 9.2 kg',
        '9.2 kg in 20 L: 460 kg/m³',
        '10.4 L of water into 20 L: 52 % air',
      ],
    },
  });
  return laid;
}

const bay = (n: number, xM: number, yM: number): Slot => ({
  id: `bay-${n}`,
  name: String(n),
  kind: 'bay',
  xM,
  yM,
  lengthM: 3.2,
  widthM: 3,
  heightM: 1.8,
  base: 'pallets',
});
/** The map: ten bays back to back, the south row, a tub that takes food, and the stock. */
const SLOTS: readonly Slot[] = [
  ...[1, 2, 3, 4, 5].map((n, i) => bay(n, 2 + i * 3.6, 1)),
  ...[6, 7, 8, 9, 10].map((n, i) => bay(n, 2 + i * 3.6, 5.4)),
  {
    id: 'row-south',
    name: 'South',
    kind: 'row',
    xM: 2,
    yM: 11.5,
    lengthM: 20,
    widthM: 2.4,
    heightM: 1.4,
  },
  {
    id: 'tub-1',
    name: 'Tub',
    kind: 'tub',
    xM: 2,
    yM: 15.2,
    lengthM: 3,
    widthM: 1.6,
    heightM: 1.5,
    only: ['food', 'raw-animal'],
    words: 'food waste goes here first',
  },
  {
    id: 'stock-a',
    name: 'Stock bay A',
    kind: 'store',
    xM: 24,
    yM: 1,
    lengthM: 4,
    widthM: 3,
    heightM: 2,
  },
  {
    id: 'stock-b',
    name: 'Stock bay B',
    kind: 'store',
    xM: 28.4,
    yM: 1,
    lengthM: 4,
    widthM: 3,
    heightM: 2,
  },
  {
    id: 'stock-c',
    name: 'Stock bay C',
    kind: 'store',
    xM: 24,
    yM: 5.4,
    lengthM: 8.4,
    widthM: 3,
    heightM: 2,
  },
  {
    id: 'curing-pad',
    name: 'Curing pad',
    kind: 'pad',
    xM: 24,
    yM: 11,
    lengthM: 8.4,
    widthM: 3.2,
    heightM: 1.2,
  },
  {
    id: 'dry-store',
    name: 'Dry store',
    kind: 'store',
    xM: 24,
    yM: 15.2,
    lengthM: 8.4,
    widthM: 2.4,
    heightM: 2.2,
  },
];
