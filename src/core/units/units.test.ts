import fc from 'fast-check';
import { asSpeaker } from '../../../tests/support/speech';
import { say } from '../../messages/say';
import { amountTyped, amountShown } from '../mix/amount';
import { figureWithUnit } from '../quantity/format';
import { shownQuantity, signOf, typedQuantity } from '../quantity/typed-quantity';
import { amountText } from '../words/amount';
import { amountUnitsOf, findAmountUnit } from './amount-units';
import {
  fromBase,
  KG_PER_LB,
  L_PER_GAL,
  M3_PER_YD3,
  SCALED_QUANTITIES,
  toBase,
  unitsCode,
  unitsOfCode,
  UNIT_SYSTEMS,
  type ScaledQuantity,
} from './units';

const US = { system: 'us', temp: 'F' } as const;

test('sizes of units are those of NIST Special Publication 811, appendix B', () => {
  expect(toBase('length', 1, US)).toBe(0.3048);
  expect(M3_PER_YD3).toBeCloseTo(0.764554857984, 12);
  expect(L_PER_GAL).toBeCloseTo(3.785411784, 12);
  expect(KG_PER_LB).toBe(0.45359237);
  expect(toBase('density', 1, US)).toBeCloseTo(0.5932764, 6); // lb/yd³ in kg/m³
  expect(toBase('area', 1, US)).toBeCloseTo(0.09290304, 10);
});

test('what is typed in any unit is shown again as it was typed', () => {
  const typedText = fc.tuple(fc.integer({ min: 0, max: 9999 }), fc.constantFrom(1, 2, 4, 10));
  fc.assert(
    fc.property(
      fc.constantFrom(...UNIT_SYSTEMS),
      fc.constantFrom(...SCALED_QUANTITIES, 'celsius' as const),
      typedText,
      (system, quantity, [n, part]) =>
        asSpeaker({ system }, () => {
          const text = String(n / part);
          const value = typedQuantity(quantity, text);
          expect(shownQuantity(quantity, value!)).toBe(text);
        }),
    ),
  );
});

test('a field says in which unit it is typed', () => {
  const signs = () => (['length', 'litres', 'kg', 'volume', 'celsius'] as const).map(signOf);
  expect(asSpeaker({ system: 'us' }, signs)).toEqual(['ft', 'gal', 'lb', 'yd³', '°F']);
  expect(asSpeaker({ system: 'uk' }, signs)).toEqual(['m', 'L', 'kg', 'm³', '°C']);
  expect(typedQuantity('length', 'three')).toBeNull();
  expect(typedQuantity('length', ' ')).toBeUndefined();
});

test.each([
  [0.6096, '2 ft'],
  [1.07, '3 ft 6 in'],
  [0.2, '8 in'],
  [0, '0 ft'],
  [-131, '-430 ft'],
  [40, '131 ft'],
])('%p m are %s', (m, text) => {
  expect(asSpeaker({ system: 'us' }, () => figureWithUnit('length', m))).toBe(text);
});

test('texts say their quantities in the units and the figures of whoever reads them', () => {
  const text = () => say('terms.theThermometerMLongCore', { stemM: 0.9, coreDepthM: 1.25 });
  expect(asSpeaker({}, text)).toMatch(/0\.9 m long and the core is 1\.25 m deep/);
  expect(asSpeaker({ system: 'us' }, text)).toMatch(/2 ft 11 in long and the core is 4 ft 1 in/);
  expect(asSpeaker({ language: 'es', system: 'us' }, text)).toMatch(/2 ft 11 in/);
});

test('an amount typed in pounds or yards stays what was typed, whoever reads it', () => {
  const lb = amountTyped(100, 'lb', false, [])!;
  const yd3 = amountTyped(2, 'yd3', true, [])!;
  expect(lb).toMatchObject({ in: 'kg', n: 45.359237 });
  expect(yd3).toMatchObject({ in: 'measure', n: 2, litresEach: M3_PER_YD3 * 1000 });
  for (const system of UNIT_SYSTEMS)
    asSpeaker({ system }, () =>
      expect([amountText(lb), amountText(yd3)]).toEqual(['100 lb', 'about 2 yd³']),
    );
  expect(amountShown(lb as never)).toMatchObject({ n: 100, unit: 'lb' });
  expect(amountShown(yd3 as never)).toMatchObject({ n: 2, unit: 'yd3' });
});

test('each system offers units of volume and of weight that are found again by their id', () => {
  for (const system of UNIT_SYSTEMS) {
    const units = amountUnitsOf({ system, temp: 'C' });
    expect(units.map((u) => findAmountUnit(u.id))).toEqual(units);
    expect(units.some((u) => 'kg' in u) && units.some((u) => 'litres' in u)).toBe(true);
  }
  expect(findAmountUnit('barrow')).toBeUndefined();
});

test('units go through a code; no other code is taken for one', () => {
  for (const system of UNIT_SYSTEMS)
    for (const temp of ['C', 'F'] as const)
      expect(unitsOfCode(unitsCode({ system, temp }))).toEqual({ system, temp });
  for (const code of ['', 'us', 'us-K', 'imperial-C', null]) expect(unitsOfCode(code)).toBeNull();
  expect(fromBase('cm', 2.54, US)).toBeCloseTo(1, 12);
});

test('a number with its unit is understood in a field of another unit', () => {
  const inUs = (quantity: ScaledQuantity | 'celsius', text: string) =>
    asSpeaker({ system: 'us' }, () => typedQuantity(quantity, text));
  expect(inUs('length', '4 in')).toBeCloseTo(0.1016, 9);
  expect(inUs('length', '4ft')).toBeCloseTo(1.2192, 9);
  expect(inUs('length', '4 ft 6 in')).toBeCloseTo(1.3716, 9);
  expect(inUs('length', '5\'3"')).toBeCloseTo(1.6002, 9);
  expect(inUs('volume', '1,5 m³')).toBeCloseTo(1.5, 9);
  expect(inUs('litres', '90 L')).toBe(90);
  expect(inUs('celsius', '55 °C')).toBe(55);
  expect(inUs('celsius', '131')).toBeCloseTo(55, 9);
  expect(inUs('length', '4 barrows')).toBeNull();
  expect(inUs('length', '4 kg')).toBeNull();
});
