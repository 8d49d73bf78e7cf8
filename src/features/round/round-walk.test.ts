import type { RoundHeap } from './offline-round-data';
import {
  entriesOf,
  keepReading,
  markReading,
  openHeap,
  standing,
  toggleMark,
  type RoundWalk,
} from './round-walk';

const HEAP = {
  id: 'h',
  name: 'Wren',
  places: [{ id: 'P1' }, { id: 'P2' }],
} as unknown as RoundHeap;
const ids = (() => {
  let n = 0;
  return () => `id-${(n += 1)}`;
})();
const EMPTY: RoundWalk = {
  ...{ id: 'w', startedAt: 0, by: 'Mo', probe: null, order: ['h'], air: null },
  ...{ airAsked: true, heaps: {}, single: true },
};
const reading = (value: number) => ({
  ...{ value, unit: 'C' as const, at: 1000, settledS: 30, marks: [], doubts: [] },
});
const read = (...values: readonly number[]): RoundWalk =>
  values.reduce(
    (walk, value) => keepReading(walk, 'h', 'P1', reading(value), null),
    openHeap(EMPTY, 'h', ids),
  );
const sent = (walk: RoundWalk) =>
  (entriesOf(walk, HEAP, 2000)[0]!.form.data as { readings: readonly object[] }).readings;

test('how sure a value is can be said after it was saved, and taken back, before it is sent', () => {
  const walk = markReading(read(69.9), 'h', 'P1', 'atLeast');
  expect(sent(walk)).toMatchObject([{ value: 69.9, marks: ['atLeast'] }]);
  expect(sent(markReading(walk, 'h', 'P1', 'atLeast'))).not.toMatchObject([{ marks: ['atLeast'] }]);
});

test('of a point read twice the value that holds is marked, not the one before it', () => {
  const walk = markReading(read(60, 67), 'h', 'P1', 'about');
  expect(standing(walk.heaps.h, 'P1')).toMatchObject({ value: 67, marks: ['about'] });
  expect(sent(walk)).toMatchObject([{ value: 60, flag: 'superseded' }, { marks: ['about'] }]);
  expect(sent(walk)[0]).not.toHaveProperty('marks');
});

test('a value may be about and still rising', () =>
  expect(toggleMark(toggleMark([], 'about'), 'rising')).toEqual(['about', 'rising']));
