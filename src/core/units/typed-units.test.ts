import convert from 'convert-units';
import { SCALED_QUANTITIES } from './units';
import { typedUnitSize } from './typed-units';

/** convert-units, a library of the registry that knows nothing of this product, as the reference. */
const REFERENCE = [
  ['length', 'in', 'in', 'm'],
  ['length', 'ft', 'ft', 'm'],
  ['cm', 'ft', 'ft', 'cm'],
  ['mm', 'in', 'in', 'mm'],
  ['area', 'ft²', 'ft2', 'm2'],
  ['volume', 'gal', 'gal', 'm3'],
  ['litres', 'yd³', 'yd3', 'l'],
  ['litres', 'cu ft', 'ft3', 'l'],
  ['litres', 'qt', 'qt', 'l'],
  ['kg', 'lb', 'lb', 'kg'],
] as const;

test.each(REFERENCE)('%s in %s', (quantity, sign, from, to) =>
  expect(typedUnitSize(quantity, sign)! / convert(1).from(from).to(to)).toBeCloseTo(1, 5),
);

test('a unit of another quantity is none, and neither is a word', () => {
  for (const quantity of SCALED_QUANTITIES)
    expect(typedUnitSize(quantity, 'barrows')).toBeUndefined();
  expect(typedUnitSize('length', 'kg')).toBeUndefined();
});
