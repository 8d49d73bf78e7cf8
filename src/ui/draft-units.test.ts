import { typedQuantity } from '@/core/quantity/typed-quantity';
import { METRIC, type Units } from '@/core/units/units';
import { asSpeaker } from '../../tests/support/speech';
import { keepUnitsOf } from './draft-units';

const US: Units = { system: 'us', temp: 'F' };

test('what was typed in feet and gallons is the same size after a change to metres and litres', () => {
  const was = { length: '4', litres: '20', words: '4', to: 'batch-1', standing: { from: '3,5' } };
  const kept = keepUnitsOf(was, US);
  expect(kept).toEqual({
    ...{ length: '4 ft', litres: '20 gal', words: '4', to: 'batch-1' },
    standing: { from: '3,5 ft' },
  });
  const read = (system: 'us' | 'metric', text: string) =>
    asSpeaker({ system }, () => typedQuantity('length', text));
  expect(read('metric', String(kept.length))).toBeCloseTo(read('us', '4')!, 9);
});

test('a number with its unit, and text that is no number, stay as they were typed', () =>
  expect(keepUnitsOf({ length: '1.2 m', width: 'three', rows: [1] }, METRIC)).toEqual({
    ...{ length: '1.2 m', width: 'three', rows: [1] },
  }));
