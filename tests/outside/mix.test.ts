import convert from 'convert-units';
import fc from 'fast-check';
import { measuresFor, rowLengthM, surfaceM2, coreWayM, footM2 } from '@/core/heap/form';
import { SHAPES, volumeOf } from '@/core/heap/size';
import { KG_M3_PER_LB_YD3, MATERIAL_LIBRARY } from '@/core/mix/library';
import { mixOf, waterToAdd } from '@/core/mix/mix';
import { M3_PER_YD3 } from '@/core/units/units';
import { plain } from '../support/mix';

/** The arithmetic of a recipe against published worked examples, tables, geometry added up by columns, and a unit library. */

describe('worked examples of Richard and Trautmann (Cornell Composting, C/N and moisture pages; figures from memory, trade facts, section 3)', () => {
  const grass = plain({ name: 'grass', kg: 10, wet: 77, n: 2.4, c: 45 });
  const leaves = (kg: number) => plain({ name: 'leaves', kg, wet: 35, n: 0.75, c: 50 });
  const est = (f: ReturnType<typeof mixOf>['cn']): number => (f.ok ? f.est.value : NaN);
  test('10 kg of grass at 77 % and 6.8 kg of leaves at 35 % are at 60 %', () =>
    expect(est(mixOf([grass, leaves(6.8)]).moisture)).toBeCloseTo(60, 0));
  test('3.474 kg of leaves bring 10 kg of grass to a C:N of 30', () =>
    expect(est(mixOf([grass, leaves(3.474)]).cn)).toBeCloseTo(30, 2));
  test('1000 kg at 45 % take 309.5 kg of water to be at 58 %', () =>
    expect(waterToAdd(1000, 45, 58)).toBeCloseTo(309.5, 1));
});

test('the table of NRAES-54 stands in the library (from memory): N %, C:N, moisture %, lb/yd³', () => {
  const table: Readonly<Record<string, readonly (number | null)[]>> = {
    'vegetable-waste': [2.7, 19, 87, 1585],
    'apple-pomace': [1.1, 48, 88, 1559],
    'cattle-manure': [2.4, 19, 81, 1458],
    'horse-manure': [1.6, 30, 72, 1379],
    'sheep-manure': [2.7, 16, 69, null],
    'hen-manure': [8.0, 6, 69, 1479],
    'hen-litter': [2.7, 14, 37, 864],
    straw: [0.7, 80, 12, 227],
    'hay-grass': [1.3, 32, 10, null],
    'hay-legume': [2.5, 16, 10, null],
    leaves: [0.9, 54, 38, null],
    'grass-clippings': [3.4, 17, 82, null],
    'shrub-trimmings': [1.0, 53, 15, 429],
    sawdust: [0.24, 442, 39, 410],
    'hardwood-chip': [0.09, 560, null, null],
    'softwood-chip': [0.09, 641, null, null],
    cardboard: [0.1, 563, 8, 259],
    seaweed: [1.9, 17, 53, null],
  };
  const lbYd3 = (x: number): number =>
    convert(x).from('kg').to('lb') / convert(1).from('m3').to('yd3');
  for (const [id, [n, cn, wet, lb]] of Object.entries(table)) {
    const m = MATERIAL_LIBRARY.find((x) => x.id === id)!;
    expect([id, m.n?.usual, m.cn?.usual]).toEqual([id, n, cn]);
    if (wet !== null) expect([id, m.moisture?.usual]).toEqual([id, wet]);
    if (lb !== null) expect(Math.abs(lbYd3(m.density!.usual) - lb!)).toBeLessThan(1);
  }
});

test('every figure of the library names where it comes from, and lies within its range', () => {
  expect(new Set(MATERIAL_LIBRARY.map((m) => m.id)).size).toBe(MATERIAL_LIBRARY.length);
  expect(MATERIAL_LIBRARY.length).toBeGreaterThanOrEqual(60);
  for (const m of MATERIAL_LIBRARY)
    for (const k of ['n', 'cn', 'moisture', 'density'] as const) {
      const r = m[k];
      if (r === null) continue;
      expect([m.id, k, r.low <= r.usual && r.usual <= r.high]).toEqual([m.id, k, true]);
      expect([m.id, k, m.sources[k]]).toEqual([
        m.id,
        k,
        expect.stringMatching(/NRAES|memory|common practice/),
      ]);
    }
});

test('units as a general unit library has them (convert-units): yards, pounds, litres', () => {
  expect(M3_PER_YD3).toBeCloseTo(convert(1).from('yd3').to('m3'), 5);
  expect(KG_M3_PER_LB_YD3).toBeCloseTo(
    convert(1).from('lb').to('kg') / convert(1).from('yd3').to('m3'),
    4,
  );
  expect(KG_M3_PER_LB_YD3).toBeCloseTo(0.5933, 4); // trade facts, section 3
  expect(convert(1).from('m3').to('l')).toBe(1000);
});

