import fc from 'fast-check';
import { toCelsius, type TempUnit } from '../units/units';
import { answerText, doubtText } from '../words/doubt';
import { answered, doubtsOf, EMERGENCY_C, type DoubtContext } from './doubt';

const quiet: DoubtContext = { unit: 'C', lastC: 58, airC: 10, instrument: null, others: [] };
const first = (
  value: number,
  change: Partial<DoubtContext> = {},
): [string | undefined, readonly string[] | undefined] => {
  const d = doubtsOf(value, { ...quiet, ...change })[0];
  return [d?.code, d?.answers];
};

/** Situations at the heap and what is asked, from the calls of the trade: a unit that slips, a stuck needle, a fire. */
describe('a value as it is typed', () => {
  test.each<
    [string, number, Partial<DoubtContext>, string | undefined, readonly string[] | undefined]
  >([
    ['an ordinary one', 57.2, {}, undefined, undefined],
    [
      '°F typed on a °C thermometer: the unit is the likeliest',
      136,
      {},
      'OVER_90',
      ['other-unit', 'faulty', 'emergency'],
    ],
    [
      '150 with nothing known: unit or fire, both stay open',
      150,
      { lastC: null },
      'OVER_90',
      ['other-unit', 'missed-point', 'faulty', 'emergency'],
    ],
    ['572 for 57.2', 572, {}, 'OVER_90', ['missed-point', 'faulty', 'emergency']],
    [
      '91 in a hot heap: no slip explains it',
      91,
      { lastC: 78 },
      'OVER_90',
      ['faulty', 'emergency'],
    ],
    ['just under the limit', 90, { lastC: 80 }, undefined, undefined],
    ['a fall of 26 K', 32, {}, 'JUMP', ['as-read', 'faulty']],
    ['a fall of 25 K is none', 33, {}, undefined, undefined],
    [
      '°C typed on a °F thermometer',
      57,
      { unit: 'F' },
      'JUMP',
      ['other-unit', 'as-read', 'faulty'],
    ],
    ['under the air', 7, { lastC: 12 }, 'BELOW_AIR', ['as-read', 'faulty']],
    ['as cold as the air, within its error', 9.5, { lastC: 12 }, undefined, undefined],
    ['under the air, which was not read', 7, { lastC: 12, airC: null }, undefined, undefined],
    [
      'the fifth equal value',
      55,
      { others: [55, 55, 55, 55] },
      'SAME_VALUE',
      ['as-read', 'faulty'],
    ],
    ['the fourth is none', 55, { others: [55, 55, 55, 54] }, undefined, undefined],
    [
      'off the scale of the thermometer',
      71,
      { lastC: 65, instrument: { maxC: 70 } },
      'OFF_SCALE',
      ['as-read', 'faulty'],
    ],
    [
      'Take a thermometer out of service',
      57,
      { instrument: { out: 'glass broken' } },
      'OUT_OF_SERVICE',
      ['as-read', 'faulty'],
    ],
    ['colder than any heap', -40, { lastC: null }, 'BELOW_SCALE', ['faulty']],
  ])('%s', (_name, value, change, code, answers) =>
    expect(first(value, change)).toEqual([code, answers]),
  );

  test('above 90 °C it always asks, whatever else is known, and never decides', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 90.01, max: 400, noNaN: true }),
        fc.constantFrom<TempUnit>('C', 'F'),
        fc.option(fc.double({ min: 0, max: 90, noNaN: true })),
        (c, unit, lastC) => {
          const value = unit === 'C' ? c : c * 1.8 + 32;
          const d = doubtsOf(value, { ...quiet, unit, lastC })[0]!;
          expect([
            d.code,
            d.answers.includes('faulty'),
            d.answers.includes('emergency'),
            d.answers.includes('as-read'),
          ]).toEqual(['OVER_90', true, true, false]);
          expect(doubtText(d, value, unit)).toMatch(
            /Wrong unit, faulty thermometer, or an emergency\?$/,
          );
        },
      ),
    );
  });
  test('an answer keeps the figure or says how it changed; a faulty one does not count', () => {
    expect(answered(150, 'C', 'other-unit')).toEqual({ value: 150, unit: 'F', counts: true });
    expect(toCelsius(150, 'F')).toBeCloseTo(65.6, 1);
    expect(answered(572, 'C', 'missed-point')).toEqual({ value: 57.2, unit: 'C', counts: true });
    expect(answered(95, 'C', 'faulty')).toEqual({ value: 95, unit: 'C', counts: false });
    expect(answered(95, 'C', 'emergency')).toEqual({ value: 95, unit: 'C', counts: true });
    expect([answerText('other-unit', 150, 'C'), answerText('missed-point', 572, 'C')]).toEqual([
      'It was 150 °F',
      'It was 57.2 °C',
    ]);
  });
  test('a slip is offered only where it makes sense of the value', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 700, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.constantFrom<TempUnit>('C', 'F'),
        (value, lastC, unit) => {
          for (const d of doubtsOf(value, { ...quiet, lastC, unit }))
            for (const answer of d.answers.filter(
              (a) => a === 'other-unit' || a === 'missed-point',
            )) {
              const a = answered(value, unit, answer);
              expect(Math.abs(toCelsius(a.value, a.unit) - lastC)).toBeLessThanOrEqual(12 + 1e-9);
            }
        },
      ),
    );
  });
  test('the limit is that of runaway heat (trade facts, section 1)', () =>
    expect(EMERGENCY_C).toBe(90));
});
