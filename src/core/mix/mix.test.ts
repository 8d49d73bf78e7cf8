import fc from 'fast-check';
import { anyIngredient, anyMix, exactly, plain } from '../../../tests/support/mix';
import { randomOf } from '../../../demo/heat';
import { amountOf } from './amount';
import { resolveMaterialProperties } from './ingredient';
import { planLayers } from './layers';
import { MATERIAL_LIBRARY } from './library';
import { bucketTest, dryingTest, SQUEEZE_PCT } from './measured';
import { airSpacePct, mixOf, waterToAdd, type Figure } from './mix';
import { compareApproaches } from './approaches';

const value = (f: Figure): number => (f.ok ? f.est.value : NaN);

describe('what goes in comes out', () => {
  test('mass, water and dry matter are conserved; the shares of each make one', () => {
    fc.assert(
      fc.property(anyMix(12), fc.double({ min: 0, max: 500, noNaN: true }), (parts, water) => {
        const mix = mixOf(parts, water);
        const kg = parts.reduce((s, p) => s + p.kg!, 0);
        const wet = parts.reduce((s, p) => s + (p.kg! * p.moisture!.usual) / 100, 0);
        expect(mix.massKg! / (kg + water)).toBeCloseTo(1, 9);
        expect(mix.waterKg! / (wet + water)).toBeCloseTo(1, 9);
        expect(mix.dryKg! / (kg - wet)).toBeCloseTo(1, 9);
        for (const k of ['litres', 'carbon', 'nitrogen'] as const)
          expect(mix.shares.reduce((s, x) => s + x[k]!, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
  test('C:N and moisture lie between the extremes of the parts, and each within its band', () => {
    fc.assert(
      fc.property(anyMix(12), (parts) => {
        const mix = mixOf(parts);
        const ratios = parts.map((p) => p.cn!.usual);
        expect(value(mix.cn)).toBeGreaterThanOrEqual(Math.min(...ratios) * (1 - 1e-9));
        expect(value(mix.cn)).toBeLessThanOrEqual(Math.max(...ratios) * (1 + 1e-9));
        for (const f of [mix.cn, mix.moisture, mix.density, mix.air])
          if (f.ok) {
            expect(f.est.low).toBeLessThanOrEqual(f.est.value + 1e-9);
            expect(f.est.high).toBeGreaterThanOrEqual(f.est.value - 1e-9);
          }
      }),
    );
  });
  test('twice of everything is the same mix, twice as much; in any order', () => {
    fc.assert(
      fc.property(anyMix(8), (parts) => {
        const [one, two] = [
          mixOf(parts),
          mixOf(parts.map((p) => ({ ...p, kg: p.kg! * 2, litres: p.litres! * 2 })).reverse()),
        ];
        expect(value(two.cn) / value(one.cn)).toBeCloseTo(1, 9);
        expect(value(two.density) / value(one.density)).toBeCloseTo(1, 9);
        expect(two.litresMixed! / one.litresMixed!).toBeCloseTo(2, 9);
      }),
    );
  });
  test('water brings a mix to the moisture it was reckoned for', () => {
    fc.assert(
      fc.property(anyMix(6), fc.double({ min: 40, max: 70, noNaN: true }), (parts, target) => {
        const mix = mixOf(parts);
        const water = waterToAdd(mix.massKg!, value(mix.moisture), target);
        if (water > 0) expect(value(mixOf(parts, water).moisture)).toBeCloseTo(target, 6);
        else expect(value(mix.moisture)).toBeGreaterThanOrEqual(target - 1e-6);
      }),
    );
  });
});

describe('the band', () => {
  test('of one part alone is its own range', () => {
    fc.assert(
      fc.property(anyIngredient, (p) => {
        const mix = mixOf([{ ...p, key: 'a' }]);
        expect(mix.cn).toMatchObject({ ok: true });
        if (mix.cn.ok) {
          expect(mix.cn.est.low).toBeCloseTo(p.cn!.low, 6);
          expect(mix.cn.est.high).toBeCloseTo(p.cn!.high, 6);
        }
      }),
    );
  });
  test('of C:N holds between 80 % and nearly all of what a throw of dice within the ranges gives', () => {
    const random = randomOf(7);
    const within = (r: { low: number; high: number }): number =>
      r.low + random() * (r.high - r.low);
    const properties = (id: string) =>
      resolveMaterialProperties(
        MATERIAL_LIBRARY.find((m) => m.id === id)!,
        'fresh',
      );
    const parts = [
      ['straw', 900],
      ['horse-manure', 500],
      ['vegetable-waste', 300],
      ['green-chip', 400],
    ].map(([id, litres]) => {
      const s = properties(id as string);
      return {
        ...s,
        key: id as string,
        ...amountOf({ in: 'litres', n: litres as number }, s.density),
        about: false,
        price: null,
      };
    });
    const mix = mixOf(parts);
    if (!mix.cn.ok) throw new Error('not known');
    let inside = 0;
    const n = 4000;
    for (let i = 0; i < n; i += 1) {
      // Each part's figures thrown within their ranges, straight from the sums of carbon and nitrogen.
      let [c, nitrogen] = [0, 0];
      for (const p of parts) {
        const dry = (p.litres! / 1000) * within(p.density!) * (1 - within(p.moisture!) / 100);
        const carbon = (dry * p.carbonPct!) / 100;
        c += carbon;
        nitrogen += carbon / within(p.cn!);
      }
      if (c / nitrogen >= mix.cn.est.low && c / nitrogen <= mix.cn.est.high) inside += 1;
    }
    expect(inside / n).toBeGreaterThan(0.8);
    expect(inside / n).toBeLessThan(0.9999);
  });
});

describe('what is not known', () => {
  const straw = plain({ name: 'straw', kg: 100, wet: 12, n: 0.7, c: 56, role: 'brown' });
  const some = {
    ...plain({ name: 'some manure', kg: 1, wet: 70, n: 2, c: 40 }),
    kg: null,
    litres: null,
  };
  test('is not made up: every figure that hangs on it is told as not computable, with its name', () => {
    const mix = mixOf([straw, some]);
    for (const f of [mix.cn, mix.moisture, mix.density, mix.air])
      expect(f).toMatchObject({ ok: false, missing: ['some manure'] });
    expect([mix.massKg, mix.litresLoose, mix.nitrogenKg]).toEqual([null, null, null]);
    expect(compareApproaches([straw, some], mix).every((s) => s.says === 'unknown')).toBe(true);
  });
  test('a volume without a weight leaves the buckets countable', () => {
    const parts = [
      { ...straw, kg: null },
      plain({ name: 'peelings', kg: 50, wet: 80, n: 2.4, c: 45 }),
    ];
    expect(mixOf(parts).cn).toMatchObject({ ok: false, missing: ['straw'] });
    expect(compareApproaches(parts, mixOf(parts)).find((s) => s.school === '1:2')!.says).not.toBe(
      'unknown',
    );
  });
  test('a liquid weighs and wets like water, and takes no room; alone it has no density', () => {
    const pond = plain({
      name: 'pond water',
      kg: 200,
      wet: 99,
      n: 0.1,
      c: 0.1,
      density: 1000,
      role: 'liquid',
      particle: 'liquid',
    });
    const thin = { ...pond, cn: null, carbonPct: null, moisture: exactly(100) };
    const [poured, added] = [mixOf([straw, thin]), mixOf([straw], 200)];
    for (const k of ['massKg', 'waterKg', 'litresLoose', 'litresMixed', 'nitrogenKg'] as const)
      expect([k, poured[k]]).toEqual([k, added[k]]);
    for (const k of ['cn', 'moisture', 'density', 'air'] as const)
      expect([k, poured[k].ok && poured[k].est.value]).toEqual([
        k,
        added[k].ok && added[k].est.value,
      ]);
    expect(mixOf([thin]).density).toMatchObject({
      ok: false,
      missing: ['only liquid is in it'],
    });
  });
  test('nothing in it, and nothing with nitrogen in it, give no figure', () => {
    expect(mixOf([]).cn.ok).toBe(false);
    const ash = { ...straw, role: 'mineral' as const, cn: null, carbonPct: null };
    expect(mixOf([ash]).cn).toMatchObject({
      ok: false,
      missing: ['nothing in it contains nitrogen'],
    });
  });
});

test('the buckets’ schools count the same mix, each by its own ratio', () => {
  const at = (green: number, brown: number) =>
    Object.fromEntries(
      compareApproaches(
        ...(() => {
          const parts = [
            plain({ name: 'g', kg: green, wet: 80, n: 3, c: 45, density: 1000 }),
            plain({ name: 'b', kg: brown, wet: 15, n: 0.5, c: 50, density: 1000, role: 'brown' }),
          ];
          return [parts, mixOf(parts)] as const;
        })(),
      ).map((s) => [s.school, s.says]),
    );
  expect(at(100, 100)).toMatchObject({
    '1:1': 'fits',
    '1:2': 'more-brown',
    '1:3': 'more-brown',
    cover: 'fits',
  });
  expect(at(100, 200)).toMatchObject({
    '1:1': 'more-green',
    '1:2': 'fits',
    '1:3': 'more-brown',
    cover: 'fits',
  });
  expect(at(100, 30)).toMatchObject({ '1:1': 'more-brown', cover: 'more-brown' });
});

describe('layers', () => {
  test('hold every litre, with the raw well inside and browns below and above', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 900 }),
        fc.integer({ min: 10, max: 900 }),
        fc.integer({ min: 10, max: 500 }),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        (chip, grass, dung, high) => {
          const made = [
            ['hardwood-chip', chip],
            ['grass-clippings', grass],
            ['horse-manure', dung],
          ].map(([id, litres]) => {
            const s = resolveMaterialProperties(
              MATERIAL_LIBRARY.find((m) => m.id === id)!,
              'fresh',
            );
            return {
              ...s,
              key: id as string,
              ...amountOf({ in: 'litres', n: litres as number }, s.density),
              about: false,
              price: null,
            };
          });
          const layers = planLayers(made, 90, high);
          for (const p of made)
            expect(
              layers.reduce(
                (s, l) =>
                  s + l.parts.filter((x) => x.key === p.key).reduce((t, x) => t + x.litres, 0),
                0,
              ),
            ).toBeCloseTo(p.litres!, 6);
          expect(layers.reduce((s, l) => s + l.waterL, 0)).toBeCloseTo(90, 6);
          expect([layers[0]!.kind, layers.at(-1)!.kind]).toEqual(['base', 'blanket']);
          const raw = layers.flatMap((l, i) =>
            l.parts.some((p) => p.key === 'horse-manure') ? [i] : [],
          );
          expect(Math.min(...raw)).toBeGreaterThan(0);
          expect(Math.max(...raw)).toBeLessThan(layers.length - 1);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('figures of a material', () => {
  const grass = MATERIAL_LIBRARY.find((m) => m.id === 'grass-clippings')!;
  test('the same grass is green when fresh and brown when dry', () =>
    expect([
      resolveMaterialProperties(grass, 'fresh').role,
      resolveMaterialProperties(grass, 'dried').role,
    ]).toEqual(['green', 'brown']));
  test('a laboratory stands over the table: of nitrogen alone it moves the C:N with it', () => {
    const lab = resolveMaterialProperties({ ...grass, lab: { n: { value: 2.5, at: 0 } } }, 'fresh');
    expect(lab.from.cn!.by).toBe('laboratory');
    expect(lab.cn!.usual).toBeCloseTo(
      resolveMaterialProperties(grass, 'fresh').carbonPct! / 2.5,
      9,
    );
    expect(
      resolveMaterialProperties({ ...grass, lab: { cn: { value: 15, at: 0 } } }, 'fresh').cn,
    ).toEqual(exactly(15));
  });
  test('a laboratory’s value of the fresh stuff says nothing of it dried, where that has figures of its own', () => {
    const m = { ...grass, lab: { moisture: { value: 80, at: 0 }, n: { value: 2.5, at: 0 } } };
    expect([
      resolveMaterialProperties(m, 'fresh').moisture,
      resolveMaterialProperties(m, 'frozen').moisture,
    ]).toEqual([exactly(80), exactly(80)]);
    expect(resolveMaterialProperties(m, 'dried')).toEqual(
      resolveMaterialProperties(grass, 'dried'),
    );
  });
  test('a test of the load stands over both', () =>
    expect(
      resolveMaterialProperties({ ...grass, lab: { moisture: { value: 80, at: 0 } } }, 'fresh', [
        { moisturePct: 60, at: 1, how: 'drying' },
      ]).moisture!.usual,
    ).toBe(60));
  test('of several tests each figure keeps its own, and a hand is held to be less sure than scales', () => {
    const both = resolveMaterialProperties(grass, 'fresh', [
      { density: 300, at: 1, how: 'bucket' },
      { moisturePct: 70, at: 2, how: 'drying' },
      { moisturePct: 55, at: 3, how: 'squeeze' },
    ]);
    expect([both.from.density, both.from.moisture]).toEqual([
      { by: 'test', words: 'bucket', at: 1 },
      { by: 'test', words: 'squeeze', at: 3 },
    ]);
    expect(both.density).toEqual({ low: 285, usual: 300, high: 315 });
    expect(both.moisture).toEqual({ low: 48.5, usual: 55, high: 61.5 });
    // Whatever a squeeze stands for lies within.
    for (const { lowPct, highPct } of Object.values(SQUEEZE_PCT)) {
      const m = resolveMaterialProperties(grass, 'fresh', [
        { moisturePct: (lowPct + highPct) / 2, at: 1, how: 'squeeze' },
      ]).moisture!;
      expect([m.low <= lowPct, m.high >= highPct]).toEqual([true, true]);
    }
  });
  test('kilograms and litres by the density; unknown stays unknown', () => {
    expect(
      amountOf(
        { in: 'measure', n: 6, measure: 'barrow', name: 'barrow', litresEach: 90 },
        exactly(400),
      ),
    ).toEqual({ litres: 540, kg: 216 });
    expect(amountOf({ in: 'kg', n: 100 }, exactly(400))).toEqual({ litres: 250, kg: 100 });
    expect(amountOf({ in: 'kg', n: 100 }, null)).toEqual({ litres: null, kg: 100 });
    expect(amountOf({ in: 'unknown' }, exactly(400))).toEqual({ litres: null, kg: null });
  });
});

describe('tests of a load', () => {
  test('a bucket of 10 L that weighs 4.6 kg full and 0.6 kg empty, and takes 4.5 L of water', () =>
    expect(bucketTest({ bucketL: 10, emptyKg: 0.6, fullKg: 4.6, waterKg: 4.5 })).toMatchObject({
      ok: true,
      density: expect.closeTo(400, 9),
      airPct: 45,
    }));
  test.each([
    [{ bucketL: 0, emptyKg: 1, fullKg: 2, waterKg: null }, /volume/],
    [{ bucketL: 10, emptyKg: 5, fullKg: 2, waterKg: null }, /swapped/],
    [{ bucketL: 10, emptyKg: 1, fullKg: 900, waterKg: null }, /stone/],
    [{ bucketL: 10, emptyKg: 1, fullKg: 4, waterKg: 11 }, /takes between/],
  ])('a bucket that cannot be: %p', (input, says) => {
    const t = bucketTest(input);
    expect(t.ok ? '' : t.wrong).toMatch(says);
  });
  test('100 g on a dish of 20 g that dry to 60 g held 50 % of water; one weighing more settles it', () => {
    expect(dryingTest(20, [100, 60])).toMatchObject({ ok: true, moisturePct: 50, still: true });
    expect(dryingTest(20, [100, 60.2, 60])).toMatchObject({ still: false });
    expect(dryingTest(20, [100, 60, 62])).toMatchObject({ ok: false });
    expect(dryingTest(20, [100, 15])).toMatchObject({ ok: false });
  });
  test('air space of a mix of 500 kg/m³ at 60 % is that of its water and its solids taken off (van Ginkel and others, 1999, densities from memory)', () =>
    expect(airSpacePct(500, 0.6)).toBeCloseTo(100 - 30 - (200 / 1600) * 100, 9));
});
