import { sql, type KyselyPlugin } from 'kysely';
import { connect, type Db } from '@/db/client';
import type { Site } from '@/db/repositories/site';
import { siteCodes } from '@/db/site-codes';
import { actAs, memberAccess } from '../support/access';
import { aSite, freshDatabase } from '../support/database';
import { closePools, pointPoolsAt } from '../support/pools';
import { fillSite } from '../support/large-site';

/** How often a page asks the database: a few times, and no oftener where there are more batches. */
jest.mock('@/platform/prefs', () => ({
  readPrefs: () => Promise.resolve({ unit: null, volume: 'm3', light: null, by: 'Mo' }),
}));
jest.mock('next/headers', () => ({ headers: () => Promise.resolve(new Map()) }));
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const NOW = Date.now();
let asked = 0;
const counter: KyselyPlugin = {
  transformQuery: ({ node }) => {
    asked += 1;
    return node;
  },
  transformResult: ({ result }) => Promise.resolve(result),
};
let t: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let counted: Db;
const held = globalThis as unknown as { zealousDb?: Db; zealousWriter?: Db };
const heaps: string[] = [];
beforeAll(async () => {
  t = await freshDatabase();
  pointPoolsAt(t);
  site = await aSite(t.app);
  actAs(memberAccess(site, 'manager'));
  counted = connect(t.appUrl, 2, { siteOf: () => site.id, codeOf: siteCodes(t.admin) });
  held.zealousDb = counted.withPlugin(counter);
  held.zealousWriter = held.zealousDb;
  // Reading the pages in takes its time, and none of it is to be taken for a database that does not answer.
  await Promise.all(PAGES.map(({ read }) => read()));
  await sql`select 1`.execute(counted);
}, 120_000);
afterAll(async () => {
  await closePools();
  await t.drop();
}, 30_000);

const none = Promise.resolve({});
const PAGES: readonly {
  readonly page: string;
  /** Queries at most: looked at for the first time since the log has grown. */ readonly most: number;
  /** Reads its module in. */ readonly read: () => Promise<unknown>;
  readonly open: () => Promise<unknown>;
}[] = [
  {
    page: 'the yard',
    most: 10,
    read: () => import('@/features/yard/server/pages/YardPage'),
    open: async () =>
      (await import('@/features/yard/server/pages/YardPage')).YardPage({ searchParams: none }),
  },
  {
    page: 'a batch',
    most: 14,
    read: () => import('@/features/batch/server/pages/BatchPage'),
    open: async () =>
      (await import('@/features/batch/server/pages/BatchPage')).BatchPage({
        params: Promise.resolve({ id: heaps[0]! }),
      }),
  },
  {
    page: 'the plan',
    most: 10,
    read: () => import('@/features/plan/server/pages/PlanPage'),
    open: async () => (await import('@/features/plan/server/pages/PlanPage')).PlanPage(),
  },
  {
    page: 'comparing',
    most: 16,
    read: () => import('@/features/compare/server/pages/ComparePage'),
    open: async () =>
      (await import('@/features/compare/server/pages/ComparePage')).ComparePage({
        searchParams: none,
      }),
  },
  {
    page: 'the map',
    most: 12,
    read: () => import('@/features/map/server/pages/MapPage'),
    open: async () => (await import('@/features/map/server/pages/MapPage')).MapPage(),
  },
  {
    page: 'the round',
    most: 14,
    read: () => import('@/features/round/server/pages/RoundPage'),
    open: async () => (await import('@/features/round/server/pages/RoundPage')).RoundPage(),
  },
];

/** Queries of each page, the first time after the log has grown and once more. */
async function countAll(batches: number): Promise<{ first: number[]; again: number[] }> {
  heaps.push(...(await fillSite(t.app, site, { batches, rounds: 3, now: NOW })));
  const [first, again]: [number[], number[]] = [[], []];
  for (const { open } of PAGES) {
    asked = 0;
    await open();
    first.push(asked);
    asked = 0;
    await open();
    again.push(asked);
  }
  return { first, again };
}

test('a page asks a few times, and no oftener for ten times as many batches', async () => {
  const few = await countAll(4);
  const many = await countAll(36);
  expect(many.again).toEqual(few.again);
  PAGES.forEach(({ page, most }, i) => {
    expect([page, many.first[i]! <= most ? 'within' : many.first[i]]).toEqual([page, 'within']);
    expect(many.again[i]!).toBeLessThanOrEqual(many.first[i]!);
  });
}, 120_000);
