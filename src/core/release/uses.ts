import { RELEASE_ITEMS, USE_IDS } from '../log/lot-shapes';
import type { TestKind } from '../log/test-shapes';
import type { FlaskClass } from '../maturity/outcome';
import type { Concern } from '../mix/concerns';

/** What each use of compost asks, as data (contract, section 6). Days and counts are common practice. */

export { RELEASE_ITEMS };
export type UseId = (typeof USE_IDS)[number];

export type ReleaseItem = (typeof RELEASE_ITEMS)[number];
/** What no rule or test settles: salt that burns seedlings, plastic, and plants whose diseases are in it. */
export type UseCaution = 'salt' | 'plastic' | 'crop-family';
/** Whether a person may go without it, giving a reason. */
export type Force = 'must' | 'should';

export type Use = {
  readonly id: UseId;
  readonly asks: Readonly<Partial<Record<ReleaseItem, Force>>>;
  /** Days of curing since the last intake that was not finished. */ readonly leastDays: number;
  /** So many of these tests are passed, none of them failed in the last 60 days. */
  readonly maturity: { readonly atLeast: number; readonly of: readonly TestKind[] };
  readonly germinationPct: number;
  readonly flaskClass: FlaskClass;
  /** Sets of limits that are met, by id. */ readonly limitSets: readonly string[];
  /** Screened through this or finer, mm. */ readonly meshMm: number | null;
  /** What to mind in this use, by word of the trade. */ readonly cautions: readonly UseCaution[];
};

const QUICK: readonly TestKind[] = [
  'reheat',
  'flask',
  'germination',
  'bag',
  'looks',
  'respiration',
];
const MEASURED: readonly TestKind[] = ['reheat', 'flask', 'germination', 'respiration'];
const HEATED = { 'germ-rule': 'must', 'heated-throughout': 'must' } as const;
const PLAIN = { germinationPct: 80, flaskClass: 4, limitSets: [], meshMm: null } as const;

/** What uses ask unless the site changed them. */
export const USES: readonly Use[] = [
  {
    ...PLAIN,
    id: 'mulch',
    cautions: ['plastic', 'crop-family'],
    asks: { 'germ-rule': 'should', 'heated-throughout': 'should', 'seed-rule': 'should' },
    leastDays: 0,
    maturity: { atLeast: 0, of: [] },
  },
  {
    ...PLAIN,
    id: 'beds-before-planting',
    cautions: ['plastic', 'crop-family'],
    asks: {
      ...HEATED,
      'seed-rule': 'should',
      'curing-days': 'should',
      maturity: 'should',
      bioassay: 'must',
    },
    leastDays: 21,
    maturity: { atLeast: 1, of: QUICK },
    germinationPct: 60,
    flaskClass: 3,
  },
  {
    ...PLAIN,
    id: 'growing-beds',
    cautions: ['salt', 'plastic', 'crop-family'],
    asks: {
      ...HEATED,
      'seed-rule': 'should',
      'curing-days': 'should',
      maturity: 'must',
      bioassay: 'must',
    },
    leastDays: 30,
    maturity: { atLeast: 2, of: QUICK },
    germinationPct: 60,
  },
  {
    ...PLAIN,
    id: 'potting-mix',
    cautions: ['salt', 'plastic'],
    asks: {
      ...HEATED,
      'seed-rule': 'must',
      'curing-days': 'must',
      maturity: 'must',
      bioassay: 'must',
      screened: 'should',
      covered: 'should',
    },
    leastDays: 60,
    maturity: { atLeast: 2, of: QUICK },
    meshMm: 12,
  },
  {
    ...PLAIN,
    id: 'seed-mix',
    cautions: ['salt'],
    asks: {
      ...HEATED,
      'seed-rule': 'must',
      'curing-days': 'must',
      maturity: 'must',
      bioassay: 'must',
      screened: 'must',
      covered: 'should',
    },
    leastDays: 90,
    maturity: { atLeast: 2, of: MEASURED },
    flaskClass: 5,
    meshMm: 6.35,
  },
  {
    ...PLAIN,
    id: 'bulk-sale',
    cautions: ['plastic'],
    asks: {
      ...HEATED,
      'seed-rule': 'should',
      'curing-days': 'must',
      maturity: 'must',
      limits: 'should',
      bioassay: 'must',
      covered: 'should',
    },
    leastDays: 30,
    maturity: { atLeast: 2, of: QUICK },
    limitSets: ['us-503-13-table-3', 'us-503-32-class-a'],
  },
  {
    ...PLAIN,
    id: 'bag-sale',
    cautions: ['salt', 'plastic'],
    asks: {
      ...HEATED,
      'seed-rule': 'must',
      'curing-days': 'must',
      maturity: 'must',
      limits: 'should',
      bioassay: 'must',
      screened: 'should',
      covered: 'should',
    },
    leastDays: 60,
    maturity: { atLeast: 2, of: QUICK },
    limitSets: ['us-503-13-table-3', 'us-503-32-class-a'],
    meshMm: 12,
  },
  {
    ...PLAIN,
    id: 'given-away',
    cautions: ['plastic', 'crop-family'],
    asks: {
      ...HEATED,
      'seed-rule': 'should',
      'curing-days': 'should',
      maturity: 'should',
      bioassay: 'must',
    },
    leastDays: 21,
    maturity: { atLeast: 1, of: QUICK },
  },
];

