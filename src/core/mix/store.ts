import { say } from '../../messages/say';
import { loadIdOf, type BatchId, type EntryId, type LoadId } from '../log/ids';
import { isSameName } from '../log/entered-by';
import type { DataOf, Entry } from '../log/entry';
import type {
  AcceptanceAnswer,
  AcceptLine,
  Amount,
  Charge,
  Load,
  LoadState,
  Material,
  OwnMeasure,
  Part,
  Recipe,
  SiteMap,
} from '../log/store-shapes';
import type { Instant } from '../quantity/instant';
import { toCelsius } from '../units/units';
import { manyOf } from '../words/amount';
import { amountOf } from './amount';
import {
  ingredientOf,
  resolveMaterialProperties,
  type Ingredient,
  type MaterialProperties,
  type LoadTested,
} from './ingredient';
import { MATERIAL_LIBRARY } from './library';
import { firstOf, lastOf } from '../quantity/present';

/** What lies in the store of a site and what went out of it, as the log tells it. */

/** Measures until the site names its own, L (common practice). */
export const USUAL_MEASURES: readonly OwnMeasure[] = [
  { id: 'bucket', name: 'bucket', litres: 12 },
  { id: 'barrow', name: 'barrow', litres: 90 },
  {
    id: 'scoop',
    get name() {
      return say('mix.loaderBucket');
    },
    litres: 600,
  },
  {
    id: 'pallet-box',
    get name() {
      return say('mix.palletBox');
    },
    litres: 600,
  },
  { id: 'trailer', name: 'trailer', litres: 2500 },
];

/** What the site takes until it says otherwise (trade facts, sections 2 and 4). What is named by no line is accepted. */
export const USUAL_ACCEPTANCE: readonly AcceptLine[] = [
  {
    material: 'treated-wood',
    answer: 'refuse',
    get reason() {
      return say('mix.copperArsenicGlueDoNot');
    },
  },
  {
    material: 'printed-paper',
    answer: 'refuse',
    get reason() {
      return say('mix.inksAndCoatings');
    },
  },
  {
    material: 'pet-dung',
    answer: 'refuse',
    get reason() {
      return say('mix.parasitesSurviveShortHeat');
    },
  },
  {
    material: 'wild-droppings',
    answer: 'refuse',
    get reason() {
      return say('mix.untestedPathogensAndParasites');
    },
  },
  {
    material: 'slaughter-waste',
    answer: 'refuse',
    get reason() {
      return say('mix.animalByProductOnlyWith');
    },
  },
  {
    material: 'meat-fish',
    kept: ['vessel'],
    answer: 'ask',
    get reason() {
      return say('mix.animalByProductOnlyWith');
    },
  },
  {
    material: 'meat-fish',
    answer: 'refuse',
    get reason() {
      return say('mix.attractsRatsAnimalByProduct');
    },
  },
  {
    material: 'biosolids',
    answer: 'ask',
    get reason() {
      return say('mix.aRegulatedMaterialSamplingRecords');
    },
  },
  {
    material: 'invasive-roots',
    answer: 'refuse',
    get reason() {
      return say('mix.movingForbiddenInManyPlaces');
    },
  },
  {
    material: 'cooked-food',
    kept: ['vessel'],
    answer: 'accept',
    get reason() {
      return say('mix.closedAgainstRats');
    },
  },
  {
    material: 'cooked-food',
    answer: 'ask',
    get reason() {
      return say('mix.onlyBuriedInsideOnlyWhere');
    },
  },
  {
    material: 'bindweed',
    kept: ['turned', 'vessel'],
    answer: 'accept',
    get reason() {
      return say('mix.turnedIntoHotCore');
    },
  },
  {
    material: 'bindweed',
    answer: 'ask',
    get reason() {
      return say('mix.rootsNearSurfaceStaticPile');
    },
  },
  {
    material: 'wood-ash',
    answer: 'ask',
    get reason() {
      return say('mix.fromCleanWoodOnlyOnly');
    },
  },
  {
    risk: 'chemical',
    answer: 'ask',
    get reason() {
      return say('mix.mayContainThingsDoNot');
    },
  },
  {
    risk: 'disease',
    kept: ['static'],
    answer: 'ask',
    get reason() {
      return say('mix.theSurfaceStaticPileNever');
    },
  },
];

