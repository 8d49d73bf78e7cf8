import simpson from 'integrate-adaptive-simpson';
import fc from 'fast-check';
import {
  doseAlong,
  doseFinding,
  dosesOf,
  HARD_SEED_LINE,
  heldGaps,
  hoursAt,
  PATHOGEN_LINE,
  pathogenDays,
  type DeathLine,
} from '@/core/evidence/doses';
import {
  hotShare,
  hotShareOf,
  isTooWide,
  mostTellingDepth,
  profileOf,
  temperatureAt,
  type Profile,
  type ShareRange,
  type Surface,
} from '@/core/evidence/hot-share';
import { logsOfStages, neverHot, overShare, survivors } from '@/core/evidence/mixing';
import { drySpans } from '@/core/evidence/moisture';
import { SPECIES } from '@/core/evidence/species';
import type { BatchEvent, Evidence } from '@/core/evidence/types';
import { assessRule, prepare } from '@/core/evidence/verdict';
import { add, at, evidence, flat, H, holdRule, round, steady, turn } from '../support/evidence';

/** D(T) of 40 CFR 503.32(a)(3)(ii)(A), 7 % solids or more, worked by hand from 131 700 000 / 10^(0.1400·T); equation from memory. */
test.each([
  [50, 13.17],
  [55, 2.628],
  [60, 0.5243],
  [65, 0.1046],
  [70, 0.02087],
])('D(%i °C) is %f days', (celsius, days) => {
  expect(pathogenDays(celsius) / days).toBeCloseTo(1, 3);
  expect(hoursAt(PATHOGEN_LINE, celsius) / 24 / pathogenDays(celsius)).toBeCloseTo(1, 10);
});
test('the same in clock time: 12.58 h at 60 °C, 30.06 min at 70 °C', () => {
  expect(pathogenDays(60) * 24).toBeCloseTo(12.58, 2);
  expect(pathogenDays(70) * 24 * 60).toBeCloseTo(30.06, 1); // 30.05 unrounded
});
test('beside the safety zone of Feachem and others (World Bank, 1983; from memory): 62 °C for an hour, 50 °C for a day', () => {
  // Another curve for other organisms: the published equation asks for more at both ends, never for less.
  expect(hoursAt(PATHOGEN_LINE, 62)).toBeGreaterThan(1);
  expect(hoursAt(PATHOGEN_LINE, 50)).toBeGreaterThan(24);
});
test('the hard seed of common practice: 54.4 °C for a week, 60 °C for 3 hours, nothing below 46 °C, no more than at 65 °C', () => {
  expect(hoursAt(HARD_SEED_LINE, 54.4)).toBeCloseTo(168, 9);
  expect(hoursAt(HARD_SEED_LINE, 60)).toBeCloseTo(3, 9);
  expect(hoursAt(HARD_SEED_LINE, 45.9)).toBe(Infinity);
  expect(hoursAt(HARD_SEED_LINE, 80)).toBe(hoursAt(HARD_SEED_LINE, 65));
});
test('every species names its source, wants moisture, and dies sooner where it is hotter', () => {
  for (const s of SPECIES) {
    expect([s.id, s.line.moistOnly, /from memory|common practice/.test(s.source)]).toEqual([
      s.id,
      true,
      true,
    ]);
    expect(hoursAt(s.line, 62)).toBeLessThan(hoursAt(s.line, 50));
  }
});

const dose = (e: Evidence, line: DeathLine, asOf = at(400)): number =>
  doseAlong(prepare(e, asOf), line, 'germs');

test('a day at 55 °C earns 1/2.628 of a dose', () =>
  expect(dose(evidence(steady(0, 24, 12, 55)), PATHOGEN_LINE)).toBeCloseTo(1 / 2.628, 3));
test('a gap too long, a cold round and a restart earn nothing', () => {
  expect(dose(evidence([...flat(0, 60), ...flat(37, 60)]), PATHOGEN_LINE)).toBe(0);
  expect(dose(evidence([...flat(0, 60), ...flat(10, 40), ...flat(20, 60)]), PATHOGEN_LINE)).toBe(0);
  expect(dose(evidence(steady(0, 24, 12, 60), [add(30, true)]), PATHOGEN_LINE)).toBe(0);
});

