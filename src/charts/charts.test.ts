import fc from 'fast-check';
import { ember, emberOn } from './ember';
import { bandPath, crestOf, foldPath, moundLayersOf, leanOf, profile, sizeOf, uAt } from './mound';
import { pathOf, piecesOf, rowsFor, scalesOf } from './heat-geometry';

/** Relative luminance and contrast by the published formulas of WCAG 2.2. */
const linear = (c: number): number =>
  c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4;
const luminance = (hex: string): number =>
  [0.2126, 0.7152, 0.0722].reduce(
    (sum, w, i) => sum + w * linear(parseInt(hex.slice(1 + i * 2, 3 + i * 2), 16)),
    0,
  );
const contrast = (a: string, b: string): number => {
  const [x, y] = [luminance(a), luminance(b)];
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
};

describe('the ember scale', () => {
  test('stands at its stops, clamped at both ends', () => {
    expect(
      [emberOn('sun', 55), emberOn('sun', -5), emberOn('sun', 99), emberOn('shed', 70)].map((c) =>
        c.toUpperCase(),
      ),
    ).toEqual(['#E09A2C', '#DCE4E0', '#2A0D18', '#FFCB6B']);
    expect(ember(55)).toBe('light-dark(#e09a2c, #b9701a)');
  });
  test('lightness alone carries the order from 25 °C: darker in the sun, brighter in the shed', () => {
    for (let c = 26; c <= 77; c += 1) {
      expect(luminance(emberOn('sun', c))).toBeLessThan(luminance(emberOn('sun', c - 1)) + 1e-9);
      expect(luminance(emberOn('shed', c))).toBeGreaterThan(
        luminance(emberOn('shed', c - 1)) - 1e-9,
      );
    }
  });
  test('text on it reads as the design says (contrast of 4.5)', () => {
    expect(contrast(emberOn('sun', 55), '#1A1912')).toBeGreaterThan(7);
    expect(contrast(emberOn('sun', 65), '#FCFCF7')).toBeGreaterThan(5);
    expect(contrast(emberOn('shed', 70), '#16140E')).toBeGreaterThan(12);
  });
});

/** Corners of a path that begins at a place and goes on in steps, read by the grammar of SVG paths. */
function cornersOf(path: string): [number, number][] {
  const numbers = [...path.matchAll(/-?\d*\.?\d+/g)].map(Number);
  let [x, y] = [0, 0];
  return Array.from({ length: numbers.length / 2 }, (_, i) => {
    x += numbers[2 * i]!;
    y += numbers[2 * i + 1]!;
    return [x, y];
  });
}