/** Whether a line permits something of one supplier, or for a while, instead of saying what the site takes as a rule. */
export const isPermission = ({ supplier, until }: AcceptLine): boolean =>
  supplier !== undefined || until !== undefined;

const fitsMaterial = (l: AcceptLine, { id, risks }: Pick<Material, 'id' | 'risks'>): boolean =>
  l.material === id || (l.risk !== undefined && risks.includes(l.risk));

/** Permissions for a material that hold at a moment. */
export const permissionsFor = (
  material: Pick<Material, 'id' | 'risks'>,
  lines: readonly AcceptLine[],
  at: Instant,
): AcceptLine[] =>
  lines.filter(
    (l) => isPermission(l) && fitsMaterial(l, material) && (l.until === undefined || at <= l.until),
  );
/** The permission that covers a supplier; undefined: none does. */
export const permissionOf = <P extends { readonly supplier?: string | undefined }>(
  permissions: readonly P[],
  supplier: string | undefined,
): P | undefined =>
  permissions.find(
    (p) => p.supplier === undefined || (supplier !== undefined && isSameName(p.supplier, supplier)),
  );

/** Of the answers for each kind of batch the one for a load of which nobody knows where it goes: refused only where all refuse it. */
export function strictestAnswer(
  answers: readonly { readonly answer: AcceptanceAnswer }[],
): AcceptanceAnswer {
  const refusals = answers.filter((a) => a.answer === 'refuse').length;
  if (refusals > 0) return refusals === answers.length ? 'refuse' : 'ask';
  return answers.some((a) => a.answer === 'ask') ? 'ask' : 'accept';
}

/** What the site answers to a load at the gate. */
export function answerToLoad(
  material: Pick<Material, 'id' | 'risks'>,
  supplier: string | undefined,
  lines: readonly AcceptLine[],
  at: Instant,
): AcceptanceAnswer {
  if (permissionOf(permissionsFor(material, lines, at), supplier)) return 'accept';
  const { answer, but } = answerTo(material, null, lines);
  return strictestAnswer([{ answer }, ...but]);
}

/** What the site answers to a material: the first line that fits. @param kept how the heap is kept; null: not known yet, the strictest of what could fit */
export function answerTo(
  material: Pick<Material, 'id' | 'risks'>,
  kept: 'turned' | 'static' | 'vessel' | null,
  lines: readonly AcceptLine[],
): {
  readonly answer: AcceptanceAnswer;
  readonly reason: string | null;
  /** Ways of keeping where it is different. */ readonly but: readonly {
    readonly kept: 'turned' | 'static' | 'vessel';
    readonly answer: AcceptanceAnswer;
    readonly reason: string | null;
  }[];
} {
  const under = (k: 'turned' | 'static' | 'vessel') => {
    const line = lines.find(
      (l) =>
        !isPermission(l) &&
        fitsMaterial(l, material) &&
        (l.kept === undefined || l.kept.includes(k)),
    );
    return { kept: k, answer: line?.answer ?? ('accept' as const), reason: line?.reason ?? null };
  };
  if (kept !== null) {
    const { answer, reason } = under(kept);
    return { answer, reason, but: [] };
  }
  const all = (['turned', 'static', 'vessel'] as const).map(under);
  const { answer, reason } = firstOf(all);
  return { answer, reason, but: all.filter((a) => a.answer !== answer) };
}

