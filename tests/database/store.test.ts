import { createBatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { foldBatch, foldSite } from '@/core/log/fold';
import { batchFileOf } from '@/core/formats/batch-file-of';
import { trailOf, checkTrail } from '@/core/formats/trail';
import fc from 'fast-check';
import { createHash } from 'node:crypto';
import { logRepo } from '@/db/repositories/log';
import type { Site } from '@/db/repositories/site';
import { storeRepo } from '@/db/repositories/store';
import { newId } from '@/platform/ids';
import { actAs, memberAccess } from '../support/access';
import { doorOnSite, type Doored } from '../support/door';
import { batchId } from '../support/ids';

/** Loads, recipes, charges and the map at the one door: what is taken, what is refused and in which words, and what is folded from it. */
let t: Doored['t'];
let door: Doored['door'];
let site: Site;
let close: Doored['close'];
beforeAll(async () => {
  ({ t, door, site, close } = await doorOnSite());
}, 30_000);
afterAll(() => close(), 30_000);

const H = 3_600_000;
const log = async (
  kind: string,
  data: object,
  { batch = null as string | null, hoursAgo = 1, id = newId(), by = 'Mo' } = {},
) => ({
  id,
  answer: await door.ingestEntry({
    id,
    batch,
    kind: kind as 'note',
    at: new Date(Date.now() - hoursAgo * H).toISOString(),
    by,
    data: data as Record<string, unknown>,
  }),
});
const ok = async (...args: Parameters<typeof log>): Promise<string> => {
  const { id, answer } = await log(...args);
  expect(answer).toEqual({ ok: true, already: false });
  return id;
};
const refused = async (message: RegExp, ...args: Parameters<typeof log>): Promise<void> => {
  const { answer } = await log(...args);
  expect(answer).toMatchObject({
    ok: false,
    problems: [expect.objectContaining({ message: expect.stringMatching(message) })],
  });
};
const heap = async (code: string, hoursAgo = 30): Promise<string> => {
  const id = newId();
  await ok(
    'opened',
    { code, method: 'turned', points: [{ id: 'P1' }], policy: {}, rules: ['us-503-pfrp-turned'] },
    { batch: id, id, hoursAgo },
  );
  return id;
};
const load = (more: object = {}) => ({
  material: 'straw',
  amount: { in: 'litres', n: 1800 },
  state: 'fresh',
  sprayed: 'no',
  answer: 'accept',
  waste: true,
  ...more,
});
const litres = (n: number) => ({ in: 'litres', n });
const store = () => storeRepo(t.app).state(site.id);
const snapshots = async () =>
  (
    await t.app.selectFrom('batch_snapshot').select(['batch', 'digest']).orderBy('batch').execute()
  ).map((r) => JSON.stringify(r.digest));

describe('loads', () => {
  test('come in, go out into heaps, and come back when the entry is struck; no heap is folded anew for them', async () => {
    const batch = await heap('A');
    const before = await snapshots();
    const straw = await ok('load', load());
    expect(await snapshots()).toEqual(before);
    const put = await ok(
      'charge',
      { parts: [{ material: 'straw', load: straw, amount: litres(500) }], layer: 1, waterL: 40 },
      { batch },
    );
    expect((await store()).loads.find((l) => l.id === straw)).toMatchObject({
      leftLitres: 1300,
      went: [{ batch }],
    });
    await ok('correction', { target: put, reason: 'logged at the wrong heap' }, { batch });
    expect((await store()).loads.find((l) => l.id === straw)!.leftLitres).toBe(1800);
    await ok('correction', { target: straw, reason: 'it never came' });
    expect((await store()).loads.some((l) => l.id === straw)).toBe(false);
  });
  test.each([
    [
      '10,000 t',
      { amount: { in: 'kg', n: 10_000_000 } },
      /100 t in one load: a truck carries about 25 t/,
    ],
    ['minus three', { amount: litres(-3) }, /above 0/],
    ['nought', { amount: litres(0) }, /above 0/],
    ['no number', { amount: { in: 'kg', n: 'six' } }, /number above 0/],
    [
      'too many barrows',
      { amount: { in: 'measure', n: 9999, measure: 'barrow', name: 'barrow', litresEach: 90 } },
      /500 m³ in one load/,
    ],
    ['an unknown material', { material: 'moon-dust' }, /no material ‘moon-dust’/],
  ])('of %s are refused in a sentence', async (_name, more, says) =>
    refused(says, 'load', load(more)),
  );
  test('moisture of 110 % is refused; so is a bulk density in other units', async () => {
    const id = await ok('load', load());
    await refused(/between 0 and 99.5/, 'load-change', {
      load: id,
      test: { how: 'drying', moisturePct: 110 },
    });
    await refused(/between 5 kg\/m³ and 3,000 kg\/m³/, 'load-change', {
      load: id,
      test: { how: 'bucket', density: 0.4 },
    });
    await refused(/not in stock/, 'load-change', { load: newId(), state: 'dried' });
  });
  test('a material’s range that stands on its head is refused, and so is a laboratory’s impossible value', async () => {
    const m = {
      id: 'our-litter',
      name: 'Our litter',
      role: 'green',
      n: { low: 3, usual: 2, high: 4 },
      cn: null,
      moisture: null,
      density: null,
      particle: 'fine',
      risks: [],
      sources: {},
    };
    await refused(/between the lowest and the highest/, 'material', { material: m });
    const sound = { ...m, n: null };
    await refused(/percentage between 0 and 99\.5/, 'material', {
      material: { ...sound, lab: { moisture: { value: 110, at: Date.now() } } },
    });
    await refused(/percentage between 0 and 50/, 'material', {
      material: { ...sound, lab: { n: { value: 62, at: Date.now() } } },
    });
    await refused(/between 5 kg\/m³ and 3,000 kg\/m³/, 'material', {
      material: { ...sound, lab: { density: { value: 0.6, at: Date.now() } } },
    });
    await ok('material', {
      material: {
        ...m,
        n: { low: 1, usual: 2, high: 4 },
        cn: { low: 12, usual: 15, high: 20 },
        sources: { n: 'our scales' },
      },
    });
    expect((await store()).materials.get('our-litter')!.cn!.usual).toBe(15);
  });
});

describe('building', () => {
  test('charges go in while it is building; closing is the only thing that starts the clock', async () => {
    const batch = await heap('B');
    await ok(
      'charge',
      { parts: [{ material: 'horse-manure', amount: litres(900) }] },
      { batch, hoursAgo: 20 },
    );
    await ok(
      'charge',
      { parts: [{ material: 'straw', amount: { in: 'unknown' } }] },
      { batch, hoursAgo: 3 },
    );
    const state = async () => foldBatch(await logRepo(t.app).ofBatch(batchId(batch)));
    expect((await state()).builtAt).toBeNull();
    await refused(/nothing was added yet/, 'charge', { parts: [] }, { batch });
    await refused(/was added after that/, 'built', {}, { batch, hoursAgo: 10 });
    await ok('built', {}, { batch, hoursAgo: 2 });
    expect((await state()).builtAt).not.toBeNull();
    await refused(
      /adding is finished/,
      'charge',
      { parts: [{ material: 'straw', amount: litres(90) }] },
      { batch, hoursAgo: 1 },
    );
    // What a phone logged before it was closed comes in late and is taken.
    await ok(
      'charge',
      { parts: [{ material: 'leaves', amount: litres(90) }] },
      { batch, hoursAgo: 2.5 },
    );
  });
  test('what goes in after adding was finished is an addition out of the store: raw, it starts the clock over', async () => {
    const batch = await heap('C');
    const dung = await ok('load', load({ material: 'horse-manure' }));
    await ok('built', {}, { batch, hoursAgo: 25 });
    for (const h of [20, 10]) {
      const id = newId();
      await ok(
        'round',
        {
          source: 'hand',
          readings: [
            {
              id: `${id}.1`,
              point: 'P1',
              value: 60,
              unit: 'C',
              round: id,
              at: new Date(Date.now() - h * H).toISOString(),
            },
          ],
        },
        { batch, hoursAgo: h, id },
      );
    }
    await ok(
      'addition',
      { raw: true, parts: [{ material: 'horse-manure', load: dung, amount: litres(180) }] },
      { batch, hoursAgo: 2 },
    );
    expect((await store()).loads.find((l) => l.id === dung)!.leftLitres).toBe(1620);
    const d = createBatchSnapshot(
      foldBatch(await logRepo(t.app).ofBatch(batchId(batch))),
      site,
      foldSite(await logRepo(t.app).ofSite(site.id)),
      Date.now(),
    );
    expect(d.rules[0]!.creditedHours).toBe(0);
    await refused(
      /not in stock/,
      'addition',
      { raw: false, parts: [{ material: 'straw', load: newId(), amount: litres(9) }] },
      { batch },
    );
  });
  test('a heap that is taken over has its age and no past', async () => {
    const id = newId();
    await ok(
      'opened',
      {
        code: 'D',
        method: 'turned',
        points: [{ id: 'P1' }],
        policy: {},
        rules: ['us-503-pfrp-turned'],
        adopted: {
          from: Date.now() - H,
          rawAt: 'about',
          turnings: 4,
          highestC: 68,
          words: 'built in one day',
        },
      },
      { batch: id, id },
    );
    await ok('built', {}, { batch: id, hoursAgo: 240 });
    const d = createBatchSnapshot(
      foldBatch(await logRepo(t.app).ofBatch(batchId(id))),
      site,
      foldSite(await logRepo(t.app).ofSite(site.id)),
      Date.now(),
    );
    expect(d.rules[0]).toMatchObject({ creditedHours: 0, turningsCounted: 0 });
    expect((Date.now() - d.builtAt!) / H).toBeCloseTo(240, 0);
  });
});

describe('recipes and the map', () => {
  const recipe = (id: string, name: string, n = 5) => ({
    id,
    name,
    parts: [{ material: 'straw', amount: litres(n * 90) }],
  });
  test('two people change one recipe: the second is told by whom and when, and loses nothing either way', async () => {
    const id = newId();
    const v1 = await ok('recipe', { recipe: recipe(id, 'Spring'), from: null }, { by: 'Mo' });
    const v2 = await ok('recipe', { recipe: recipe(id, 'Spring', 7), from: v1 }, { by: 'Jo' });
    const { answer } = await log(
      'recipe',
      { recipe: recipe(id, 'Spring', 9), from: v1 },
      { by: 'Sam' },
    );
    expect(answer).toMatchObject({
      ok: false,
      problems: [
        {
          path: 'changed',
          message: expect.stringMatching(/‘Spring’ was changed by Jo .* Nothing of yours is lost/),
        },
      ],
    });
    await ok('recipe', { recipe: recipe(id, 'Spring', 9), from: v2 }, { by: 'Sam' });
    await ok(
      'recipe',
      { recipe: { ...recipe(newId(), 'Spring, copy', 9), copyOf: id }, from: null },
      { by: 'Sam' },
    );
    const versions = (await store()).recipes.get(id)!;
    expect(versions.map((v) => [v.version, v.by])).toEqual([
      [1, 'Mo'],
      [2, 'Jo'],
      [3, 'Sam'],
    ]);
  });
  test('several in the same instant: one is taken, each other is told by whom; the same with the map', async () => {
    const id = newId();
    const v1 = await ok('recipe', { recipe: recipe(id, 'Both'), from: null });
    const crew = ['Jo', 'Sam', 'Kit', 'Ada'];
    const tell = async (kind: string, data: object, what: string): Promise<void> => {
      const answers = (await Promise.all(crew.map((by) => log(kind, data, { by })))).map(
        (l) => l.answer,
      );
      const taken = answers.findIndex((a) => a.ok);
      answers.forEach((a, i) =>
        expect(a).toEqual(
          i === taken
            ? { ok: true, already: false }
            : {
                ok: false,
                problems: [
                  {
                    path: 'changed',
                    message: expect.stringContaining(`${what} was changed by ${crew[taken]}`),
                  },
                ],
              },
        ),
      );
    };
    await tell('recipe', { recipe: recipe(id, 'Both', 6), from: v1 }, '‘Both’');
    expect((await store()).recipes.get(id)!).toHaveLength(2);
    await tell(
      'site-map',
      { map: { widthM: 20, depthM: 10, slots: [] }, from: (await store()).map?.entry ?? null },
      'the map',
    );
  });
  test('a place beyond the edge, or one named twice, is refused by its name', async () => {
    const from = (await store()).map?.entry ?? null;
    const slot = {
      id: 'bay-1',
      name: '1',
      kind: 'bay',
      xM: 8,
      yM: 0,
      lengthM: 3,
      widthM: 3,
      heightM: 1.5,
    };
    await refused(/1 is beyond the edge/, 'site-map', {
      map: { widthM: 10, depthM: 10, slots: [slot] },
      from,
    });
    await refused(/appears twice/, 'site-map', {
      map: { widthM: 20, depthM: 10, slots: [slot, slot] },
      from,
    });
    await ok('site-map', { map: { widthM: 20, depthM: 10, slots: [slot] }, from });
    await refused(/the map was changed by Mo/, 'site-map', {
      map: { widthM: 20, depthM: 10, slots: [] },
      from,
    });
  });
});

test('whatever is sent instead of a load, a recipe, a charge or a map is refused in sentences, and nothing breaks', async () => {
  const batch = await heap('F');
  const junk = fc.oneof(
    fc.jsonValue(),
    fc.record(
      {
        material: fc.oneof(fc.string(), fc.constant('straw')),
        amount: fc.oneof(
          fc.jsonValue(),
          fc.record({
            in: fc.constantFrom('measure', 'litres', 'kg', 'unknown', 'cups'),
            n: fc.oneof(fc.double(), fc.string()),
            litresEach: fc.double(),
            measure: fc.string(),
            name: fc.string(),
          }),
        ),
        parts: fc.array(fc.jsonValue()),
        state: fc.string(),
        recipe: fc.jsonValue(),
        map: fc.jsonValue(),
        load: fc.oneof(fc.uuid(), fc.string()),
        from: fc.option(fc.uuid()),
      },
      { requiredKeys: [] },
    ),
  );
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(
        'load',
        'load-change',
        'load-heat',
        'material',
        'measures',
        'acceptance',
        'recipe',
        'site-map',
        'charge',
        'lay-up',
      ),
      junk,
      async (kind, data) => {
        const ofHeap = kind === 'charge' || kind === 'lay-up';
        const { answer } = await log(kind, data as object, { batch: ofHeap ? batch : null });
        if (answer.ok) return; // an empty list of measures is one
        expect(answer.problems.length).toBeGreaterThan(0);
        for (const p of answer.problems) {
          expect(p.message.length).toBeGreaterThan(5);
          expect(p.message).not.toMatch(/could not be written|undefined is not|Cannot read/);
        }
      },
    ),
    { numRuns: 150 },
  );
});

