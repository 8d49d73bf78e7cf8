import fc from 'fast-check';
import { firstOf, itemAt, lastOf, present, valueAt } from './present';

test('what is there is given as it is, undefined among it too', () =>
  fc.assert(
    fc.property(fc.array(fc.anything(), { minLength: 1 }), fc.nat(), (list, n) => {
      const i = n % list.length;
      expect(itemAt(list, i)).toBe(list[i]);
      expect(firstOf(list)).toBe(list[0]);
      expect(lastOf(list)).toBe(list.at(-1));
    }),
  ));
test('what is not there is said, and nothing is worked out from it', () => {
  expect(() => itemAt([1, 2], 2)).toThrow('no item 2 in a list of 2');
  expect(() => itemAt([1, 2], -1)).toThrow(RangeError);
  expect(() => itemAt([1, 2], NaN)).toThrow(RangeError);
  expect(() => firstOf([])).toThrow(RangeError);
  expect(() => lastOf([])).toThrow(RangeError);
  expect(() => valueAt(new Map([['a', 1]]), 'b')).toThrow('nothing is held under b');
  expect(() => present(null, 'the last turning')).toThrow('the last turning is missing');
});
test('nought and the empty text are there', () => {
  expect(present(0, 'n')).toBe(0);
  expect(present('', 'text')).toBe('');
  expect(valueAt(new Map([['a', 0]]), 'a')).toBe(0);
});