test('closed form = adaptive Simpson quadrature (integrate-adaptive-simpson), over random heaps and lines', () => {
  const heap = fc.array(
    fc.record({
      gap: fc.integer({ min: 1, max: 40 }),
      c: fc.integer({ min: 440, max: 780 }).map((x) => x / 10),
    }),
    { minLength: 2, maxLength: 12 },
  );
  fc.assert(
    fc.property(
      heap,
      fc.constantFrom(PATHOGEN_LINE, ...SPECIES.map((s) => s.line)),
      fc.array(fc.record({ hour: fc.integer({ min: 0, max: 200 }), dry: fc.boolean() }), {
        maxLength: 3,
      }),
      (rounds, line, moisture) => {
        let hour = 0;
        const readings = rounds.flatMap(({ gap, c }) => flat((hour += gap), c));
        const events = moisture.map(({ hour: h, dry }, i): BatchEvent => ({
          id: `m${i}`,
          at: at(h),
          type: 'moisture',
          state: dry ? 'dry' : 'moist',
        }));
        const prepared = prepare(evidence(readings, events), at(500));
        const dry = line.moistOnly ? drySpans(prepared.evidence.events, prepared.asOf) : [];
        const numeric = heldGaps(prepared, 'germs', line.minC).reduce((sum, g) => {
          const value = (t: number): number =>
            g.fromC + ((g.toC - g.fromC) * (t - g.from)) / (g.to - g.from);
          // Quadrature wants smooth pieces: cut where the dryness changes and where the line is capped.
          const kink =
            line.maxC === undefined || g.toC === g.fromC
              ? []
              : [g.from + ((line.maxC - g.fromC) / (g.toC - g.fromC)) * (g.to - g.from)];
          const cuts = [g.from, ...dry.flatMap((d) => [d.from, d.to]), ...kink, g.to]
            .filter((t) => t >= g.from && t <= g.to)
            .sort((a, b) => a - b);
          return (
            sum +
            cuts.slice(1).reduce((part, to, i) => {
              const from = cuts[i]!;
              if (
                from >= to ||
                dry.some((d) => d.from <= (from + to) / 2 && (from + to) / 2 < d.to)
              )
                return part;
              return (
                part +
                simpson(
                  (x: number) => 1 / hoursAt(line, Math.max(line.minC, value(from + x * H))),
                  0,
                  (to - from) / H,
                  1e-8,
                  10,
                )
              );
            }, 0)
          );
        }, 0);
        const closed = doseAlong(prepared, line, 'germs');
        expect(Math.abs(closed - numeric)).toBeLessThanOrEqual(1e-5 * Math.max(1, numeric));
      },
    ),
    { numRuns: 150, seed: 17 },
  );
});

test('dryness withdraws seed credit until the next state that is not dry, from whatever segment', () => {
  const hours = (events: BatchEvent[]): number =>
    dose(evidence(steady(0, 30, 10, 60), events), HARD_SEED_LINE) * 3;
  const state = (h: number, s: 'dry' | 'moist' | 'wet'): BatchEvent => ({
    id: `${h}${s}`,
    at: at(h),
    type: 'moisture',
    state: s,
  });
  expect(hours([])).toBeCloseTo(30, 6);
  expect(hours([state(5, 'dry')])).toBeCloseTo(5, 6);
  expect(hours([state(5, 'dry'), state(12, 'wet')])).toBeCloseTo(23, 6);
  expect(hours([state(-400, 'dry')])).toBe(0);
  expect(dose(evidence(steady(0, 30, 10, 60), [state(5, 'dry')]), PATHOGEN_LINE)).toBeCloseTo(
    30 / (pathogenDays(60) * 24),
    6,
  ); // germs do not ask
});

test('germs and seeds have a clock each: late hay takes the seed dose away and leaves that of germs', () => {
  const d = dosesOf(prepare(evidence(steady(0, 48, 12, 60), [add(48, false, true)]), at(48)));
  expect(d.pathogen).toBeGreaterThan(3);
  expect(d.weedSeed).toBe(0);
});

