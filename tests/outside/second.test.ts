import fc from 'fast-check';
import type { Hold, Requirement, Rule } from '@/core/evidence/rule';
import type { BatchEvent, Evidence, Reading } from '@/core/evidence/types';
import { judge, prepare } from '@/core/evidence/verdict';
import { RULE_LIBRARY } from '@/core/rules/library';
import { at, evidence, H, ruleOf } from '../support/evidence';
import { slowVerdict } from '../support/slow-verdict';

/**
 * The core against the slow, literal second implementation of sections 4 to 10, over random heaps: unnamed
 * rounds, excluded readings, °F, zones, both clocks, both counting modes, every kind of requirement.
 */
const SPAN_H = 380;
const PLACES: Evidence['points'] = [
  { id: 'a' },
  { id: 'b', zone: 'core' },
  { id: 'c', zone: 'middle' },
  { id: 'd', zone: 'edge' },
];

type Walked = {
  hour: number;
  values: number[];
  minutes: number;
  named: boolean;
  flagged: number;
  toCheck: number;
  fahrenheit: boolean;
};
const roundArb: fc.Arbitrary<Walked> = fc.record({
  hour: fc.integer({ min: -8, max: SPAN_H * 4 }).map((q) => q / 4),
  values: fc.array(fc.integer({ min: 46, max: 74 }), { minLength: 1, maxLength: 4 }),
  minutes: fc.integer({ min: 0, max: 30 }),
  named: fc.boolean(),
  flagged: fc.integer({ min: 0, max: 40 }),
  toCheck: fc.integer({ min: 0, max: 20 }),
  fahrenheit: fc.boolean(),
});
const readingsOf = (w: Walked, n: number): Reading[] =>
  w.values.map((value, i): Reading => ({
    id: `${n}-${i}`,
    at: at(w.hour) + i * w.minutes * 60_000,
    point: PLACES[i]!.id,
    ...(w.fahrenheit ? { value: value * 1.8 + 32, unit: 'F' } : { value, unit: 'C' }),
    ...(w.named ? { round: `r${w.hour}` } : {}),
    ...(w.flagged === i ? { flag: 'rejected' as const } : {}),
    ...(w.toCheck === i ? { toCheck: true as const } : {}),
  }));
/** A warm heap read about daily, so that proofs come about; and loose rounds besides. */
const steadyArb = fc
  .record({
    every: fc.constantFrom(12, 20, 24, 30),
    from: fc.integer({ min: 0, max: 120 }),
    days: fc.integer({ min: 0, max: 14 }),
    base: fc.integer({ min: 52, max: 68 }),
    swing: fc.integer({ min: 0, max: 6 }),
  })
  .map(({ every, from, days, base, swing }): Walked[] =>
    Array.from({ length: Math.floor((days * 24) / every) }, (_, i) => {
      const v = base + Math.round(swing * Math.sin(i * 1.7));
      return {
        hour: from + i * every,
        values: [v, v + 1, v + 2, v],
        minutes: 0,
        named: true,
        flagged: 40,
        toCheck: i % 5,
        fahrenheit: false,
      };
    }),
  );

const seeds = fc.constantFrom(undefined, true, false);
const eventArb: fc.Arbitrary<BatchEvent> = fc
  .tuple(
    fc.integer({ min: 0, max: SPAN_H * 2 }).map((q) => q / 2),
    fc.integer({ min: 0, max: 36 }),
    seeds,
    fc.uuid(),
  )
  .map(([hour, n, s, id]): BatchEvent => {
    const base = { id, at: at(hour) };
    const own = s === undefined ? {} : { seeds: s };
    if (n < 23) return { ...base, type: 'turn', full: n > 2 };
    if (n < 25) return { ...base, type: 'add', raw: n === 23, ...own };
    if (n < 27) return { ...base, type: 'water', clean: n > 25, ...own };
    if (n > 29)
      return { ...base, type: 'moisture', state: n < 33 ? 'dry' : n < 36 ? 'moist' : 'wet' };
    return n < 28
      ? { ...base, type: 'merge', withProven: s !== false, ...own }
      : { ...base, type: 'note' };
  });

