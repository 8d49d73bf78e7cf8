import fc from 'fast-check';
import loadHighs from 'highs';
import { anyMix, plain } from '../../../tests/support/mix';
import { solveLinear } from '../../workers/solver';
import { mixOf, type Figure } from './mix';
import { additionsTo } from './additions';
import { inSteps } from './in-steps';
import {
  PACKING_FACTOR,
  type Linear,
  type Offer,
  type SolveLinear,
  type Target,
} from './programme';
import { solveMix, unsolvable } from './solve';

const TARGET: Target = {
  cn: [25, 30],
  moisturePct: [50, 60],
  densityMost: 720,
  litres: 1000,
  keep: false,
};
const value = (f: Figure): number => (f.ok ? f.est.value : NaN);
const offer = (stuff: Offer['stuff'], mostKg: number | null, more: Partial<Offer> = {}): Offer => ({
  stuff,
  nowKg: 0,
  fixed: false,
  leastKg: 0,
  mostKg,
  ...more,
});
const litter = plain({ name: 'litter', kg: 1, wet: 37, n: 2.7, c: 38, density: 500 });
const straw = plain({ name: 'straw', kg: 1, wet: 12, n: 0.7, c: 55, density: 120, role: 'brown' });
const chip = plain({
  name: 'chip',
  kg: 1,
  wet: 40,
  n: 0.2,
  c: 50,
  density: 300,
  role: 'structure',
  particle: 'coarse',
});
const resolved = (offers: readonly Offer[], s: NonNullable<ReturnType<typeof solveMix>>) =>
  mixOf(
    s.amounts
      .filter((a) => a.kg > 0)
      .map((a) => ({
        ...offers.find((o) => o.stuff.key === a.key)!.stuff,
        kg: a.kg,
        litres: a.litres,
        about: false,
      })),
    s.waterL,
  );

test('a mix that can be reached is reached: C:N, moisture, density and volume, within the stock', () => {
  const offers = [offer(litter, 400), offer(straw, 300), offer(chip, 500)];
  const s = solveMix(offers, TARGET, solveLinear)!;
  expect(s).toMatchObject({ reached: true, misses: [], limits: [] });
  const mix = resolved(offers, s);
  expect(value(mix.cn)).toBeGreaterThan(25 - 1e-6);
  expect(value(mix.cn)).toBeLessThan(30 + 1e-6);
  expect(value(mix.moisture)).toBeGreaterThan(50 - 1e-6);
  expect(value(mix.moisture)).toBeLessThan(60 + 1e-6);
  expect(mix.litresLoose!).toBeGreaterThan(1000 - 1e-6);
  for (const a of s.amounts)
    expect(a.kg).toBeLessThanOrEqual(offers.find((o) => o.stuff.key === a.key)!.mostKg! + 1e-6);
});
test('what is fixed stays fixed, and the rest is solved round it', () => {
  const s = solveMix(
    [offer(litter, 900, { nowKg: 200, fixed: true }), offer(straw, null), offer(chip, null)],
    { ...TARGET, litres: null },
    solveLinear,
  )!;
  expect(s.reached).toBe(true);
  expect(s.amounts.find((a) => a.key === 'litter')!.kg).toBeCloseTo(200, 6);
});
test('too little of a brown: the nearest is given, the limit that binds is named, with what it would take', () => {
  const offers = [
    offer(litter, 900, { nowKg: 300, fixed: true }),
    offer(straw, 10),
    offer(chip, 0),
  ];
  const s = solveMix(offers, { ...TARGET, litres: null }, solveLinear)!;
  expect(s).toMatchObject({ reached: false, misses: ['cn'] });
  expect(s.limits.map((l) => l.code)).toContain('STOCK');
  const straws = s.limits.find((l) => l.code === 'STOCK' && l.key === 'straw') as {
    wantsKg: number;
  };
  expect(s.limits.map((l) => l.code)).not.toContain('MOST');
  // With so much of it, it is reached: the sum of carbon and nitrogen says how much that is.
  const again = solveMix(
    [offers[0]!, offer(straw, straws.wantsKg + 1e-6), offers[2]!],
    { ...TARGET, litres: null },
    solveLinear,
  )!;
  expect(again.reached).toBe(true);
});
test.each([
  ['at most so much is allowed', { mostKg: 20, wished: true }, 'MOST'],
  ['at least so much is asked for', { leastKg: 2500, mostKg: null }, 'LEAST'],
  ['fixed at so much', { nowKg: 20, fixed: true, mostKg: null }, 'FIXED'],
] as const)(
  'straw, %s, stands in the way: it is named, and without that end the mix is reached',
  (_what, end, code) => {
    const kept = offer(litter, null, { nowKg: 300, fixed: true });
    const s = solveMix(
      [kept, { ...offer(straw, null), ...end }],
      { ...TARGET, litres: null },
      solveLinear,
    )!;
    expect(s.reached).toBe(false);
    const limit = s.limits.find((l) => l.code === code) as { allowedKg: number; wantsKg: number };
    expect(limit).toMatchObject({ key: 'straw', name: 'straw' });
    expect(Math.sign(limit.wantsKg - limit.allowedKg)).toBe(code === 'LEAST' ? -1 : 1);
    expect(
      solveMix(
        [kept, offer(straw, null, { nowKg: limit.wantsKg, fixed: true })],
        { ...TARGET, litres: null },
        solveLinear,
      )!.reached,
    ).toBe(true);
    // What a heap holds is no limit that anybody could lift.
    expect(
      solveMix(
        [
          { ...kept, inHeap: true },
          { ...offer(straw, null), ...end },
        ],
        { ...TARGET, litres: null },
        solveLinear,
      )!.limits.map((l) => 'key' in l && l.key),
    ).toEqual(['straw']);
  },
);
test('browns alone bring no nitrogen: what is lacking is named', () =>
  expect(
    solveMix([offer(straw, null), offer(chip, null)], TARGET, solveLinear)!.limits,
  ).toContainEqual({ code: 'NOTHING_LIKE', lacks: 'nitrogen' }));