describe('hot share', () => {
  const POINTS = [
    { id: 'a', depthM: 0.3 },
    { id: 'b', depthM: 0.6 },
    { id: 'c', depthM: 1 },
  ];
  const heap = (values: number[], more: Partial<Evidence> = {}): Evidence =>
    evidence(
      round(5, ...values),
      [],
      {},
      {
        points: POINTS,
        ambient: [{ at: at(4), value: 10, unit: 'C' }],
        shape: 'windrow',
        coreDepthM: 1,
        ...more,
      },
    );
  const of = (e: Evidence): ShareRange | null => hotShare(prepare(e, at(9)));
  const expectRange = (found: ShareRange | null, low: number, high: number): void => {
    expect(found![0]).toBeCloseTo(low, 12);
    expect(found![1]).toBeCloseTo(high, 12);
  };

  test('worked by hand: 55 °C lies half way between 0.3 and 0.6 m, so (1 − 0.45)² of a windrow is hot, and cubed of a cone', () => {
    expectRange(of(heap([45, 65, 65])), 0.55 ** 2, 0.55 ** 2);
    expectRange(of(heap([45, 65, 65], { shape: 'cone' })), 0.55 ** 3, 0.55 ** 3);
  });
  test('worked by hand: hot from 0.3 m inwards; above it 55 °C lies at 9/11 of 0.3 m if it falls to 10 °C air, or at the surface', () => {
    expectRange(of(heap([65, 65, 65])), (1 - (45 / 55) * 0.3) ** 2, 1);
  });
  test('one depth is enough for the two bounds, and the air may be warmer than the heap', () => {
    const one = POINTS.map((p) => ({ id: p.id, depthM: 0.5 }));
    expectRange(of(heap([65, 66, 67], { points: one })), (1 - (45 / 55) * 0.5) ** 2, 1);
    expectRange(
      of(heap([45, 46, 47], { points: one, ambient: [{ at: at(4), value: 65, unit: 'C' }] })),
      0,
      1 - 0.75 ** 2,
    );
  });
  test('the coldest value of a depth counts, a depth beyond the core is the core; the guard band is for verdicts', () => {
    expectRange(
      of(heap([45, 65, 45], { points: [POINTS[0]!, POINTS[1]!, { id: 'c', depthM: 0.6 }] })),
      0,
      0,
    );
    expectRange(
      of(
        heap([45, 65, 65], {
          points: [POINTS[0]!, { id: 'b', depthM: 0.5 }, { id: 'c', depthM: 0.5 }],
        }),
      ),
      0.6 ** 2,
      0.6 ** 2,
    );
    expectRange(
      of(
        heap([45, 65, 50], {
          points: [POINTS[0]!, { id: 'b', depthM: 1 }, { id: 'c', depthM: 1.4 }],
        }),
      ),
      0,
      0,
    );
    const banded = heap([45, 65, 65]);
    expect(of({ ...banded, policy: { ...banded.policy, guardBandC: 10 } })).toEqual(of(banded));
  });
  test('not known without air, shape, core depth, a full round, or any depth', () => {
    for (const without of [
      { ambient: [] },
      { shape: undefined },
      { coreDepthM: undefined },
      { ambient: [{ at: at(10), value: 9, unit: 'C' as const }] },
      { points: POINTS.map((p) => ({ id: p.id })) },
    ])
      expect(of(heap([60, 60, 60], without))).toBeNull();
    expect(of(heap([60, 60]))).toBeNull();
  });
  test('read at one depth of 60 cm and hot there, the share cannot tell; one more place in the middle of the unread volume can settle it', () => {
    const deep = heap([65, 65, 65], { points: POINTS.map((p) => ({ id: p.id, depthM: 0.6 })) });
    const profile = profileOf(prepare(deep, at(9)))!;
    expect(isTooWide(hotShareOf(profile))).toBe(true);
    const lambda = mostTellingDepth(profile);
    expect((1 - lambda) ** 2).toBeCloseTo((1 + 0.4 ** 2) / 2, 12);
    const readThere = (c: number): ShareRange =>
      hotShareOf({ ...profile, depths: [{ lambda, c }, ...profile.depths] });
    for (const c of [20, 45, 54, 56, 65]) expect(isTooWide(readThere(c))).toBe(false);
  });
  test('against Monte Carlo: points thrown into a cube and into the cross-section of a long triangle, under both surfaces', () => {
    let seed = 12345;
    const random = (): number => {
      seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
      return seed / 2 ** 32;
    };
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 75 }), { minLength: 3, maxLength: 3 }),
        fc.constantFrom('windrow', 'cube'),
        (values, shape) => {
          const profile = profileOf(prepare(heap(values, { shape }), at(9)))!;
          const n = 20_000;
          const thrown = (surface: Surface): number => {
            let hot = 0;
            for (let i = 0; i < n; i += 1) {
              // Depth to the nearest side over its greatest: in a cube all six sides, across a square row all four.
              const sides = Array.from(
                { length: shape === 'cube' ? 3 : 2 },
                () => 1 - Math.abs(2 * random() - 1),
              );
              if (temperatureAt(profile, Math.min(...sides), surface) >= 55) hot += 1;
            }
            return hot / n;
          };
          const [low, high] = hotShareOf(profile);
          const bounds = [thrown('low'), thrown('high')].sort((a, b) => a - b);
          expect(Math.abs(low - bounds[0]!)).toBeLessThan(4 * Math.sqrt(0.25 / n));
          expect(Math.abs(high - bounds[1]!)).toBeLessThan(4 * Math.sqrt(0.25 / n));
        },
      ),
      { numRuns: 25, seed: 2 },
    );
  });
  test('between 0 and 1, the lesser first, and never less when it is warmer', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 75 }), { minLength: 3, maxLength: 3 }),
        (values) => {
          const share = (up: number): ShareRange => of(heap(values.map((v) => v + up)))!;
          const [before, after] = [share(0), share(3)];
          for (const i of [0, 1] as const)
            expect(after[i]).toBeGreaterThanOrEqual(before[i] - 1e-12);
          expect(before[0]).toBeGreaterThanOrEqual(0);
          expect(before[1]).toBeGreaterThanOrEqual(before[0]);
          expect(share(60)[1]).toBeLessThanOrEqual(1);
        },
      ),
      { seed: 4 },
    ));
  test('a value held exactly at the floor is hot, to the surface where the air is', () => {
    const profile: Profile = {
      at: 0,
      airC: 55,
      k: 2,
      depths: [
        { lambda: 0.5, c: 55 },
        { lambda: 0.9, c: 55 },
      ],
    };
    expect(hotShareOf(profile)).toEqual([1, 1]);
  });
  test('what is derived from a range is a range, the lesser first', () => {
    expect(overShare([0.2, 0.5], (s) => neverHot(s, 1))).toEqual([0.25, (1 - 0.2) ** 2]);
  });
});