const policyArb = fc
  .record({
    combine: fc.constantFrom('coldest', 'mean', 'median'),
    minPoints: fc.integer({ min: 1, max: 3 }),
    maxGapHours: fc.constantFrom(24, 36, 60),
    guardBandC: fc.constantFrom(0, 0, 1.5),
    roundMinutes: fc.constantFrom(0, 60, 90),
    counting: fc.constantFrom('hours', 'days'),
    maxBlankDays: fc.integer({ min: 0, max: 2 }),
    grace: fc.constantFrom(0, 12, 24, 36),
    zones: fc.constantFrom(undefined, ['core', 'middle'] as const),
  } as const)
  .map(({ grace, zones, ...p }) => ({
    ...p,
    turnGraceHours: Math.min(grace, p.maxGapHours),
    ...(zones ? { zones } : {}),
  }));

const floorArb = fc.constantFrom(50, 55, 60);
const holdArb: fc.Arbitrary<Hold> = fc
  .record({
    floorC: floorArb,
    ceiling: fc.integer({ min: 0, max: 3 }),
    hours: fc.constantFrom(24, 48, 72, 120),
    consecutive: fc.boolean(),
    turnings: fc.integer({ min: 0, max: 2 }),
    moist: fc.boolean(),
  })
  .map(({ ceiling, moist, ...h }) => ({
    kind: 'hold',
    ...h,
    ...(ceiling === 0 ? { ceilingC: 70 } : {}),
    ...(moist ? { moist } : {}),
  }));
const plainHoldArb = holdArb.map((h): Hold => ({ ...h, turnings: 0 }));
const leafArb: fc.Arbitrary<Requirement> = fc.oneof(
  holdArb,
  fc.record({
    kind: fc.constant('staged' as const),
    floorC: floorArb,
    holdHours: fc.constantFrom(12, 24, 48, 72),
    stages: fc.integer({ min: 1, max: 3 }),
  }),
  fc.record({
    kind: fc.constant('within' as const),
    outer: plainHoldArb,
    inner: plainHoldArb.map((h) => ({ ...h, hours: h.hours / 6 })),
  }),
  fc.record({
    kind: fc.constant('meanAbove' as const),
    floorC: floorArb,
    hours: fc.constantFrom(24, 72, 120),
    meanC: fc.constantFrom(55, 58, 61),
  }),
);
const requirementArb: fc.Arbitrary<Requirement> = fc.oneof(
  { weight: 4, arbitrary: leafArb },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constantFrom('anyOf' as const, 'allOf' as const),
      of: fc.array(leafArb, { minLength: 1, maxLength: 3 }),
    }),
  },
);

const heapArb = fc.record({
  steady: fc.array(steadyArb, { minLength: 0, maxLength: 2 }),
  loose: fc.array(roundArb, { maxLength: 8 }),
  events: fc.array(eventArb, { maxLength: 7 }),
  policy: policyArb,
  asOf: fc.integer({ min: 0, max: SPAN_H + 40 }),
  clock: fc.constantFrom('germs' as const, 'seeds' as const),
  timeZone: fc.constantFrom('UTC', 'Australia/Lord_Howe', 'America/St_Johns', 'Europe/London'),
});
type Heap = typeof heapArb extends fc.Arbitrary<infer T> ? T : never;
const evidenceOf = (h: Heap): Evidence =>
  evidence([...h.steady.flat(), ...h.loose].flatMap(readingsOf), h.events, h.policy, {
    points: PLACES,
    timeZone: h.timeZone,
  });

