import fc from 'fast-check';
import type { Hold, Requirement } from '@/core/evidence/rule';
import type { BatchEvent, Evidence, Reading } from '@/core/evidence/types';
import { at, DAY0, evidence, H, holdRule, ruleOf, verdictOf } from '../support/evidence';

/** The invariants of section 13 of the contract, on made-up heaps. */

const RUNS = { numRuns: 400, seed: 20260501 };
const SPAN_H = 330;
/** So much asked that nothing is ever proven: credit as if nothing had been. */
const NEVER = 1e7;
const PLACES = ['a', 'b', 'c', 'd'].map((id) => ({ id }));

const roundArb = fc.record({
  hour: fc.integer({ min: 0, max: SPAN_H * 4 }).map((q) => q / 4),
  values: fc.array(fc.integer({ min: 48, max: 72 }), { minLength: 1, maxLength: 4 }),
  minutes: fc.integer({ min: 0, max: 90 }),
});
type Made = { hour: number; values: number[]; minutes: number };
const readingsOf = ({ hour, values, minutes }: Made): Reading[] =>
  values.map((value, i) => ({
    id: `${hour}-${i}`,
    at: at(hour) - (i === 0 ? minutes * 60_000 : 0),
    point: PLACES[i]!.id,
    value,
    unit: 'C',
    round: `r${hour}`,
  }));

const eventArb: fc.Arbitrary<BatchEvent> = fc
  .record({
    hour: fc.integer({ min: 1, max: SPAN_H * 4 }).map((q) => q / 4),
    n: fc.integer({ min: 0, max: 19 }),
    id: fc.uuid(),
  })
  .map(({ hour, n, id }): BatchEvent =>
    n < 13
      ? { id, at: at(hour), type: 'turn', full: n > 1 }
      : n < 14
        ? { id, at: at(hour), type: 'add', raw: true }
        : n < 17
          ? { id, at: at(hour), type: 'water', clean: true }
          : { id, at: at(hour), type: 'note' },
  );

const policyArb = fc
  .record({
    combine: fc.constantFrom('coldest', 'mean', 'median'),
    minPoints: fc.integer({ min: 1, max: 3 }),
    maxGapHours: fc.constantFrom(24, 36, 60),
    guardBandC: fc.constantFrom(0, 1),
    counting: fc.constantFrom('hours', 'days'),
    maxBlankDays: fc.integer({ min: 0, max: 2 }),
    grace: fc.constantFrom(0, 12, 24, 36),
  } as const)
  .map(({ grace, ...p }) => ({ ...p, turnGraceHours: Math.min(grace, p.maxGapHours) }));

const holdArb = fc
  .record({
    floorC: fc.constant(55),
    ceiling: fc.boolean(),
    hours: fc.constantFrom(24, 72, 120),
    consecutive: fc.boolean(),
    turnings: fc.integer({ min: 0, max: 2 }),
  })
  .map(({ ceiling, ...h }): Hold => ({ kind: 'hold', ...h, ...(ceiling ? { ceilingC: 70 } : {}) }));

const heapArb = fc.record({
  rounds: fc.uniqueArray(roundArb, { minLength: 0, maxLength: 26, selector: (r) => r.hour }),
  events: fc.array(eventArb, { maxLength: 7 }),
  policy: policyArb,
  asOf: fc.integer({ min: 0, max: SPAN_H + 30 }),
  hold: holdArb,
});
type Heap = {
  rounds: Made[];
  events: BatchEvent[];
  policy: Parameters<typeof evidence>[2];
  asOf: number;
  hold: Hold;
};
const evidenceOf = (h: Heap, rounds: Made[] = h.rounds): Evidence =>
  evidence(rounds.flatMap(readingsOf), h.events, h.policy, { points: PLACES });
const judge = (h: Heap, e: Evidence, hold: Partial<Hold> = {}) =>
  verdictOf(e, holdRule({ ...h.hold, ...hold }), at(h.asOf));
const credit = (h: Heap, e: Evidence, hold: Partial<Hold> = {}): number =>
  judge(h, e, { hours: NEVER, ...hold }).creditedHours;
const check = (property: (h: Heap) => boolean | void): void =>
  fc.assert(fc.property(heapArb, property), RUNS);