describe('the mound', () => {
  test('its profile stands on its toes and reaches one at the crest', () => {
    for (const lean of [-0.06, 0, 0.05]) {
      expect([profile(-1, lean), profile(1, lean)]).toEqual([0, 0]);
      const crest = crestOf({ x0: 0, w: 200, base: 100, h: 80, lean });
      expect(crest.y).toBeCloseTo(20, 1);
    }
  });
  test('a fraction of its area lies to the left of uAt, by numeric integration', () => {
    for (const fraction of [0.1, 0.5, 0.9]) {
      const [u, n] = [uAt(fraction, 0.04), 20_000];
      let [left, all] = [0, 0];
      for (let i = 0; i < n; i += 1) {
        const x = -1 + (2 * (i + 0.5)) / n;
        all += profile(x, 0.04);
        if (x < u) left += profile(x, 0.04);
      }
      expect(left / all).toBeCloseTo(fraction, 1);
    }
    expect([uAt(0, 0), uAt(1, 0)]).toEqual([-1, 1]);
  });
  test('a band is a closed path', () =>
    expect(bandPath({ x0: 0, w: 100, base: 50, h: 40, lean: 0 }, 0.2, 0.6)).toMatch(
      /^M[\d. -]+l[\d. -]+Z$/,
    ));
  test('the line of a fold ends on the other edge, whatever its steps were rounded to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.double({ min: -0.06, max: 0.06, noNaN: true }),
        (w, lean) => {
          const path = foldPath({ x0: 3, w, base: 90, h: w / 2, lean }, 0.8);
          const [x, y] = cornersOf(path).at(-1)!;
          expect(x).toBeCloseTo(3 + w, 0);
          expect(y).toBeCloseTo(90, 0);
        },
      ),
    );
  });
  test('a heap leans always the same way, a little', () => {
    fc.assert(
      fc.property(fc.uuid(), (id) => {
        expect(leanOf(id)).toBe(leanOf(id));
        expect(Math.abs(leanOf(id))).toBeLessThanOrEqual(0.06);
      }),
    );
  });
  test('size follows volume and never falls under half the width', () => {
    expect(sizeOf(7, 7, 138, 92)).toEqual({ w: 138, h: 92 });
    expect(sizeOf(0.1, 7, 138, 92).w).toBe(69);
  });
  test('height is credited time; a young stratum still shows', () => {
    const { layers, owed } = moundLayersOf(
      [
        { hours: 180, meanC: 60, uncredited: 0 },
        { hours: 1, meanC: 58, uncredited: 0 },
      ],
      360,
      5,
      0,
      false,
      false,
    );
    expect(layers[0]!.to).toBeCloseTo(0.5, 9);
    expect(layers[1]!.to - layers[1]!.from).toBeCloseTo(0.045, 9);
    expect(owed).toHaveLength(4);
  });
  test('time full but turnings owed is pressed into nine tenths; proven is full to the crest and owes nothing', () => {
    expect(
      moundLayersOf([{ hours: 400, meanC: 60, uncredited: 0 }], 360, 5, 0, false, false).filledTo,
    ).toBeCloseTo(0.9, 9);
    const proven = moundLayersOf(
      [200, 160].map((hours) => ({ hours, meanC: 60, uncredited: 0 })),
      360,
      5,
      0,
      false,
      true,
    );
    expect(proven.filledTo).toBeCloseTo(1, 9);
    expect(proven.owed).toEqual([]);
  });
  test('a lost run lies hatched at the bottom, three tenths at the most', () => {
    expect(moundLayersOf([], 360, 5, 120, false, false).lostTo).toBeCloseTo(0.25, 9);
    expect(moundLayersOf([], 360, 5, 350, false, false).lostTo).toBe(0.3);
    expect(
      moundLayersOf([{ hours: 5, meanC: 60, uncredited: 0 }], 360, 5, 120, false, false).lostTo,
    ).toBe(0);
  });
  test('whatever is laid in, nothing stands above the crest', () => {
    const stratum = fc.record({
      hours: fc.integer({ min: 0, max: 500 }),
      meanC: fc.integer({ min: 20, max: 75 }),
      uncredited: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(stratum, { maxLength: 8 }),
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: 0, max: 400 }),
        fc.boolean(),
        fc.boolean(),
        (strata, turns, lost, recovering, proven) => {
          const { layers, filledTo, owed, lostTo } = moundLayersOf(
            strata,
            360,
            turns,
            lost,
            recovering,
            proven,
          );
          for (const k of [lostTo, filledTo, ...owed, ...layers.flatMap((l) => [l.from, l.to])]) {
            expect(k).toBeGreaterThanOrEqual(0);
            expect(k).toBeLessThanOrEqual(1 + 1e-9);
          }
          layers.forEach((l, i) => expect(l.from).toBe(i === 0 ? lostTo : layers[i - 1]!.to));
        },
      ),
      { seed: 3 },
    );
  });
});

describe('the heat chart', () => {
  const box = { left: 50, right: 850, top: 30, bottom: 250 };
  test('never a line over a gap longer than a rule would credit', () => {
    const H = 3_600_000;
    expect(
      piecesOf(
        [0, 12, 48, 85].map((h) => ({ at: h * H })),
        36 * H,
      ).map((p) => p.length),
    ).toEqual([3, 1]);
    expect(piecesOf([], 1)).toEqual([]);
  });
  test('the axis holds every reading and places it where it belongs', () => {
    const scales = scalesOf(0, 1000, [95, -3, 60], box);
    expect(scales.y.domain()).toEqual([-3, 95]);
    expect(
      pathOf(scales, [
        { at: 0, c: -3 },
        { at: 1000, c: 95 },
      ]),
    ).toBe('M50,250L850,30');
    expect(scalesOf(0, 1, [], box).y.domain()).toEqual([5, 80]);
  });
  test('labels do not run into each other', () => {
    expect(
      rowsFor(
        [
          { x: 0, width: 50 },
          { x: 40, width: 50 },
          { x: 45, width: 10 },
          { x: 60, width: 5 },
        ],
        2,
      ),
    ).toEqual([0, 1, -1, 0]);
  });
});