function agree(h: Heap, requirement: Requirement): void {
  const e = evidenceOf(h);
  const v = judge(prepare(e, at(h.asOf)), ruleOf(requirement, { clock: h.clock }));
  const slow = slowVerdict(e, requirement, at(h.asOf), h.clock);
  expect({
    status: v.status,
    provenAt: v.provenAt,
    turnings: v.turningsCounted,
    of: v.turningsRequired,
    required: v.requiredHours,
    run: v.run && [v.run.from, v.run.to],
  }).toEqual({
    status: slow.status,
    provenAt: slow.provenAt,
    turnings: slow.turnings,
    of: slow.turningsRequired,
    required: slow.required,
    run: slow.run,
  });
  expect(v.creditedHours).toBeCloseTo(slow.credit, 9);
  if (slow.earliest === null) expect(v.earliestProofAt).toBeNull();
  else expect(v.earliestProofAt).toBeCloseTo(slow.earliest, -1);
}

/** Fixed, so that a failure comes again. A seed on which the two are found to disagree is added here and stays. */
const SEEDS = [20261123, 7, 41, 99, 1234];

test.each(SEEDS)(
  'fast = slow for every kind of requirement, seed %i',
  (seed) => {
    fc.assert(fc.property(heapArb, requirementArb, agree), { numRuns: 700, seed });
  },
  120_000,
);

test('fast = slow for every rule of the library', () => {
  fc.assert(
    fc.property(heapArb, fc.constantFrom(...RULE_LIBRARY), (h, rule: Rule) =>
      agree({ ...h, clock: rule.clock }, rule.requirement),
    ),
    { numRuns: 600, seed: 5 },
  );
}, 120_000);

test('one round after another gives the same verdict as all in one go', () => {
  fc.assert(
    fc.property(
      heapArb,
      fc.array(requirementArb, { minLength: 1, maxLength: 4 }),
      (h, requirements) => {
        const whole = evidenceOf({ ...h, loose: [] });
        // Rounds of one moment and an id each, later than every event.
        const rounds = [
          ...new Map(
            whole.readings.map((r) => [
              r.at,
              whole.readings
                .filter((x) => x.at === r.at)
                .map((x) => ({ ...x, round: `at ${r.at}` })),
            ]),
          ).entries(),
        ].sort(([a], [b]) => a - b);
        const cut = rounds[Math.floor(rounds.length / 2)]?.[0] ?? at(0);
        const events = h.events.filter((x) => x.at <= cut);
        const rules = requirements.map((requirement, i) =>
          ruleOf(requirement, { id: `r${i}`, clock: i % 2 ? 'seeds' : 'germs' }),
        );
        const early = rounds.filter(([t]) => t <= cut).flatMap(([, readings]) => readings);
        const growing = prepare({ ...whole, readings: early, events }, Math.max(cut, at(0)));
        let known = [...early];
        for (const [t, readings] of rounds.filter(([x]) => x > Math.max(cut, at(0)))) {
          const asOf = t + H;
          if (rounds.some(([x]) => x > t && x <= asOf)) continue; // the next one would not be later than asOf
          growing.add(readings, asOf);
          known = [...known, ...readings];
          const again = prepare({ ...whole, readings: known, events }, asOf);
          for (const rule of rules) expect(judge(growing, rule)).toEqual(judge(again, rule));
        }
      },
    ),
    { numRuns: 200, seed: 3 },
  );
}, 120_000);

test('a round that is not new, or not later, is refused', () => {
  const e = evidence([{ id: 'x', at: at(5), point: 'a', value: 60, unit: 'C', round: 'one' }]);
  const prepared = prepare(e, at(6));
  const reading = (hours: number, round?: string): Reading => ({
    id: `y${hours}`,
    at: at(hours),
    point: 'a',
    value: 60,
    unit: 'C',
    ...(round ? { round } : {}),
  });
  for (const [readings, asOf] of [
    [[reading(7, 'one')], 8],
    [[reading(5.5, 'two')], 8],
    [[reading(7)], 8],
    [[reading(7, 'two')], 6.5],
    [[], 8],
    [[reading(7, 'two'), reading(8, 'three')], 9],
  ] as const)
    expect(() => prepared.add([...readings], at(asOf))).toThrow(RangeError);
});
