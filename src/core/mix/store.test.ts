import fc from 'fast-check';
import { gapsOf, positionIn, usesOf } from '../heap/site-map';
import { barrows, entry, idOf, load, NOW } from '../../../tests/support/store';
import type { Entry } from '../log/entry';
import type { Amount, Recipe, Slot } from '../log/store-shapes';
import { MS } from '../quantity/instant';
import { builtOf, inCrewMeasure, remainingOf } from './build';
import { diverted, greensOutrun, loadsDue, stackHeat, stockByRole, suppliersOf } from './stock';
import { resolveMaterialProperties } from './ingredient';
import { answerTo, foldStore, inStock, USUAL_ACCEPTANCE, USUAL_MEASURES } from './store';
import { batchId } from '../../../tests/support/ids';

const HEAP = '0190aaaa-0000-7000-8000-000000000001';
const charge = (id: string, amount: Amount, hoursAgo = 10, material = 'straw'): Entry =>
  entry('charge', { parts: [{ material, load: id, amount }] }, hoursAgo, HEAP);

describe('a load', () => {
  test('has left what came less what went into heaps; a struck charge gives it back', () => {
    const straw = load('straw', barrows(20));
    const went = charge(straw.id, barrows(6));
    expect(foldStore([straw, went]).loads[0]).toMatchObject({
      litres: 1800,
      leftLitres: 1260,
      overdrawn: false,
      gone: null,
      went: [{ batch: HEAP, litres: 540 }],
    });
    const strike = entry('correction', { target: went.id, reason: 'wrong heap' }, 0, HEAP);
    expect(foldStore([straw, went, strike]).loads[0]!.leftLitres).toBe(1800);
  });
  test('is never more or less than what came and went, whatever is drawn in whatever measure', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.array(fc.record({ kg: fc.boolean(), x: fc.double({ min: 0.5, max: 8, noNaN: true }) }), {
          maxLength: 12,
        }),
        (came, draws) => {
          const straw = load('straw', barrows(came));
          const charges = draws.map((d) =>
            charge(straw.id, d.kg ? { in: 'kg', n: d.x * 10 } : barrows(d.x)),
          );
          const [l] = foldStore([straw, ...charges]).loads;
          const drawn = draws.reduce(
            (s, d) => s + (d.kg ? (d.x * 10) / (l!.kg! / l!.litres!) : d.x * 90),
            0,
          );
          expect(l!.leftLitres).toBeCloseTo(Math.max(0, came * 90 - drawn), 6);
          expect(l!.overdrawn).toBe(came * 90 - drawn < -0.02 * came * 90);
        },
      ),
    );
  });
  test('counted again, it goes on from the count; gone, it leaves the stock', () => {
    const straw = load('straw', barrows(20));
    const counted = entry('load-change', { load: straw.id, left: barrows(3) }, 5);
    expect(
      foldStore([straw, charge(straw.id, barrows(6), 10), counted, charge(straw.id, barrows(1), 2)])
        .loads[0]!.leftLitres,
    ).toBe(180);
    expect(
      inStock(foldStore([straw, entry('load-change', { load: straw.id, gone: 'discarded' })])),
    ).toEqual([]);
  });
  test('of unknown amount stays unknown, and so does what is left when something unknown was drawn', () => {
    const some = load('horse-manure', { in: 'unknown' });
    const straw = load('straw', barrows(20));
    const store = foldStore([some, straw, charge(straw.id, { in: 'unknown' })]);
    expect(store.loads.map((l) => [l.litres, l.leftLitres])).toEqual([
      [null, null],
      [1800, null],
    ]);
  });
  test('that dried is brown now, and its tests stand over the table', () => {
    const grass = load('grass-clippings', barrows(10), {
      becomes: 'dried',
      readyFrom: NOW - MS.hour,
    });
    expect(foldStore([grass]).loads[0]!.stuff.role).toBe('green');
    const dry = entry('load-change', { load: grass.id, state: 'dried' });
    const test = entry('load-change', { load: grass.id, test: { how: 'drying', moisturePct: 22 } });
    const bucket = entry('load-change', {
      load: grass.id,
      test: { how: 'bucket', density: 70, airPct: 80 },
    });
    const [l] = foldStore([grass, dry, test, bucket]).loads;
    expect(l).toMatchObject({
      state: 'dried',
      stuff: { role: 'brown', airPct: 80, moisture: { usual: 22 }, density: { usual: 70 } },
    });
    expect(l!.leftKg).toBeCloseTo(63, 6);
  });
  test('each state has its own figures: what went out of it fresh stays fresh, and a test tells of the state it was made in', () => {
    const grass = load('grass-clippings', barrows(10), { cost: 9 }, 200);
    const change = (data: object, hoursAgo: number): Entry =>
      entry('load-change', { load: grass.id, ...data }, hoursAgo);
    const list = [
      grass,
      change({ test: { how: 'squeeze', moisturePct: 80 } }, 190),
      charge(grass.id, barrows(4), 180, 'grass-clippings'),
      change({ state: 'dried' }, 100),
      charge(grass.id, barrows(2), 50, 'grass-clippings'),
      change({ state: 'dried', test: { how: 'bucket', density: 70 } }, 40),
    ];
    const [l] = foldStore(list).loads;
    expect(l!.stages.map((s) => [s.stuff.role, s.stuff.moisture!.usual])).toEqual([
      ['green', 80],
      ['brown', resolveMaterialProperties(l!.material, 'dried').moisture!.usual],
    ]);
    expect(l).toMatchObject({ leftLitres: 360, tests: [{ how: 'bucket', density: 70 }] });
    const fresh = resolveMaterialProperties(l!.material, 'fresh').density!.usual;
    expect(l!.kg).toBeCloseTo(0.9 * fresh, 6);
    expect(l!.leftKg).toBeCloseTo(0.36 * 70, 6);
    expect(l!.went.map((w) => Math.round(w.kg! * 1e6))).toEqual(
      [0.36 * fresh, 0.18 * 70].map((kg) => Math.round(kg * 1e6)),
    );
    // Nine in money for what would weigh 63 kg as it lies now.
    expect(l!.price).toBeCloseTo(9 / 63, 9);
  });
  test('measures keep the litres that they held when it was logged', () => {
    const straw = load('straw', barrows(10));
    expect(
      foldStore([
        straw,
        entry('measures', { measures: [{ id: 'barrow', name: 'barrow', litres: 60 }] }),
      ]).loads[0]!.litres,
    ).toBe(900);
  });
});

