import type { TestKind } from '../log/test-shapes';
import type { FlaskClass } from '../maturity/outcome';

/** What each use of compost asks, as data (contract, section 6). Days and counts are common practice. */

export type UseId =
  | 'mulch'
  | 'beds-before-planting'
  | 'growing-beds'
  | 'potting-mix'
  | 'seed-mix'
  | 'bulk-sale'
  | 'bag-sale'
  | 'given-away';

/** What may be asked of a lot. */
export const RELEASE_ITEMS = [
  'germ-rule',
  'seed-rule',
  'heated-throughout',
  'curing-days',
  'maturity',
  'limits',
  'bioassay',
  'screened',
  'covered',
] as const;
export type ReleaseItem = (typeof RELEASE_ITEMS)[number];
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

export const USES: readonly Use[] = [
  {
    ...PLAIN,
    id: 'mulch',
    asks: { 'germ-rule': 'should', 'heated-throughout': 'should', 'seed-rule': 'should' },
    leastDays: 0,
    maturity: { atLeast: 0, of: [] },
  },
  {
    ...PLAIN,
    id: 'beds-before-planting',
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

/** The use of an id; undefined: none of ours. */
export const findUse = (id: string): Use | undefined => USES.find((u) => u.id === id);