/** A load with what became of it. */
export type StockLoad = {
  readonly id: LoadId;
  readonly at: Instant;
  readonly by: string;
  readonly load: Load;
  readonly material: Material;
  /** As it is now, and as it was before by the moment from which it was so: what went into a heap fresh is not dried with the rest. */
  readonly stuff: MaterialProperties;
  readonly stages: readonly { readonly from: Instant; readonly stuff: MaterialProperties }[];
  readonly state: LoadState;
  readonly stateSince: Instant;
  readonly readyFrom: Instant | null;
  readonly becomes: LoadState | null;
  readonly where: string | null;
  readonly answer: Load['answer'];
  /** As it came in; null: not known. */
  readonly litres: number | null;
  readonly kg: number | null;
  /** What is left of it, L; null: not known. */
  readonly leftLitres: number | null;
  readonly leftKg: number | null;
  /** More went out of it than was in it by its figures: it was more, or it is counted anew. */
  readonly overdrawn: boolean;
  readonly gone: {
    readonly at: Instant;
    readonly how: NonNullable<DataOf<'load-change'>['gone']> | 'used';
  } | null;
  /** Of the state that it is in, in the order in which they were made. */
  readonly tests: readonly LoadTested[];
  readonly heats: readonly { readonly at: Instant; readonly c: number; readonly by: string }[];
  readonly went: readonly {
    readonly batch: BatchId;
    readonly entry: EntryId;
    readonly at: Instant;
    readonly litres: number | null;
    readonly kg: number | null;
  }[];
  /** For a kilogram, where its cost and its weight are known. */
  readonly price: number | null;
  readonly changes: readonly Extract<Entry, { kind: 'load-change' }>[];
  /** Hashes of its pictures, those taken at the gate first. */
  readonly photos: readonly string[];
};
type RecipeVersion = {
  readonly entry: EntryId;
  readonly at: Instant;
  readonly by: string;
  readonly recipe: Recipe;
  readonly version: number;
};
/** What a heap is built by; `from`: the entry of the recipe that it was taken from. */
export type BuildPlan = {
  readonly recipe: Recipe;
  readonly from: string | null;
  readonly seq: number;
  readonly at: Instant;
  readonly by: string;
};
/** Something that went into a heap, of a charge or of an addition. */
export type FeedstockAdded = {
  readonly entry: EntryId;
  /** Its place in the log. */ readonly seq: number;
  readonly at: Instant;
  readonly by: string;
  readonly kind: 'charge' | 'addition';
  readonly charge: Charge;
};

/** How a heap came by what it holds, beside what was put into it out of the store. */
type HeapLog = {
  readonly name: string;
  /** It was under way before its log began here. */ readonly adopted: boolean;
  readonly builtAt: Instant | null;
  /** The heap that it was carried off from; `share` of that one, 0 to 1; null: not known. */
  readonly origin: {
    readonly from: BatchId;
    readonly at: Instant;
    readonly share: number | null;
  } | null;
  readonly given: readonly { readonly at: Instant; readonly share: number | null }[];
  readonly joins: readonly { readonly at: Instant; readonly from: BatchId }[];
  /** What was added without saying of what it is made; litres where it was a thin liquid, else null. */
  readonly others: readonly {
    readonly at: Instant;
    readonly what: string;
    readonly waterL: number | null;
    /** Of a material that the library knows, with how much; null: neither. */ readonly part: Part | null;
  }[];
};

export type StoreState = {
  readonly materials: ReadonlyMap<string, Material>;
  /** Ids of those that the site changed or made. */ readonly ownMaterials: ReadonlySet<string>;
  readonly measures: readonly OwnMeasure[];
  readonly acceptance: readonly AcceptLine[];
  readonly acceptanceOwn: boolean;
  readonly loads: readonly StockLoad[];
  readonly loadOf: ReadonlyMap<LoadId, StockLoad>;
  readonly recipes: ReadonlyMap<string, readonly RecipeVersion[]>;
  readonly layUps: ReadonlyMap<BatchId, BuildPlan>;
  readonly went: ReadonlyMap<BatchId, readonly FeedstockAdded[]>;
  readonly heaps: ReadonlyMap<BatchId, HeapLog>;
  readonly map: {
    readonly entry: EntryId;
    readonly at: Instant;
    readonly by: string;
    readonly map: SiteMap;
  } | null;
};

const byId = <K extends Entry['kind']>(live: readonly Entry[], kind: K) =>
  live.filter((e): e is Extract<Entry, { kind: K }> => e.kind === kind);