test('of two mixes that do, the cheaper is taken', () => {
  const dear = {
    ...plain({ name: 'dear straw', kg: 1, wet: 12, n: 0.7, c: 55, density: 120, role: 'brown' }),
    price: 2,
  };
  const s = solveMix(
    [
      offer(litter, 200, { nowKg: 200, fixed: true }),
      offer(dear, null),
      offer({ ...straw, price: 0.1 }, null),
    ],
    { ...TARGET, litres: null },
    solveLinear,
  )!;
  expect(s.amounts.find((a) => a.key === 'dear straw')!.kg).toBeLessThan(1e-6);
});
test('a material without figures is told as unsolvable and left out', () =>
  expect(unsolvable([offer({ ...litter, cn: null }, 10), offer(straw, 10)])).toEqual(['litter']));

/** All mixes of whole tenths of two or three things, tried one by one: the best miss there is. */
function bruteMiss(offers: readonly Offer[], t: Target): number {
  const steps = 24;
  let best = Infinity;
  const walk = (i: number, kg: number[]): void => {
    if (i === offers.length) {
      const dry = offers.map((o, j) => kg[j]! * (1 - o.stuff.moisture!.usual / 100));
      const c = offers.reduce((s, o, j) => s + (dry[j]! * o.stuff.carbonPct!) / 100, 0);
      const n = offers.reduce(
        (s, o, j) => s + (dry[j]! * o.stuff.carbonPct!) / 100 / o.stuff.cn!.usual,
        0,
      );
      const litres = offers.reduce((s, o, j) => s + (kg[j]! / o.stuff.density!.usual) * 1000, 0);
      const [mass, wet] = [
        kg.reduce((a, b) => a + b, 0),
        kg.reduce((s, k, j) => s + k - dry[j]!, 0),
      ];
      for (let w = 0; w <= steps; w += 1) {
        const water = (w / steps) * mass * 2;
        const miss =
          4 * (Math.max(0, t.cn[0] * n - c) + Math.max(0, c - t.cn[1] * n)) +
          Math.max(0, (t.moisturePct[0] / 100) * (mass + water) - wet - water) +
          Math.max(0, wet + water - (t.moisturePct[1] / 100) * (mass + water)) +
          0.3 * Math.max(0, mass + water - ((PACKING_FACTOR * t.densityMost) / 1000) * litres) +
          Math.max(0, (t.litres ?? 0) - litres);
        best = Math.min(best, miss);
      }
      return;
    }
    for (let s = 0; s <= steps; s += 1) walk(i + 1, [...kg, (offers[i]!.mostKg! * s) / steps]);
  };
  walk(0, []);
  return best;
}
/** Sum of the misses that a programme's answer pays for. */
const missOf = (p: Linear, values: ReadonlyMap<string, number>): number =>
  p.variables.reduce(
    (s, v) => (v.name.startsWith('miss:') ? s + (v.cost / 1000) * (values.get(v.name) ?? 0) : s),
    0,
  );

