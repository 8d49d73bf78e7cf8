import fc from 'fast-check';
import { MS } from '../quantity/instant';
import type { TestKind, ValuesOf } from '../log/test-shapes';
import {
  assessTest,
  flaskClassOf,
  germinationIndexOf,
  USUAL_TEST_LIMITS,
  type MaturityTest,
} from './outcome';

const START = Date.UTC(2026, 4, 1, 6);
const at = (hours: number): number => START + hours * MS.hour;
type Reheat = ValuesOf<'reheat'>;

/** Turned, moist, big enough, read each morning: the core is so much over the air. */
const morning = (day: number, over: number, airC = 10) => ({
  core: { at: at(day * 24), c: airC + over },
  air: { at: at(day * 24), c: airC },
});
const reheat = (
  change: Partial<Reheat> = {},
  over: readonly number[] = [6, 7, 5, 4, 3],
): MaturityTest => ({
  startedAt: START,
  endedAt: null,
  values: {
    kind: 'reheat',
    turnedAt: START,
    squeezes: [{ at: START, squeeze: 'drops' }],
    moistures: [],
    volumeM3: 1.5,
    core: over.map((k, i) => morning(i + 1, k).core),
    air: over.map((k, i) => morning(i + 1, k).air),
    ...change,
  },
});
const test_ = <K extends TestKind>(values: ValuesOf<K>, days: number | null): MaturityTest => ({
  startedAt: START,
  endedAt: days === null ? null : START + days * MS.day,
  values,
});
const outcomeOf = (t: MaturityTest, hours = 24 * 30) => assessTest(t, USUAL_TEST_LIMITS, at(hours));

describe('reheat in the heap', () => {
  test('8 K and no more over the air for five days passes, and is final at their end', () => {
    expect(outcomeOf(reheat({}, [6, 8, 5, 4, 3]))).toMatchObject({ outcome: 'pass', figure: 8 });
    expect(outcomeOf(reheat(), 119).outcome).toBe('open');
    expect(outcomeOf(reheat(), 120).outcome).toBe('pass');
  });
  test('over 8 K at any time fails, also before it is over and where conditions did not hold', () => {
    expect(outcomeOf(reheat({}, [8.5]), 30).outcome).toBe('fail');
    expect(outcomeOf(reheat({ turnedAt: null, volumeM3: 0.2 }, [12]), 30).outcome).toBe('fail');
  });
  test.each<[string, Partial<Reheat>, string]>([
    ['not turned', { turnedAt: null }, 'NOT_TURNED'],
    ['turned three hours before', { turnedAt: at(-3) }, 'NOT_TURNED'],
    ['dry', { squeezes: [{ at: START, squeeze: 'crumbles' }] }, 'NOT_MOIST'],
    ['squeezed two days later', { squeezes: [{ at: at(49), squeeze: 'drops' }] }, 'NOT_MOIST'],
    ['half a cubic metre', { volumeM3: 0.5 }, 'TOO_SMALL'],
    ['of a size that nobody knows', { volumeM3: null }, 'TOO_SMALL'],
    ['with no air', { air: [] }, 'DAY_UNREAD'],
  ])('%s it says nothing', (_, change, code) => {
    const found = outcomeOf(reheat(change));
    expect(found.outcome).toBe('invalid');
    expect(found.gaps.map((g) => g.code)).toContain(code);
  });
  test('what can still come leaves it open: the second day is not over', () => {
    expect(outcomeOf(reheat({}, [5]), 40).outcome).toBe('open');
    expect(outcomeOf(reheat({}, [5]), 49).outcome).toBe('invalid');
    expect(outcomeOf(reheat({ volumeM3: null }, [5]), 40).outcome).toBe('open');
  });
  test('the nearest air counts, of two as near the colder', () => {
    const air = [
      { at: at(23), c: 12 },
      { at: at(25), c: 9 },
    ];
    const found = outcomeOf(reheat({ core: [{ at: at(24), c: 20 }], air }), 26);
    expect(found.figure).toBe(11);
  });
  test('limits of days and hours are included', () => {
    const { values } = reheat({
      turnedAt: at(-2),
      squeezes: [{ at: at(-24), squeeze: 'drops' }],
    }) as MaturityTest<'reheat'>;
    const air = values.core.map((r) => ({ at: r.at + 3 * MS.hour, c: r.c - 5 }));
    expect(outcomeOf(reheat({ ...values, air })).outcome).toBe('pass');
    const late = values.core.map((r) => ({ at: r.at + 3 * MS.hour + 1, c: r.c - 5 }));
    expect(outcomeOf(reheat({ ...values, air: late })).outcome).toBe('invalid');
  });
  test('leaving any one thing out never makes a pass, and no reading takes a fail back', () => {
    const reading = fc.record({
      at: fc.integer({ min: 0, max: 130 }).map(at),
      c: fc.integer({ min: 5, max: 25 }),
    });
    fc.assert(
      fc.property(
        fc.array(reading, { maxLength: 12 }),
        fc.array(reading, { maxLength: 12 }),
        fc.boolean(),
        fc.nat(11),
        (core, air, isTurned, k) => {
          const whole = reheat({ core, air, turnedAt: isTurned ? START : null });
          const fewer = core.filter((_, i) => i !== k);
          const partly = reheat({ core: fewer, air, turnedAt: isTurned ? START : null });
          const [a, b] = [outcomeOf(whole).outcome, outcomeOf(partly).outcome];
          if (b === 'fail') expect(a).toBe('fail');
          if (a === 'invalid') expect(b).toBe('invalid');
        },
      ),
    );
  });
});