/** Folds the store's own entries and what went out of it into heaps, in the order of the log. */
export function foldStore(entries: readonly Entry[]): StoreState {
  const struck = new Set(
    entries.flatMap((e) =>
      e.kind === 'correction' && e.data.reading === undefined ? [e.data.target] : [],
    ),
  );
  const live = entries.filter((e) => !struck.has(e.id));
  const own = byId(live, 'material');
  const materials = new Map(
    [...MATERIAL_LIBRARY, ...own.map((e) => e.data.material)].map((m) => [m.id, m]),
  );
  const recipes = new Map<string, RecipeVersion[]>();
  for (const e of byId(live, 'recipe')) {
    const list = recipes.get(e.data.recipe.id) ?? [];
    recipes.set(e.data.recipe.id, [
      ...list,
      { entry: e.id, at: e.at, by: e.by, recipe: e.data.recipe, version: list.length + 1 },
    ]);
  }
  const went = new Map<BatchId, FeedstockAdded[]>();
  for (const e of live) {
    if (e.batch === null || (e.kind !== 'charge' && !(e.kind === 'addition' && e.data.parts)))
      continue;
    const charge: Charge = e.kind === 'charge' ? e.data : { parts: e.data.parts ?? [] };
    const list = went.get(e.batch) ?? [];
    list.push({ entry: e.id, seq: e.seq, at: e.at, by: e.by, kind: e.kind, charge });
    went.set(e.batch, list);
  }
  const acceptance = byId(live, 'acceptance').at(-1)?.data.lines;
  const map = byId(live, 'site-map').at(-1);
  const loads = loadsOf(live, materials, went);
  return {
    materials,
    ownMaterials: new Set(own.map((e) => e.data.material.id)),
    measures: (byId(live, 'measures').at(-1)?.data.measures ?? USUAL_MEASURES).map((m) => ({
      ...m,
      many: m.many ?? manyOf(m.name),
    })),
    acceptance: acceptance ?? USUAL_ACCEPTANCE,
    acceptanceOwn: acceptance !== undefined,
    loads,
    loadOf: new Map(loads.map((l) => [l.id, l])),
    recipes,
    layUps: new Map(
      byId(live, 'lay-up').flatMap(({ batch, data: { recipe, from }, seq, at, by }) =>
        batch === null ? [] : [[batch, { recipe, from: from ?? null, seq, at, by }] as const],
      ),
    ),
    went,
    heaps: heapsOf(live),
    map: map ? { entry: map.id, at: map.at, by: map.by, map: map.data.map } : null,
  };
}

/** Leachate and rinse water bring water, and next to nothing else. */
const LIQUID: ReadonlySet<string> = new Set(['leachate', 'rinsings']);

/** What came out of another heap as a part: overs and char are materials of the library. */
const TRANSFERRED: Readonly<Record<string, string>> = { overs: 'overs', char: 'biochar' };
function transferred({ stuff, litres }: DataOf<'addition'>): Part | null {
  const material = TRANSFERRED[stuff ?? ''];
  return material === undefined
    ? null
    : { material, amount: litres === undefined ? { in: 'unknown' } : { in: 'litres', n: litres } };
}

function heapsOf(live: readonly Entry[]): Map<BatchId, HeapLog> {
  const opened = byId(live, 'opened');
  const built = new Map(byId(live, 'built').map((e) => [e.batch, e.at]));
  const carried = opened.flatMap((e) =>
    e.data.splitFrom
      ? [
          {
            to: e.batch,
            from: e.data.splitFrom.batch,
            at: e.data.splitFrom.at,
            share: e.data.splitFrom.share ?? null,
          },
        ]
      : [],
  );
  const [given, merges, additions] = [
    grouped(carried, (c) => c.from),
    grouped(byId(live, 'merge'), (e) => e.batch ?? ''),
    grouped(byId(live, 'addition'), (e) => e.batch ?? ''),
  ];
  return new Map(
    opened.flatMap(({ batch, data }): [BatchId, HeapLog][] => {
      if (batch === null) return [];
      const joined = merges.get(batch) ?? [];
      const added = (additions.get(batch) ?? []).filter((e) => !e.data.parts);
      return [
        [
          batch,
          {
            name: data.name ?? data.code,
            adopted: data.adopted !== undefined,
            builtAt: built.get(batch) ?? null,
            origin: carried.find((c) => c.to === batch) ?? null,
            given: given.get(batch) ?? [],
            joins: joined.flatMap((e) =>
              e.data.from === undefined ? [] : [{ at: e.at, from: e.data.from }],
            ),
            others: [
              ...joined.flatMap((e) =>
                e.data.from === undefined
                  ? [
                      {
                        at: e.at,
                        what: e.data.what ?? say('mix.whatWasJoined'),
                        waterL: null,
                        part: null,
                      },
                    ]
                  : [],
              ),
              ...added.map((e) => ({
                at: e.at,
                what: e.data.what ?? say('mix.whatWasAdded'),
                waterL: LIQUID.has(e.data.stuff ?? '') ? (e.data.litres ?? 0) : null,
                part: transferred(e.data),
              })),
            ],
          },
        ],
      ];
    }),
  );
}