test('no mix of tenths, tried one by one, comes nearer than the solver; and it exceeds no stock', () => {
  fc.assert(
    fc.property(anyMix(2), fc.double({ min: 50, max: 600, noNaN: true }), (parts, litres) => {
      const offers = parts.map((p) => offer({ ...p, price: null }, p.kg!));
      const t = { ...TARGET, litres };
      let told: { p: Linear; values: ReadonlyMap<string, number> } | null = null;
      const spy: SolveLinear = (p) => {
        const values = solveLinear(p);
        told ??= values && { p, values };
        return values;
      };
      const s = solveMix(offers, t, spy)!;
      expect(missOf(told!.p, told!.values)).toBeLessThanOrEqual(
        bruteMiss(offers, t) * (1 + 1e-6) + 1e-4,
      );
      for (const a of s.amounts)
        expect(a.kg).toBeLessThanOrEqual(
          offers.find((o) => o.stuff.key === a.key)!.mostKg! * (1 + 1e-7) + 1e-7,
        );
    }),
    { numRuns: 60 },
  );
});

test('another solver (HiGHS) finds the same cost for the same programme', async () => {
  const highs = await loadHighs();
  const text = ({ variables, rows }: Linear): string => {
    const short = new Map(variables.map((v, i) => [v.name, `v${i}`]));
    const of = (row: string): string =>
      variables
        .flatMap((v) =>
          v.in
            .filter(([r]) => r === row)
            .map(([, k]) => `${k < 0 ? '-' : '+'} ${Math.abs(k)} ${short.get(v.name)!}`),
        )
        .join(' ');
    return [
      'Minimize',
      ` obj: ${variables.map((v) => `+ ${v.cost} ${short.get(v.name)!}`).join(' ')}`,
      'Subject To',
      ...rows.flatMap((r, i) =>
        of(r.name) === ''
          ? []
          : [
              ` c${i}: ${of(r.name)} ${r.equal !== undefined ? `= ${r.equal}` : r.max !== undefined ? `<= ${r.max}` : `>= ${r.min ?? 0}`}`,
            ],
      ),
      'Bounds',
      ...variables.flatMap((v) => (v.max === null ? [] : [` ${short.get(v.name)!} <= ${v.max}`])),
      'End',
      '',
    ].join('\n');
  };
  fc.assert(
    fc.property(
      anyMix(8),
      fc.double({ min: 50, max: 3000, noNaN: true }),
      fc.boolean(),
      (parts, litres, keep) => {
        const programmes: Linear[] = [];
        solveMix(
          parts.map((p, i) =>
            offer(p, p.kg! * 3, { nowKg: p.kg!, fixed: i === 0 && parts.length > 1 }),
          ),
          { ...TARGET, litres, keep },
          (p) => {
            programmes.push(p);
            return solveLinear(p);
          },
        );
        const p = programmes[0]!;
        const ours = solveLinear(p)!;
        const theirs = highs.solve(text(p), { output_flag: false });
        expect(theirs.Status).toBe('Optimal');
        const cost = p.variables.reduce((s, v) => s + v.cost * (ours.get(v.name) ?? 0), 0);
        expect(cost).toBeCloseTo(theirs.ObjectiveValue, Math.abs(cost) > 1e4 ? -1 : 2);
      },
    ),
    { numRuns: 40 },
  );
}, 60_000);