test('a cold round more never raises credit, nor brings a proof or makes it earlier', () =>
  fc.assert(
    fc.property(heapArb, fc.integer({ min: 1, max: SPAN_H * 4 }), (h, q) => {
      const cold: Made = { hour: q / 4 + 0.1, values: [40, 60, 60], minutes: 0 };
      const [without, withIt] = [evidenceOf(h), evidenceOf(h, [...h.rounds, cold])];
      fc.pre(h.policy!.combine === 'coldest'); // with mean or median such a round need not be cold
      expect(credit(h, withIt)).toBeLessThanOrEqual(credit(h, without));
      const [a, b] = [judge(h, without).provenAt, judge(h, withIt).provenAt];
      if (b !== null) {
        expect(a).not.toBeNull();
        expect(b).toBeGreaterThanOrEqual(a!);
      }
    }),
    RUNS,
  ));

test('a hot round less never raises credit, nor brings a proof or makes it earlier', () =>
  fc.assert(
    fc.property(heapArb, fc.nat(), (h, n) => {
      const hot = h.rounds.filter(
        (r) => Math.min(...r.values) >= 57 && Math.max(...r.values) <= 70 && r.values.length >= 3,
      );
      fc.pre(hot.length > 0);
      const gone = hot[n % hot.length]!;
      const [all, less] = [
        evidenceOf(h),
        evidenceOf(
          h,
          h.rounds.filter((r) => r !== gone),
        ),
      ];
      expect(credit(h, less)).toBeLessThanOrEqual(credit(h, all));
      const [a, b] = [judge(h, all).provenAt, judge(h, less).provenAt];
      if (b !== null) {
        expect(a).not.toBeNull();
        expect(b).toBeGreaterThanOrEqual(a!);
      }
    }),
    RUNS,
  ));

test('raising every value never lowers credit without a ceiling', () =>
  fc.assert(
    fc.property(heapArb, fc.integer({ min: 0, max: 9 }), (h, up) => {
      const warmer = h.rounds.map((r) => ({ ...r, values: r.values.map((v) => v + up) }));
      expect(credit(h, evidenceOf(h, warmer), { ceilingC: undefined })).toBeGreaterThanOrEqual(
        credit(h, evidenceOf(h), { ceilingC: undefined }),
      );
    }),
    RUNS,
  ));

test('shifting all times changes nothing but times, counting hours', () =>
  fc.assert(
    fc.property(heapArb, fc.integer({ min: -5e9, max: 5e9 }), (made, by) => {
      const h: Heap = { ...made, policy: { ...made.policy, counting: 'hours' } };
      const e = evidenceOf(h);
      const moved: Evidence = {
        ...e,
        builtAt: e.builtAt + by,
        readings: e.readings.map((r) => ({ ...r, at: r.at + by })),
        events: e.events.map((x) => ({ ...x, at: x.at + by })),
      };
      const [v, m] = [judge(h, e), verdictOf(moved, holdRule(h.hold), at(h.asOf) + by)];
      expect({
        ...m,
        asOf: 0,
        notes: 0,
        segmentFrom: m.segmentFrom - by,
        provenAt: m.provenAt === null ? null : m.provenAt - by,
        earliestProofAt: m.earliestProofAt === null ? null : m.earliestProofAt - by,
        run: m.run && { from: m.run.from - by, to: m.run.to - by },
        segments: m.segments.map((s) => s.creditedHours),
      }).toEqual({ ...v, asOf: 0, notes: 0, segments: v.segments.map((s) => s.creditedHours) });
    }),
    RUNS,
  ));

test('splitting a wholly credited gap leaves the credit the same', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 35 }),
      fc.integer({ min: 1, max: 99 }),
      (gap, percent) => {
        const steady = (hours: number[]) =>
          verdictOf(
            evidence(
              hours.flatMap((hour) => readingsOf({ hour, values: [60, 60, 60], minutes: 0 })),
            ),
          ).creditedHours;
        expect(steady([5, 5 + (gap * percent) / 100, 5 + gap])).toBeCloseTo(
          steady([5, 5 + gap]),
          9,
        );
      },
    ),
    RUNS,
  ));

test('consecutive ≤ cumulative ≤ time since the segment began', () =>
  check((h) => {
    const e = evidenceOf(h);
    const v = judge(h, e, { hours: NEVER, consecutive: false });
    expect(credit(h, e, { consecutive: true })).toBeLessThanOrEqual(v.creditedHours);
    expect(v.creditedHours).toBeLessThanOrEqual(Math.max(0, (at(h.asOf) - v.segmentFrom) / H));
  }));