function grouped<T>(list: readonly T[], by: (x: T) => string): Map<string, T[]> {
  const map = new Map<string, T[]>();
  for (const x of list) {
    const at = map.get(by(x));
    if (at) at.push(x);
    else map.set(by(x), [x]);
  }
  return map;
}

/** A material that the library no longer has: nothing is known of it but its id. */
const lost = (id: string): Material => ({
  id,
  name: id,
  role: 'mineral',
  n: null,
  cn: null,
  moisture: null,
  density: null,
  particle: 'medium',
  risks: [],
  sources: {},
});
/** Less than this of a load is nothing, as a share of what came. */
const CRUMBS = 0.02;

function loadsOf(
  live: readonly Entry[],
  materials: ReadonlyMap<string, Material>,
  went: ReadonlyMap<BatchId, readonly FeedstockAdded[]>,
): StockLoad[] {
  const changes = grouped(byId(live, 'load-change'), (e) => e.data.load);
  const heats = grouped(byId(live, 'load-heat'), (e) => e.data.load);
  const out = grouped(
    [...went].flatMap(([batch, list]) =>
      list.flatMap((w) =>
        w.charge.parts.flatMap((part) => (part.load === undefined ? [] : [{ batch, w, part }])),
      ),
    ),
    (x) => x.part.load!,
  );
  return byId(live, 'load').map((e): StockLoad => {
    const load = e.data;
    const own = [...(changes.get(e.id) ?? [])].sort((a, b) => a.at - b.at || a.seq - b.seq);
    const last = <T>(pick: (d: DataOf<'load-change'>) => T | undefined): T | undefined =>
      own.map((c) => pick(c.data)).findLast((x) => x !== undefined);
    const material = materials.get(load.material) ?? lost(load.material);
    const { stages, state, stateSince, tests } = stagesOf(e, own, material);
    const properties = lastOf(stages).stuff;
    const came = amountOf(load.amount, firstOf(stages).stuff.density);
    const counted = own.findLast((c) => c.data.left !== undefined);
    const from = counted ? amountOf(counted.data.left!, stuffIn(stages, counted.at).density) : came;
    const taken = (out.get(e.id) ?? []).map(({ batch, w, part }) => ({
      batch,
      entry: w.entry,
      at: w.at,
      ...amountOf(part.amount, stuffIn(stages, w.at).density),
    }));
    const since = taken.filter((t) => !counted || t.at > counted.at);
    const left = (k: 'litres' | 'kg'): number | null =>
      from[k] === null || since.some((t) => t[k] === null)
        ? null
        : from[k] - since.reduce((s, t) => s + t[k]!, 0);
    const leftLitres = left('litres');
    // Dried or soaked it weighs something else in the same room.
    const leftKg =
      stateSince > (counted?.at ?? e.at)
        ? leftLitres === null
          ? null
          : amountOf({ in: 'litres', n: leftLitres }, properties.density).kg
        : left('kg');
    const least = leftLitres ?? leftKg;
    const goneBy = own.findLast((c) => c.data.gone !== undefined);
    const usedUp =
      least !== null && since.length > 0 && least <= CRUMBS * (came.litres ?? came.kg ?? 1);
    return {
      id: loadIdOf(e),
      at: e.at,
      by: e.by,
      load,
      material,
      stuff: properties,
      stages,
      state,
      stateSince,
      where: last((d) => d.where) ?? load.where ?? null,
      answer: last((d) => d.answer) ?? load.answer,
      readyFrom: own.some((c) => c.data.readyFrom !== undefined)
        ? (last((d) => d.readyFrom) ?? null)
        : (load.readyFrom ?? null),
      becomes: last((d) => d.becomes) ?? load.becomes ?? null,
      ...came,
      leftLitres: leftLitres === null ? null : Math.max(0, leftLitres),
      leftKg: leftKg === null ? null : Math.max(0, leftKg),
      overdrawn: least !== null && least < -CRUMBS * (came.litres ?? came.kg ?? 1),
      gone: goneBy
        ? { at: goneBy.at, how: goneBy.data.gone! }
        : usedUp
          ? { at: lastOf(since).at, how: 'used' }
          : null,
      tests,
      heats: (heats.get(e.id) ?? [])
        .map((h) => ({ at: h.at, c: toCelsius(h.data.value, h.data.unit), by: h.by }))
        .sort((a, b) => a.at - b.at),
      went: taken,
      price: priceOf(load, properties),
      changes: own,
      photos: [...(load.photos ?? []), ...own.flatMap((c) => c.data.photos ?? [])],
    };
  });
}