describe('the store', () => {
  test('warns when greens outrun browns, and only then', () => {
    const of = (...list: Entry[]) => greensOutrun(stockByRole(foldStore(list)));
    expect(of(load('grass-clippings', barrows(20)), load('straw', barrows(5)))).toEqual({
      greenL: 1800,
      brownL: 450,
      wantedL: 3600,
    });
    expect(of(load('grass-clippings', barrows(5)), load('hardwood-chip', barrows(5)))).toBeNull();
    expect(of(load('grass-clippings', barrows(20), { answer: 'ask' }))).toBeNull();
  });
  test('speaks of what is ripe, what is to be asked, and what heats up in the stack', () => {
    const grass = load('grass-clippings', barrows(10), {
      becomes: 'dried',
      readyFrom: NOW - MS.hour,
    });
    const held = load('stable-litter', barrows(4), { answer: 'ask', asked: 'which hay' });
    const chip = load('green-chip', { in: 'litres', n: 6000 }, {}, 24 * 9);
    const due = loadsDue(
      foldStore([
        grass,
        held,
        chip,
        entry('load-heat', { load: chip.id, value: 142, unit: 'F' }, 30),
      ]),
      NOW,
    );
    expect(due.map((d) => [d.what, d.level])).toEqual([
      ['ripe', 'none'],
      ['ask', 'none'],
      ['stack', 'warn'],
    ]);
    expect(due[2]!.c).toBeCloseTo(61.1, 1);
    expect(due[2]!.due).toBe(NOW - 30 * MS.hour + MS.day);
  });
  test.each([
    [55, 'none'],
    [62, 'warn'],
    [71, 'act'],
    [78, 'danger'],
  ] as const)('a stack at %i °C is told as %s; small or old ones need not be read', (c, level) => {
    const chip = load('green-chip', { in: 'litres', n: 6000 });
    expect(
      stackHeat(
        foldStore([chip, entry('load-heat', { load: chip.id, value: c, unit: 'C' })]).loads[0]!,
        NOW,
      )!.level,
    ).toBe(level);
    expect(
      stackHeat(foldStore([load('green-chip', { in: 'litres', n: 600 })]).loads[0]!, NOW),
    ).toBeNull();
  });
  test('counts what was kept out of landfill by weight; what was bought, refused, sent back or never weighed is not in the sum', () => {
    const [a, b, c, d, e] = [
      load('straw', { in: 'kg', n: 100 }, { supplier: 'Barn' }),
      load('straw', { in: 'kg', n: 50 }, { waste: false, supplier: 'Barn' }),
      load('leaves', { in: 'kg', n: 30 }, { answer: 'refuse', done: 'sent back' }),
      load('leaves', { in: 'kg', n: 20 }),
      load('leaves', { in: 'unknown' }),
    ];
    const store = foldStore([
      a!,
      b!,
      c!,
      d!,
      e!,
      entry('load-change', { load: d!.id, gone: 'returned' }),
    ]);
    expect(diverted(store, 0, NOW)).toMatchObject({ kg: 100, unweighed: 1 });
    expect(suppliersOf(store, 0, NOW).find((s) => s.name === 'Barn')).toMatchObject({
      taken: 2,
      refused: 0,
      kg: 150,
      divertedKg: 100,
    });
  });
});