test('the order in which a file lists its readings does not matter', () =>
  check((h) => {
    const e = evidenceOf(h);
    expect(
      judge(h, { ...e, readings: [...e.readings].reverse(), events: [...e.events].reverse() }),
    ).toEqual(judge(h, e));
  }));

test('one round after another gives the verdict of one go: what is later than asOf is not seen', () =>
  check((h) => {
    const whole = h.rounds.map((r) => ({ ...r, minutes: 0 }));
    const known = whole.filter((r) => DAY0 + r.hour * H <= at(h.asOf));
    expect(judge(h, evidenceOf(h, whole))).toEqual(
      judge(h, { ...evidenceOf(h, known), events: h.events.filter((x) => x.at <= at(h.asOf)) }),
    );
  }));

describe('alternatives, parts, and a time within a time', () => {
  const plain = (floorC: number, hours: number, more: Partial<Hold> = {}): Hold => ({
    kind: 'hold',
    floorC,
    hours,
    consecutive: true,
    turnings: 0,
    ...more,
  });
  const partArb = fc
    .record({
      floorC: fc.constantFrom(50, 55, 60),
      hours: fc.constantFrom(24, 72, 120),
      consecutive: fc.boolean(),
      turnings: fc.integer({ min: 0, max: 1 }),
    })
    .map((h): Hold => ({ kind: 'hold', ...h }));
  const madeOfArb: fc.Arbitrary<Requirement> = fc.oneof(
    fc.record({
      kind: fc.constantFrom('anyOf' as const, 'allOf' as const),
      of: fc.array(partArb, { minLength: 1, maxLength: 3 }),
    }),
    fc
      .record({
        outer: fc.constantFrom(24, 72),
        inner: fc.constantFrom(4, 24),
        hotter: fc.constantFrom(0, 5),
      })
      .map(({ outer, inner, hotter }): Requirement => ({
        kind: 'within',
        outer: plain(50, outer),
        inner: plain(50 + hotter, Math.min(inner, outer)),
      })),
  );
  const share = (h: Heap, rounds: Made[], r: Requirement): { share: number; provenAt: number } => {
    const v = verdictOf(evidenceOf(h, rounds), ruleOf(r), at(h.asOf));
    return {
      share: v.provenAt === null ? Math.min(1, v.creditedHours / v.requiredHours) : 1,
      provenAt: v.provenAt ?? Infinity,
    };
  };
  test('a round that is cold for every floor never raises the share, nor brings a proof or makes it earlier', () =>
    fc.assert(
      fc.property(heapArb, madeOfArb, fc.integer({ min: 1, max: SPAN_H * 4 }), (h, r, q) => {
        fc.pre(h.policy!.combine === 'coldest');
        const [without, withIt] = [
          share(h, h.rounds, r),
          share(h, [...h.rounds, { hour: q / 4 + 0.1, values: [40, 60, 60], minutes: 0 }], r),
        ];
        expect(withIt.provenAt).toBeGreaterThanOrEqual(without.provenAt);
        expect(withIt.share).toBeLessThanOrEqual(without.share + 1e-12);
      }),
      RUNS,
    ));
  test('nor does a round that is hot for every floor when it is taken away', () =>
    fc.assert(
      fc.property(heapArb, madeOfArb, fc.nat(), (h, r, n) => {
        const hot = h.rounds.filter((x) => Math.min(...x.values) >= 62 && x.values.length >= 3);
        fc.pre(hot.length > 0);
        const [all, less] = [
          share(h, h.rounds, r),
          share(
            h,
            h.rounds.filter((x) => x !== hot[n % hot.length]),
            r,
          ),
        ];
        expect(less.provenAt).toBeGreaterThanOrEqual(all.provenAt);
        expect(less.share).toBeLessThanOrEqual(all.share + 1e-12);
      }),
      RUNS,
    ));
  test('given the same readings a proof stays until the next restart', () =>
    fc.assert(
      fc.property(heapArb, madeOfArb, fc.integer({ min: 0, max: 200 }), (h, r, later) => {
        fc.pre(h.policy!.counting === 'hours');
        const whole = {
          ...h,
          rounds: h.rounds.map((x) => ({ ...x, minutes: 0 })),
          events: h.events.filter((e) => e.type === 'turn'),
        };
        const [now, then] = [
          share(whole, whole.rounds, r),
          share({ ...whole, asOf: h.asOf + later }, whole.rounds, r),
        ];
        if (now.provenAt < Infinity) expect(then.provenAt).toBe(now.provenAt);
      }),
      RUNS,
    ));
});