/** The states that a load went through. A test tells of the state in which it was made. */
function stagesOf(
  e: Extract<Entry, { kind: 'load' }>,
  changes: StockLoad['changes'],
  material: Material,
): Pick<StockLoad, 'stages' | 'state' | 'stateSince' | 'tests'> {
  const spans: { from: Instant; state: LoadState; tests: LoadTested[] }[] = [
    { from: e.at, state: e.data.state, tests: [] },
  ];
  for (const { at, data } of changes) {
    if (data.state !== undefined && data.state !== lastOf(spans).state)
      spans.push({ from: at, state: data.state, tests: [] });
    if (data.test) lastOf(spans).tests.push({ ...data.test, at });
  }
  const now = lastOf(spans);
  return {
    stages: spans.map((s) => ({
      from: s.from,
      stuff: resolveMaterialProperties(material, s.state, s.tests),
    })),
    state: now.state,
    stateSince: now.from,
    tests: now.tests,
  };
}
const stuffIn = (stages: StockLoad['stages'], at: Instant): MaterialProperties =>
  (stages.findLast((s) => s.from <= at) ?? firstOf(stages)).stuff;
/** For a kilogram as it is now: the whole load cost what it did, however it weighs today. */
const priceOf = ({ cost, amount }: Load, properties: MaterialProperties): number | null => {
  const { kg } = amountOf(amount, properties.density);
  return cost !== undefined && kg ? cost / kg : null;
};

/** Loads that lie in the store and may be used: taken in, and not gone. */
export const inStock = (store: StoreState): StockLoad[] =>
  store.loads.filter((l) => l.answer !== 'refuse' && l.gone === null);

/** What a part of a recipe, charge or addition is made of: the load's own figures where it names one, as they were at a moment. */
export function resolvePartProperties(
  store: StoreState,
  part: Part,
  at: Instant = Infinity,
): { readonly stuff: MaterialProperties; readonly price: number | null } {
  const load = part.load === undefined ? undefined : store.loadOf.get(part.load);
  return load
    ? { stuff: stuffIn(load.stages, at), price: load.price }
    : {
        stuff: resolveMaterialProperties(
          store.materials.get(part.material) ?? lost(part.material),
          'fresh',
        ),
        price: null,
      };
}

/** Parts as ingredients; the key is that of the load, or of the material, and its place in the list. */
export const ingredientsOf = (store: StoreState, parts: readonly Part[]): Ingredient[] =>
  parts.map((part, i) => {
    const { stuff: properties, price } = resolvePartProperties(store, part);
    return ingredientOf(`${i}:${part.load ?? part.material}`, part, properties, price);
  });

/** `amount` of a part that takes so many of a measure. */
export const measured = (n: number, m: OwnMeasure): Amount => ({
  in: 'measure',
  n,
  measure: m.id,
  name: m.name,
  litresEach: m.litres,
});