describe('what we accept', () => {
  const m = (id: string, ...risks: ('food' | 'disease' | 'chemical')[]) => ({ id, risks });
  test('hangs on the material, on what it may carry, and on how the heap is kept; the first line that fits holds', () => {
    expect(answerTo(m('pet-dung'), null, USUAL_ACCEPTANCE)).toMatchObject({ answer: 'refuse' });
    expect(answerTo(m('cooked-food', 'food'), 'vessel', USUAL_ACCEPTANCE).answer).toBe('accept');
    expect(answerTo(m('cooked-food', 'food'), null, USUAL_ACCEPTANCE)).toMatchObject({
      answer: 'ask',
      but: [{ kept: 'vessel', answer: 'accept' }],
    });
    expect(answerTo(m('diseased-plants', 'disease'), 'static', USUAL_ACCEPTANCE).answer).toBe(
      'ask',
    );
    expect(answerTo(m('straw'), null, USUAL_ACCEPTANCE)).toEqual({
      answer: 'accept',
      reason: null,
      but: [],
    });
  });
});

describe('building', () => {
  const recipe: Recipe = {
    id: idOf(999_999),
    name: 'test',
    waterL: 100,
    shape: 'dome',
    parts: [
      { material: 'green-chip', amount: barrows(8) },
      { material: 'grass-clippings', amount: barrows(6) },
      { material: 'horse-manure', amount: barrows(6) },
    ],
  };
  const layUp = entry('lay-up', { recipe }, 20, HEAP);
  test('goes layer by layer; what is in is ticked, what is next is named, what remains goes on', () => {
    const chip = load('green-chip', barrows(30));
    const first = builtOf(foldStore([layUp, chip]), batchId(HEAP), NOW);
    expect(first.guide!.next).toBe(1);
    expect(first.guide!.layers[0]!.put).toMatchObject([{ material: 'green-chip', load: chip.id }]);
    const one = entry(
      'charge',
      { parts: [{ material: 'green-chip', load: chip.id, amount: barrows(2) }], layer: 1 },
      5,
      HEAP,
    );
    const store = foldStore([layUp, chip, one]);
    expect(builtOf(store, batchId(HEAP), NOW).guide).toMatchObject({ next: 2 });
    const left = remainingOf(store, batchId(HEAP));
    expect(left.find((p) => p.material === 'green-chip')!.amount).toMatchObject({
      in: 'measure',
      n: 6,
    });
    expect(left.find((p) => p.material === 'horse-manure')!.amount).toMatchObject({ n: 6 });
  });
  test('laid up anew while it is building, it is what goes in from then on: no layer of it is in, and the figures count what lies under it', () => {
    const before = entry(
      'charge',
      { parts: [{ material: 'green-chip', amount: barrows(2) }], layer: 1 },
      10,
      HEAP,
    );
    const again = entry(
      'lay-up',
      {
        recipe: {
          ...recipe,
          parts: [
            { material: 'green-chip', amount: barrows(3) },
            { material: 'horse-manure', amount: barrows(6) },
          ],
        },
      },
      5,
      HEAP,
    );
    const store = foldStore([layUp, before, again]);
    const { guide } = builtOf(store, batchId(HEAP), NOW);
    expect(guide!.next).toBe(1);
    expect(guide!.plan.litresLoose).toBeCloseTo(11 * 90, 6);
    expect(remainingOf(store, batchId(HEAP))).toMatchObject([
      { material: 'green-chip', amount: { n: 3 } },
      { material: 'horse-manure', amount: { n: 6 } },
    ]);
    const after = foldStore([
      layUp,
      before,
      again,
      entry(
        'charge',
        { parts: [{ material: 'horse-manure', amount: barrows(2) }], layer: 1 },
        30,
        HEAP,
      ),
    ]);
    // Logged after it, with an hour before it: it went in by it all the same.
    expect(builtOf(after, batchId(HEAP), NOW).guide!.next).toBe(2);
    expect(remainingOf(after, batchId(HEAP))).toMatchObject([
      { amount: { n: 3 } },
      { amount: { n: 4 } },
    ]);
  });
  test('what is put in is what the recipe asks for, to the half measure', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 3000, noNaN: true }), (litres) => {
        const a = inCrewMeasure(litres, USUAL_MEASURES);
        const given = a.in === 'measure' ? a.n * a.litresEach : (a as { n: number }).n;
        expect(Math.abs(given - litres)).toBeLessThanOrEqual(
          a.in === 'measure' ? a.litresEach / 4 + 1e-9 : 0.5 + 1e-9,
        );
      }),
    );
  });
  test('more is asked of what is short: the fullest load stands in where none has enough', () => {
    const [small, big] = [
      load('green-chip', barrows(1), {}, 90),
      load('green-chip', barrows(2), {}, 50),
    ];
    expect(
      builtOf(foldStore([layUp, small, big]), batchId(HEAP), NOW)
        .guide!.layers.flatMap((l) => l.put)
        .find((p) => p.material === 'green-chip' && p.litres > 90)!.load,
    ).toBe(big.id);
  });
});