describe('what was solved, as it is carried', () => {
  const barrow = (o: Offer, share = 0.5): readonly [string, number] => [
    o.stuff.key,
    share * 0.09 * o.stuff.density!.usual,
  ];
  test('half barrows that reach the target where the nearest half barrows miss it; what they cost', () => {
    const offers = [offer({ ...litter, price: 0.5 }, 400), offer(straw, null), offer(chip, 400)];
    const s = solveMix(offers, TARGET, solveLinear)!;
    expect(s.reached).toBe(true);
    const steps = new Map(offers.map((o) => barrow(o)));
    const near = mixOf(
      s.amounts.map((a) => {
        const kg = Math.round(a.kg / steps.get(a.key)!) * steps.get(a.key)!;
        const o = offers.find((x) => x.stuff.key === a.key)!;
        return { ...o.stuff, kg, litres: (kg / o.stuff.density!.usual) * 1000, about: false };
      }),
      Math.round(s.waterL / 5) * 5,
    );
    expect(
      value(near.cn) >= 25 &&
        value(near.cn) <= 30 &&
        value(near.moisture) >= 50 &&
        near.litresLoose! >= 1000,
    ).toBe(false);
    const carried = inSteps(offers, s, TARGET, steps);
    expect(carried.misses).toEqual([]);
    expect(value(carried.mix.cn)).toBeGreaterThan(25 - 1e-6);
    expect(value(carried.mix.cn)).toBeLessThan(30 + 1e-6);
    expect(carried.cost).toBeCloseTo(0.5 * carried.amounts.get('litter')!, 9);
  });
  test('whole steps, within every limit, what is fixed untouched; never further from the target than the nearest steps', () => {
    const miss = (mix: ReturnType<typeof mixOf>, t: Target): number =>
      Math.max(0, t.cn[0] - value(mix.cn), value(mix.cn) - t.cn[1]) +
      Math.max(0, t.moisturePct[0] - value(mix.moisture), value(mix.moisture) - t.moisturePct[1]) +
      Math.max(0, value(mix.density) - t.densityMost) / 20 +
      Math.max(0, t.litres! - mix.litresLoose!) / (0.05 * t.litres!);
    fc.assert(
      fc.property(
        anyMix(5),
        fc.double({ min: 200, max: 3000, noNaN: true }),
        fc.boolean(),
        (parts, litres, fix) => {
          const offers = parts.map((p, i) =>
            offer(p, p.kg! * 2, {
              nowKg: p.kg!,
              fixed: fix && i === 0,
              leastKg: i === 1 ? p.kg! / 2 : 0,
            }),
          );
          const t = { ...TARGET, litres };
          const s = solveMix(offers, t, solveLinear)!;
          const steps = new Map(offers.map((o) => barrow(o)));
          const { amounts, waterL, mix } = inSteps(offers, s, t, steps);
          for (const o of offers) {
            const [kg, step] = [amounts.get(o.stuff.key)!, steps.get(o.stuff.key)!];
            if (o.fixed) {
              expect(kg).toBe(o.nowKg);
              continue;
            }
            expect(Math.abs(kg / step - Math.round(kg / step))).toBeLessThan(1e-6);
            expect(kg).toBeLessThanOrEqual(o.mostKg! * (1 + 1e-6));
            // Where no whole step lies between the ends, the upper one holds: the store has no more.
            if (Math.ceil(o.leastKg / step) * step <= o.mostKg!)
              expect(kg).toBeGreaterThanOrEqual(o.leastKg * (1 - 1e-6));
          }
          expect(waterL % 5).toBe(0);
          const clamp = (o: Offer, kg: number): number => {
            const step = steps.get(o.stuff.key)!;
            return o.fixed
              ? o.nowKg
              : Math.min(
                  Math.floor(o.mostKg! / step + 1e-6),
                  Math.max(Math.ceil(o.leastKg / step - 1e-6), Math.round(kg / step)),
                ) * step;
          };
          const near = mixOf(
            offers.map((o) => {
              const kg = clamp(o, s.amounts.find((a) => a.key === o.stuff.key)!.kg);
              return { ...o.stuff, kg, litres: (kg / o.stuff.density!.usual) * 1000, about: false };
            }),
            Math.round(s.waterL / 5) * 5,
          );
          if (near.cn.ok && near.moisture.ok)
            expect(miss(mix, t)).toBeLessThanOrEqual(miss(near, t) + 1e-6);
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('what to add now', () => {
  const heap = [plain({ name: 'litter', kg: 300, wet: 37, n: 2.7, c: 38, density: 500 })];
  test('whole measures of the stock, that make it better, never more than there is; the best first', () => {
    const found = additionsTo(heap, 0, [
      { stuff: straw, litresEach: 90, hasLitres: 1800 },
      { stuff: chip, litresEach: 90, hasLitres: 180 },
    ]);
    expect(found.length).toBeGreaterThan(0);
    for (const a of found) {
      expect(Number.isInteger(a.n)).toBe(true);
      expect(a.litres).toBeLessThanOrEqual(a.key === 'chip' ? 180 : 1800);
      expect(value(a.after.cn)).toBeGreaterThan(value(a.before.cn));
    }
    expect(found.map((a) => a.miss)).toEqual(
      [...found.map((a) => a.miss)].sort((a, b) => Math.round((a - b) * 10)),
    );
  });
  test('nothing where nothing helps, and nothing where the mix is not known', () => {
    expect(
      additionsTo(heap, 0, [{ stuff: litter, litresEach: 90, hasLitres: null }]).every(
        (a) => a.miss < 10,
      ),
    ).toBe(true);
    expect(
      additionsTo([{ ...heap[0]!, kg: null, litres: null }], 0, [
        { stuff: straw, litresEach: 90, hasLitres: null },
      ]),
    ).toEqual([]);
  });
});