test('classes of self-heating by the rise (German Rottegrad; TMECC 05.08-D, from memory)', () => {
  const classes = [5, 10, 10.1, 20, 25, 30, 31, 40, 41, 60].map(flaskClassOf);
  expect(classes).toEqual([5, 5, 4, 4, 3, 3, 2, 2, 1, 1]);
  const flask = (highestC: number, change: Partial<ValuesOf<'flask'>> = {}) =>
    test_<'flask'>({ kind: 'flask', highestC, roomC: 20, adjusted: true, ...change }, 6);
  expect(outcomeOf(flask(38)).outcome).toBe('pass');
  expect(outcomeOf(flask(45)).outcome).toBe('fail');
  expect(outcomeOf(flask(38, { roomC: 27 })).outcome).toBe('invalid');
  expect(outcomeOf(flask(38, { adjusted: null })).outcome).toBe('invalid');
});

describe('seed germination', () => {
  const extract = { seeds: 20, germinated: 18, rootMm: 30 };
  const control = { seeds: 20, germinated: 19, rootMm: 40 };
  const given = (change: Partial<ValuesOf<'germination'>>) =>
    test_<'germination'>({ kind: 'germination', extract, control, ...change }, 5);
  test('the index of a worked example (Zucconi and others, 1981: relative germination times relative root length)', () => {
    // 18 of 20 against 19 of 20 is 94.74 %; 30 mm against 40 mm is 75 %: 71.05 %.
    expect(germinationIndexOf(extract, control)).toBeCloseTo(94.7368 * 0.75, 3);
    expect(outcomeOf(given({})).outcome).toBe('fail');
    expect(
      assessTest(given({}), { ...USUAL_TEST_LIMITS, germinationPct: 60 }, at(999)).outcome,
    ).toBe('pass');
  });
  test('a weak control or few seeds say nothing', () => {
    expect(outcomeOf(given({ control: { ...control, germinated: 17 } })).outcome).toBe('invalid');
    expect(outcomeOf(given({ extract: { ...extract, seeds: 19 } })).outcome).toBe('invalid');
  });
});

describe('seedlings against weedkiller', () => {
  const fine = { pots: 3, sown: 15, up: 15, clear: 0, slight: 0 };
  const of = (
    compost: Partial<typeof fine>,
    control: Partial<typeof fine> = {},
    days: number | null = 14,
  ) =>
    outcomeOf(
      test_<'seedlings'>(
        { kind: 'seedlings', compost: { ...fine, ...compost }, control: { ...fine, ...control } },
        days,
      ),
      24 * 20,
    ).outcome;
  test.each([
    ['nothing on any', of({}), 'pass'],
    ['slight on a third', of({ slight: 5 }), 'pass'],
    ['slight on more than a third', of({ slight: 6 }), 'fail'],
    ['clear on one', of({ clear: 1 }), 'fail'],
    ['one that did not come up', of({ up: 14 }), 'fail'],
    [
      'one that did not come up where the controls did not either',
      of({ up: 14 }, { up: 13 }),
      'pass',
    ],
    ['clear on one after a week', of({ clear: 1 }, {}, 7), 'fail'],
    ['damaged controls', of({ clear: 1 }, { slight: 2 }), 'invalid'],
    ['two pots', of({ pots: 2 }), 'invalid'],
    ['thirteen days', of({}, {}, 13), 'invalid'],
    ['still going on', of({}, {}, null), 'open'],
  ])('%s: %s', (_, found, wanted) => expect(found).toBe(wanted));
});

test('sprouts, bag, looks and breath', () => {
  const sprout = (change: Partial<ValuesOf<'sprout'>>, days: number | null = 21) =>
    outcomeOf(
      test_<'sprout'>({ kind: 'sprout', litres: 2, seedlings: 0, kept: true, ...change }, days),
    ).outcome;
  expect([
    sprout({}),
    sprout({ seedlings: 1 }, 3),
    sprout({ litres: 1.9 }),
    sprout({}, 20),
  ]).toEqual(['pass', 'fail', 'invalid', 'invalid']);
  const bag = (change: Partial<ValuesOf<'bag'>>, days: number | null = 3) =>
    outcomeOf(
      test_<'bag'>({ kind: 'bag', moist: true, smell: 'earthy', puffed: false, ...change }, days),
    ).outcome;
  expect([
    bag({}),
    bag({ smell: 'sour' }),
    bag({ puffed: null }),
    bag({ puffed: true }, 1),
  ]).toEqual(['pass', 'fail', 'invalid', 'invalid']);
  const looks = (recognisable: 'woody' | 'soft', hours: number) =>
    outcomeOf(test_<'looks'>({ kind: 'looks', recognisable, smell: 'none' }, null), hours).outcome;
  expect([looks('woody', 24 * 14), looks('soft', 1), looks('woody', 24 * 14 + 1)]).toEqual([
    'pass',
    'fail',
    'invalid',
  ]);
  const breath = (value: number | null) =>
    outcomeOf(test_<'respiration'>({ kind: 'respiration', value, unit: 'mg CO2-C/g OM/d' }, 0))
      .outcome;
  expect([breath(4), breath(4.1), breath(null)]).toEqual(['pass', 'fail', 'invalid']);
});