describe('the map', () => {
  const slot = (id: string, more: Partial<Slot> = {}): Slot => ({
    id,
    name: id,
    kind: 'bay',
    xM: 0,
    yM: 0,
    lengthM: 3,
    widthM: 3,
    heightM: 1.5,
    ...more,
  });
  test('tells what stands where, and what room is left', () => {
    const { uses, nowhere } = usesOf(
      [slot('1'), slot('South', { kind: 'row', lengthM: 20, widthM: 2.4, heightM: 1.4 })],
      [
        { id: 'a', name: 'A', position: { bay: '1' }, m3: 4 },
        { id: 'b', name: 'B', position: { row: 'South', fromM: 2, toM: 8 }, m3: 9 },
        { id: 'c', name: 'C', position: { bay: '99' }, m3: 2 },
      ],
    );
    expect(uses[0]).toMatchObject({ holdsM3: 13.5, usedM3: 4, freeM3: 9.5 });
    expect(uses[1]!.gaps).toEqual([
      { fromM: 0, toM: 2 },
      { fromM: 8, toM: 20 },
    ]);
    expect(nowhere.map((h) => h.id)).toEqual(['c']);
  });
  test('gaps and heaps of a row fill it, and never overlap', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 0, max: 19, noNaN: true }),
            fc.double({ min: 0.2, max: 5, noNaN: true }),
          ),
          { maxLength: 6 },
        ),
        (list) => {
          const taken = list.map(([fromM, long]) => ({ fromM, toM: Math.min(20, fromM + long) }));
          const gaps = gapsOf(taken, 20);
          for (let x = 0.1; x < 20; x += 0.37) {
            const [free, held] = [
              gaps.some((g) => x > g.fromM && x < g.toM),
              taken.some((t) => x > t.fromM && x < t.toM),
            ];
            if (held) expect(free).toBe(false);
          }
        },
      ),
    );
  });
  test('a heap takes the first stretch of a row that is long enough for it; none is told as none', () => {
    const row = slot('South', { kind: 'row', lengthM: 10, widthM: 2, heightM: 1 });
    expect(
      positionIn(
        {
          slot: row,
          gaps: [
            { fromM: 0, toM: 1 },
            { fromM: 3, toM: 10 },
          ],
        },
        { m3: 4, position: null },
      ),
    ).toEqual({ row: 'South', fromM: 3, toM: 6 });
    expect(
      positionIn({ slot: row, gaps: [{ fromM: 0, toM: 1 }] }, { m3: 4, position: null }),
    ).toBeNull();
  });
});