test('a heap’s file carries what went in, but not what the site bought and from whom; its chain still holds', async () => {
  const batch = await heap('E');
  const bought = await ok('load', load({ supplier: 'a name nobody else needs to know', cost: 60 }));
  await ok(
    'charge',
    { parts: [{ material: 'straw', load: bought, amount: litres(90) }] },
    { batch },
  );
  await ok('built', {}, { batch, hoursAgo: 0.5 });
  const chained = await logRepo(t.app).chained(site.id, batchId(batch), Date.now() + H);
  expect(chained.map((c) => c.entry.kind)).not.toContain('load');
  expect(chained.map((c) => c.entry.kind)).toContain('charge');
  const sha = (text: string): string => createHash('sha256').update(text).digest('hex');
  const file = batchFileOf(
    foldBatch(chained.map((c) => c.entry).filter((e) => e.batch !== null)),
    site,
    foldSite(await logRepo(t.app).ofSite(site.id)),
  );
  expect(
    checkTrail(JSON.parse(JSON.stringify({ ...file, trail: trailOf(site.id, chained) })), sha),
  ).toMatchObject({ ok: true });
});

describe('what the site refuses or asks about', () => {
  const meat = (more: object = {}) => load({ material: 'slaughter-waste', ...more });
  afterEach(() => actAs(memberAccess(site, 'manager')));

  test('is accepted by whoever keeps records, with a reason', async () => {
    await refused(/Say why it is accepted/, 'load', meat());
    await ok('load', meat({ because: 'papers' }));
  });
  test('is put on hold by the crew, and let in by somebody who may', async () => {
    actAs(memberAccess(site, 'crew'));
    await refused(/Put it on hold/, 'load', meat({ because: 'agreed' }));
    const id = await ok('load', meat({ answer: 'ask' }));
    await refused(/Put it on hold/, 'load-change', {
      load: id,
      answer: 'accept',
      because: 'agreed',
    });
    actAs(memberAccess(site, 'recorder'));
    await refused(/Say why/, 'load-change', { load: id, answer: 'accept' });
    await ok('load-change', { load: id, answer: 'accept', because: 'agreed' });
  });
  test('is accepted from one supplier while a permission holds', async () => {
    const until = Date.now() + 86_400_000;
    const line = { material: 'slaughter-waste', answer: 'accept', reason: 'by its papers' };
    const rest = { material: 'slaughter-waste', answer: 'refuse', reason: 'not here' };
    const permitted = { ...line, supplier: 'Hill Farm', until };
    await ok('acceptance', { lines: [permitted, rest] });
    actAs(memberAccess(site, 'crew'));
    await ok('load', meat({ supplier: 'hill farm' }));
    await refused(/Put it on hold/, 'load', meat({ supplier: 'Dale Farm' }));
    actAs(memberAccess(site, 'manager'));
    await ok('acceptance', { lines: [{ ...permitted, until: Date.now() - 1000 }, rest] });
    actAs(memberAccess(site, 'crew'));
    await refused(/Put it on hold/, 'load', meat({ supplier: 'Hill Farm' }), { hoursAgo: 0 });
  });
});
