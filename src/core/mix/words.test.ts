import { asSpeaker } from '../../../tests/support/speech';
import fc from 'fast-check';
import { anyMix, plain } from '../../../tests/support/mix';
import { amountText, kgText, litresText, measureText } from '../words/amount';
import { mixOf } from './mix';
import { compareApproaches } from './approaches';
import { windowPositionOf, WINDOWS, WINDOW_IDS } from './window';
import { listText } from '../quantity/format';
import { limitText, mixSays, schoolSays, solvedSays, windowInShort, windowSays } from './words';

const of = (cn: number, wet: number, density: number) =>
  mixOf([plain({ name: 'mix', kg: 1000, wet, n: 50 / cn, c: 50, density })]);

describe('what is said of a mix', () => {
  test.each([
    [27, 55, 450, /^A good mix\. If the pile is big enough, it should be hot within three days\.$/],
    [15, 55, 450, /^It would heat up but smell of ammonia: too little carbon for its nitrogen\.$/],
    [23, 55, 450, /^A little high in nitrogen: some of it will leave as ammonia\.$/],
    [60, 55, 450, /^It would hardly heat: too little nitrogen/],
    [27, 72, 450, /^Carbon and nitrogen are balanced, but it is too wet and would go sour\.$/],
    [15, 30, 450, /smell of ammonia.*\. It is too dry to work\.$/],
    [27, 55, 720, /too dense for air\.$/],
    [27, 55, 150, /so loose that it would not hold its heat\.$/],
  ])('C:N %i, %i %% moist, %i kg/m³', (cn, wet, density, says) =>
    expect(mixSays(of(cn, wet, density))).toMatch(says),
  );
  test('no sentence ever holds a figure that is none, and each ends as one', () => {
    fc.assert(
      fc.property(anyMix(6), (parts) => {
        const mix = mixOf(parts);
        for (const text of [
          mixSays(mix),
          ...WINDOW_IDS.map((id) => windowSays(id, mix)),
          ...compareApproaches(parts, mix).map(
            (s) => `${schoolSays(s, { name: 'barrow', litres: 90 })}.`,
          ),
        ]) {
          expect(text).not.toMatch(/NaN|Infinity|undefined|null/);
          expect(text).toMatch(/[.]$/);
        }
      }),
    );
  });
  test('what stands in the way is named, and nothing is made up', () => {
    const mix = mixOf([
      { ...plain({ name: 'some manure', kg: 1, wet: 70, n: 2, c: 40 }), kg: null, litres: null },
    ]);
    expect(mixSays(mix)).toBe(
      'Cannot be worked out: some manure is not known well enough. No figure is made up: count the buckets, test a load, or leave it out.',
    );
    expect(windowSays('cn', mix)).toBe('Cannot be worked out: some manure.');
    expect(windowInShort('cn', mix)).toBe('not known');
  });
  test('in short it stands with its unit and in which direction it is off; an empty bench says what is wanted', () => {
    expect([
      windowInShort('cn', of(22.2, 55, 450)),
      windowInShort('moisture', of(27, 55, 450)),
      windowInShort('density', of(27, 55, 720)),
    ]).toEqual(['22.2 low', '55 % ✓', '720 kg/m³ too high']);
    expect(windowSays('moisture', mixOf([]))).toBe('Best 50 to 60; 40 to 65 still works.');
  });
});

test('each window knows below, within and above; its bounds belong to it', () => {
  for (const w of Object.values(WINDOWS)) {
    expect(
      [w.reasonable[0], w.preferred[0], w.preferred[1], w.reasonable[1]].map((v) =>
        windowPositionOf(w, v),
      ),
    ).toEqual([
      w.reasonable[0] < w.preferred[0] ? 'low' : 'preferred',
      'preferred',
      'preferred',
      w.reasonable[1] > w.preferred[1] ? 'high' : 'preferred',
    ]);
    expect(windowPositionOf(w, w.reasonable[0] - 0.001)).toBe('too-low');
    expect(windowPositionOf(w, w.reasonable[1] + 0.001)).toBe('too-high');
  }
});

test('what limits a solve is told with what there is and what it would take', () => {
  const straw = { key: 'x', name: 'Straw' };
  expect(limitText({ code: 'STOCK', ...straw, allowedKg: 10, wantsKg: 1400 }, 8)).toBe(
    'Straw: there is 10 kg, 80 L, and it would take 1.4 t, 11 m³',
  );
  expect(limitText({ code: 'STOCK', ...straw, allowedKg: 0, wantsKg: 40 }, null)).toBe(
    'Straw: there is none, and it would take 40 kg',
  );
  expect(limitText({ code: 'MOST', ...straw, allowedKg: 10, wantsKg: 40 }, null)).toBe(
    'Straw: at most 10 kg was allowed, and it would take 40 kg',
  );
  expect(limitText({ code: 'LEAST', ...straw, allowedKg: 40, wantsKg: 0 }, null)).toBe(
    'Straw: at least 40 kg was asked for, and it would take none',
  );
  const fixed = { code: 'FIXED', ...straw, allowedKg: 40, wantsKg: 200 } as const;
  expect(asSpeaker({ system: 'us' }, () => limitText(fixed, 8))).toBe(
    'Straw: fixed at 88 lb, 85 gal, and it would take 441 lb, 2.1 yd³',
  );
  expect(limitText({ code: 'NOTHING_LIKE', lacks: 'structure' }, null)).toMatch(
    /add structure, such as wood chips/,
  );
  expect(
    solvedSays(
      { reached: false, amounts: [], waterL: 0, misses: ['cn', 'moisture'], limits: [] },
      { misses: ['cn'] },
    ),
  ).toMatch(/comes closest: it misses carbon to nitrogen and moisture content\./);
  const reached = { reached: true, amounts: [], waterL: 0, misses: [], limits: [] };
  expect(solvedSays(reached, { misses: [] })).toBe('This reaches the goal.');
  expect(solvedSays(reached, { misses: ['density'] })).toMatch(
    /In whole measures it just misses bulk density\.$/,
  );
});

test('amounts are said as people carry them', () => {
  expect([
    measureText(1, 'bucket'),
    measureText(2.5, 'barrow'),
    measureText(3, 'pallet box'),
    measureText(0.5, 'scoop'),
  ]).toEqual(['1 bucket', '2.5 barrows', '3 pallet boxes', '0.5 scoops']);
  expect([litresText(8.25), litresText(640), litresText(2500), litresText(13_000)]).toEqual([
    '8.25 L',
    '640 L',
    '2.5 m³',
    '13 m³',
  ]);
  expect(asSpeaker({ system: 'us' }, () => [640, 800, 13_000].map(litresText))).toEqual([
    '169 gal',
    '1.0 yd³',
    '17 yd³',
  ]);
  expect(asSpeaker({ system: 'us' }, () => [0.5, 450, 24_000].map(kgText))).toEqual([
    '1.1 lb',
    '992 lb',
    '26 tons',
  ]);
  expect([kgText(0.5), kgText(999), kgText(1450), kgText(24_000)]).toEqual([
    '0.5 kg',
    '999 kg',
    '1.4 t',
    '24 t',
  ]);
  expect(amountText({ in: 'measure', n: 6, name: 'barrow', about: true })).toBe('about 6 barrows');
  expect(amountText({ in: 'unknown', words: 'a heap at the gate' })).toBe(
    'amount not known (a heap at the gate)',
  );
  expect([listText([]), listText(['a']), listText(['a', 'b', 'c'])]).toEqual([
    '',
    'a',
    'a, b and c',
  ]);
});