describe('the form of heaps against adding up', () => {
  const sized = fc.record({
    l: fc.double({ min: 1, max: 12, noNaN: true }),
    w: fc.double({ min: 1, max: 5, noNaN: true }),
    h: fc.double({ min: 0.5, max: 3, noNaN: true }),
  });
  /** Height over a place of the foot, from the words of the shape: centred, −1 to 1 both ways. */
  const top: Readonly<Record<string, (x: number, y: number, h: number) => number>> = {
    dome: (x, y, h) => h * Math.sqrt(Math.max(0, 1 - x * x - y * y)),
    cone: (x, y, h) => h * Math.max(0, 1 - Math.hypot(x, y)),
    triangle: (_x, y, h) => h * (1 - Math.abs(y)),
    windrow: (_x, y, h) => h * (1 - y * y),
    trapezoid: (_x, y, h) => h * Math.min(1, 2 * (1 - Math.abs(y))),
  };
  test.each(Object.keys(top))('surface of a %s by small flat pieces', (shape) => {
    fc.assert(
      fc.property(sized, ({ l, w, h }) => {
        const f = top[shape]!;
        const n = 160;
        let area = 0;
        const at = (i: number, k: number): [number, number, number] => {
          const [x, y] = [(2 * i) / n - 1, (2 * k) / n - 1];
          return [(x * l) / 2, (y * w) / 2, f(x, y, h)];
        };
        const tri = (a: number[], b: number[], c: number[]): number => {
          const [u, v] = [b.map((q, j) => q - a[j]!), c.map((q, j) => q - a[j]!)];
          return (
            0.5 *
            Math.hypot(
              u[1]! * v[2]! - u[2]! * v[1]!,
              u[2]! * v[0]! - u[0]! * v[2]!,
              u[0]! * v[1]! - u[1]! * v[0]!,
            )
          );
        };
        const round = shape === 'dome' || shape === 'cone';
        for (let i = 0; i < n; i += 1)
          for (let k = 0; k < n; k += 1) {
            const [a, b, c, d] = [at(i, k), at(i + 1, k), at(i, k + 1), at(i + 1, k + 1)];
            if (round && [a, b, c, d].every((p) => p[2] === 0)) continue;
            area += tri(a, b, c) + tri(b, c, d);
          }
        if (!round)
          for (let k = 0; k < n; k += 1) area += 2 * (w / n) * f(0, (2 * (k + 0.5)) / n - 1, h); // the two ends, cut straight
        expect(
          surfaceM2(shape as 'dome', { lengthM: l, widthM: w, heightM: h }) / area,
        ).toBeGreaterThan(0.95);
        expect(
          surfaceM2(shape as 'dome', { lengthM: l, widthM: w, heightM: h }) / area,
        ).toBeLessThan(1.05);
      }),
      { numRuns: 12 },
    );
  });
  test('boxes, round bins and tubs by their faces', () => {
    expect(surfaceM2('cube', { lengthM: 2, widthM: 1, heightM: 1 })).toBeCloseTo(
      2 + 2 * (2 + 1),
      9,
    );
    expect(surfaceM2('bay', { lengthM: 2, widthM: 1, heightM: 1, topWidthM: 1 })).toBeCloseTo(
      1 + Math.SQRT2 + 1 + 2 * 1.5,
      9,
    );
    expect(surfaceM2('cylinder', { lengthM: 2, widthM: 2, heightM: 1 })).toBeCloseTo(
      Math.PI + 2 * Math.PI,
      6,
    );
    expect(surfaceM2('tub', { lengthM: 3, widthM: 2, heightM: 1 })).toBeCloseTo(
      6 + 3 * Math.PI + Math.PI,
      6,
    );
    expect(volumeOf('tub', { lengthM: 3, widthM: 2, heightM: 0.5 })).toBeCloseTo(
      3 * (Math.acos(0.5) - 0.5 * Math.sqrt(0.75)),
      9,
    );
  });
  test.each(SHAPES)(
    'measures for a volume of a %s give the volume back, and the way to the core is not longer than any straight way out',
    (shape) => {
      fc.assert(
        fc.property(
          fc.double({ min: 0.3, max: 60, noNaN: true }),
          fc.option(fc.double({ min: 1, max: 30, noNaN: true })),
          (m3, length) => {
            const m = measuresFor(shape, m3, length);
            expect(volumeOf(shape, m)).toBeCloseTo(m3, 4);
            expect(coreWayM(shape, m)).toBeLessThanOrEqual(m.heightM / 2 + 1e-9);
            expect(coreWayM(shape, m)).toBeLessThanOrEqual(m.widthM / 2 + 1e-9);
            expect(footM2(shape, m)).toBeLessThanOrEqual(m.lengthM * m.widthM + 1e-9);
            if (shape === 'windrow' || shape === 'triangle' || shape === 'trapezoid')
              expect(rowLengthM(shape, m3, m)).toBeCloseTo(m.lengthM, 4);
          },
        ),
        { numRuns: 40 },
      );
    },
  );
  test('the way to the core is what trying every straight way gives', () => {
    for (const shape of ['windrow', 'triangle', 'dome'] as const) {
      const m = { lengthM: 8, widthM: 3, heightM: 1.4 };
      let least = Infinity;
      for (let y = -1; y <= 1; y += 0.0005)
        least = Math.min(
          least,
          Math.hypot((y * m.widthM) / 2, top[shape]!(0, y, m.heightM) - m.heightM / 2),
        );
      expect(coreWayM(shape, m)).toBeCloseTo(least, 2);
    }
  });
});