/** What a concern asks of every use, whatever the use asks by itself. */
const DEMANDS: Readonly<Record<Concern, Use['asks']>> = {
  // 40 CFR 503.10 and 503.13: sludge is applied to no land without its metals and pathogens known (from memory).
  sludge: { ...HEATED, maturity: 'must', limits: 'must' },
  'by-product': HEATED,
  // Weedkillers that outlast the heat harm what grows under a mulch too (common practice).
  sprayed: { bioassay: 'should' },
  diseased: { 'germ-rule': 'should', 'heated-throughout': 'should' },
  'unknown-origin': { 'germ-rule': 'should', 'heated-throughout': 'should' },
  seeds: { 'seed-rule': 'should' },
  'spray-unknown': {},
  dust: {},
};
const SLUDGE_LIMITS = ['us-503-13-table-3', 'us-503-32-class-a'];

const stricter = (a: Force | undefined, b: Force | undefined): Force | undefined =>
  a === 'must' || b === 'must' ? 'must' : (a ?? b);

/** What all asks together ask, the stricter of two for each item. */
function mergeAsks(all: readonly Use['asks'][]): Use['asks'] {
  const merged: Partial<Record<ReleaseItem, Force>> = {};
  for (const asks of all)
    for (const item of RELEASE_ITEMS) {
      const force = stricter(merged[item], asks[item]);
      if (force !== undefined) merged[item] = force;
    }
  return merged;
}

/** A use as it stands for compost with these concerns: what went in may ask for more than the use does by itself. */
export function addDemands(use: Use, concerns: readonly Concern[]): Use {
  if (concerns.every((c) => Object.keys(DEMANDS[c]).length === 0)) return use;
  const asks = mergeAsks([use.asks, ...concerns.map((c) => DEMANDS[c])]);
  const isSludge = concerns.includes('sludge');
  const isTested = use.asks.maturity !== undefined && use.maturity.atLeast > 0;
  return {
    ...use,
    asks,
    ...(isSludge && !isTested ? { maturity: { atLeast: 1, of: QUICK } } : {}),
    ...(isSludge && use.limitSets.length === 0 ? { limitSets: SLUDGE_LIMITS } : {}),
  };
}

/** The use of an id; undefined: none of these. @param uses as the site has them, where it changed any */
export const findUse = (id: string, uses: readonly Use[] = USES): Use | undefined =>
  uses.find((u) => u.id === id);