describe('a dose of nothing', () => {
  const found = (readings: Evidence['readings'], events: readonly BatchEvent[] = []) =>
    doseFinding(prepare(evidence(readings, events), at(60)), PATHOGEN_LINE, 'germs').code;
  test('is none where every full check was cool', () =>
    expect(found(steady(0, 48, 12, 40))).toBe('none'));
  test('is not known where nobody read, a hot check stands alone or is thin, or the clock has just started over', () => {
    expect(found([])).toBe('unknown');
    expect(found(flat(5, 66))).toBe('unknown');
    expect(found([...round(0, 66, 66), ...round(20, 66, 66)])).toBe('unknown');
    expect(found(steady(0, 48, 12, 66), [add(50, true)])).toBe('unknown');
  });
});

describe('mixing', () => {
  test('a third hot, two random turnings: 30 % never hot; the same from many simulated crumbs', () => {
    expect(neverHot(1 / 3, 2)).toBeCloseTo(8 / 27, 12);
    let seed = 99;
    const random = (): number => {
      seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
      return seed / 2 ** 32;
    };
    const n = 50_000;
    const never = Array.from({ length: n }).filter(() =>
      [0, 1, 2].every(() => random() >= 1 / 3),
    ).length;
    expect(Math.abs(never / n - neverHot(1 / 3, 2))).toBeLessThan(0.01);
  });
  test('with stages alike it is the published power; without a dose all survive, with a great one only what was never hot', () => {
    expect(survivors(0.4, [2, 2, 2])).toBeCloseTo((0.6 + 0.4 * 0.01) ** 3, 12);
    expect(survivors(0.4, [0, 0])).toBe(1);
    expect(survivors(0.4, [90, 90])).toBeCloseTo(neverHot(0.4, 1), 12);
  });
  test('stages lie between the counted turnings of the leading rule and add up to the whole', () => {
    const e = evidence(steady(0, 96, 12, 60), [turn(30), turn(66)]);
    const prepared = prepare(e, at(96));
    const stages = logsOfStages(
      prepared,
      assessRule(prepared, holdRule({ hours: 400 })),
      PATHOGEN_LINE,
      'germs',
    );
    expect(stages).toHaveLength(3);
    expect(stages.reduce((a, b) => a + b, 0)).toBeCloseTo(3 * dosesOf(prepared).pathogen, 9);
    expect(stages[0]! / stages[1]!).toBeCloseTo(30 / 36, 9);
  });
});
