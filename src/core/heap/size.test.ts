import fc from 'fast-check';
import { M_PER_FT, M3_PER_YD3 } from '../units/units';
import { leastHotVolume, sizeDoubt, sizesOf, volumeOf, SHAPES, type HeapShape } from './size';

const H = 3_600_000;
/** Height of a shape over a point of its foot, as a share of its greatest; the foot is one by one, centred. Written from the words, not from the formula. */
const heightAt = (shape: HeapShape, x: number, y: number): number => {
  const r = Math.hypot(x, y) * 2;
  switch (shape) {
    case 'cube':
    case 'bay':
      return 1;
    case 'cylinder':
      return r >= 1 ? 0 : 1;
    // 1.5 m high and 2 m wide: half a metre of straight side over a round of one metre.
    case 'tub':
      return (0.5 + Math.sqrt(1 - (2 * y) ** 2)) / 1.5;
    case 'cone':
      return Math.max(0, 1 - r);
    case 'dome':
      return r >= 1 ? 0 : Math.sqrt(1 - r * r);
    case 'triangle':
      return 1 - Math.abs(y) * 2;
    case 'trapezoid':
      return Math.min(1, 2 - Math.abs(y) * 4);
    case 'windrow':
      return 1 - (y * 2) ** 2;
  }
};

describe('volume', () => {
  test.each(SHAPES)('of a %s is what adding up thin columns gives', (shape) => {
    const n = 400;
    let sum = 0;
    for (let i = 0; i < n; i += 1)
      for (let k = 0; k < n; k += 1)
        sum += heightAt(shape, (i + 0.5) / n - 0.5, (k + 0.5) / n - 0.5);
    expect(volumeOf(shape, { lengthM: 6, widthM: 2, heightM: 1.5 })).toBeCloseTo(
      (sum / (n * n)) * 6 * 2 * 1.5,
      1,
    );
  });
  test('a cubic yard is not a cubic metre (0.765 m³)', () =>
    expect(volumeOf('cube', { lengthM: 0.9144, widthM: 0.9144, heightM: 0.9144 })).toBeCloseTo(
      0.7646,
      3,
    ));
});

describe('a heap over time', () => {
  const first = { at: 0, m3: 2, heightM: 1 };
  // Level down 40 % in two and a half days (common practice: a fluffy mix).
  test('its level falls, its volume with it', () =>
    expect(sizesOf(first, [{ at: 60 * H, kind: 'level', sunkCm: 40 }])).toEqual([
      { at: 0, m3: 2, how: 'built' },
      { at: 60 * H, m3: 1.2, how: 'level' },
    ]));
  test('measured anew, the mark counts from there', () => {
    const all = sizesOf(first, [
      { at: 1, kind: 'level', sunkCm: 40 },
      { at: 2, kind: 'measured', m3: 1, heightM: 0.5 },
      { at: 3, kind: 'level', sunkCm: 50 },
    ]);
    expect(all.at(-1)!.m3).toBeCloseTo(0.8, 9);
  });
  test('joined and carried off', () =>
    expect(
      sizesOf(first, [
        { at: 1, kind: 'joined', m3: 1 },
        { at: 2, kind: 'carried-off', m3: 0.5 },
      ]).map((s) => s.m3),
    ).toEqual([2, 3, 2.5]));
  test('nothing is made up where its first volume is not known', () => {
    expect(sizesOf({ ...first, m3: null }, [{ at: 1, kind: 'level', sunkCm: 10 }])).toEqual([]);
    expect(
      sizesOf({ ...first, m3: null }, [{ at: 1, kind: 'judged', m3: 3, heightM: null }]),
    ).toMatchObject([{ m3: 3 }]);
  });
  test('never below nought, whatever is read', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.record({
              at: fc.nat(100),
              kind: fc.constant('level' as const),
              sunkCm: fc.integer({ min: -50, max: 500 }),
            }),
            fc.record({
              at: fc.nat(100),
              kind: fc.constantFrom('joined' as const, 'carried-off' as const),
              m3: fc.double({ min: 0.01, max: 9, noNaN: true }),
            }),
          ),
        ),
        (events) => {
          for (const s of sizesOf(first, events)) expect(s.m3).toBeGreaterThan(0);
        },
      ),
      { seed: 3 },
    );
  });
});

test('a cone of 10 by 10 by 4 feet is 3.9 cubic yards, half of what the box around it would make a dome', () => {
  const feet = (l: number, w: number, h: number) => ({
    ...{ lengthM: l * M_PER_FT, widthM: w * M_PER_FT, heightM: h * M_PER_FT },
  });
  expect(volumeOf('cone', feet(10, 10, 4)) / M3_PER_YD3).toBeCloseTo(3.88, 2);
  expect(volumeOf('dome', feet(10, 10, 4)) / M3_PER_YD3).toBeCloseTo(7.76, 2);
});

test('the least size that stays hot is a cubic yard where a site measures in yards, else a cubic meter, or its own', () => {
  expect(leastHotVolume(undefined, 'us')).toBeCloseTo(0.7646, 4);
  expect(leastHotVolume(undefined, 'metric')).toBe(1);
  expect(leastHotVolume(undefined, 'uk')).toBe(1);
  expect(leastHotVolume(1.5, 'us')).toBe(1.5);
});

describe('a size that looks as if it was typed in another unit', () => {
  const of = (lengthM: number, widthM: number, heightM: number) =>
    sizeDoubt({ lengthM, widthM, heightM }, lengthM * widthM * heightM, 1);
  test('has one measure under a fifth of the next, or makes hardly anything', () => {
    expect(of(3, 3, 0.1)).toBe('uneven');
    expect(of(0.4, 0.4, 0.4)).toBe('tiny');
    expect(sizeDoubt(null, 0.05, 1)).toBe('tiny');
  });
  test('is not a long row, a flat pile or a small bin', () => {
    expect(of(40, 3, 1.5)).toBeNull();
    expect(of(3, 2, 0.6)).toBeNull();
    expect(of(0.7, 0.7, 0.7)).toBeNull();
  });
});
