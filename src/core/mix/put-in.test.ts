import type { Amount } from '../log/store-shapes';
import { putInDoubts, type PutInLine, type PutInSource } from './put-in';

const source = (change: Partial<PutInSource> = {}): PutInSource => ({
  ...{ key: 'pail', left: { litres: 20, kg: 12 }, isRipening: false, isAsked: false },
  ...change,
});
const litres = (n: number): Amount => ({ in: 'litres', n });
const codes = (lines: readonly PutInLine[], room: Parameters<typeof putInDoubts>[1] = null) =>
  putInDoubts(lines, room).map((d) => d.code);

test('90 L out of a pail with 20 L is asked about; what fills a measure by eye is not', () => {
  expect(codes([{ source: source(), amount: litres(90) }])).toEqual(['more-than-left']);
  expect(codes([{ source: source(), amount: litres(21) }])).toEqual([]);
  expect(codes([{ source: source(), amount: { in: 'kg', n: 30 } }])).toEqual(['more-than-left']);
});

test('two lines out of one pail are taken together', () => {
  const line = { source: source(), amount: litres(15) };
  expect(codes([line])).toEqual([]);
  expect(codes([line, line])).toEqual(['more-than-left']);
});

test('what is not known asks nothing', () => {
  expect(codes([{ source: source({ left: null }), amount: litres(900) }])).toEqual([]);
  expect(codes([{ source: source(), amount: { in: 'unknown' } }])).toEqual([]);
  expect(codes([{ source: source(), amount: litres(5) }], { litres: 1, holds: null })).toEqual([]);
});

test('215 L into a box of 150 is asked about, with what is in it already', () => {
  const much = source({ left: null });
  expect(codes([{ source: much, amount: litres(215) }], { litres: 150, holds: 0 })).toEqual([
    'no-room',
  ]);
  expect(codes([{ source: much, amount: litres(60) }], { litres: 150, holds: 110 })).toEqual([
    'no-room',
  ]);
  expect(codes([{ source: much, amount: litres(60) }], { litres: 150, holds: 90 })).toEqual([]);
});

test('everything that one save has to ask is asked at once', () => {
  const pail = source({ isRipening: true, isAsked: true });
  expect(codes([{ source: pail, amount: litres(200) }], { litres: 150, holds: 0 })).toEqual([
    'asked-first',
    'ripening',
    'more-than-left',
    'no-room',
  ]);
});
