import { getKindDescription } from '@/core/log/entry';
import { entriesOfReadings, headOf, proposeMapping, readInto, readingKey } from './into';

const POINTS = [
  { id: 'P1', label: 'P1 core' },
  { id: 'P2', label: 'P2 edge' },
];
const OPTIONS = { shape: 'wide', unit: 'F', timeZone: 'UTC', dateOrder: 'mdy' } as const;
const TABLE = [
  ['time', 'Sensor A', 'Sensor B', 'Battery'],
  ['2026-05-02 07:00', '140', '131', '3.6'],
  ['2026-05-01 07:00', '138', '129', '3.6'],
];

test('points are found by their id or name, else in their order where there are as many', () => {
  expect(proposeMapping(['p1', 'P2 Edge'], POINTS)).toEqual({ p1: 'P1', 'P2 Edge': 'P2' });
  expect(proposeMapping(['left', 'right'], POINTS)).toEqual({ left: 'P1', right: 'P2' });
  expect(proposeMapping(['left'], POINTS)).toEqual({ left: null });
});

test('a column is a point, or is left out; readings come in the order of time', () => {
  const mapping = { 'Sensor A': 'P1', 'Sensor B': 'P2', Battery: null };
  const read = readInto(TABLE, OPTIONS, mapping, POINTS);
  expect(read.bad).toEqual([]);
  expect(read.leftOut).toBe(2);
  expect(read.readings.map((r) => [r.point, r.value])).toEqual([
    ['P1', 138],
    ['P2', 129],
    ['P1', 140],
    ['P2', 131],
  ]);
});

test('the same table again has the same head and the same keys, in either unit', () => {
  expect(headOf(TABLE)).toBe('time|sensor a|sensor b|battery');
  const at = '2026-05-01T07:00:00Z';
  expect(readingKey({ point: 'P1', at, value: 131, unit: 'F' })).toBe(
    readingKey({ point: 'P1', at: '2026-05-01T09:00:00+02:00', value: 55, unit: 'C' }),
  );
});

test('entries hold a thousand readings each, with ids of their own, and the log takes them', () => {
  const readings = Array.from({ length: 2500 }, (_, i) => ({
    id: `L${i}`,
    at: new Date(Date.UTC(2026, 0, 1) + i * 600_000).toISOString(),
    point: 'P1',
    value: 55,
    unit: 'C' as const,
  }));
  const entries = entriesOfReadings(readings, {
    batch: 'b',
    by: 'Mo',
    probe: 'T1',
    ids: (n) => `e${n}`,
  });
  expect(entries.map((e) => e.data.readings.length)).toEqual([1000, 1000, 500]);
  expect(new Set(entries.flatMap((e) => e.data.readings.map((r) => r.id))).size).toBe(2500);
  const { schema } = getKindDescription('round');
  for (const e of entries) expect(schema.safeParse(e.data).success).toBe(true);
  expect(Date.parse(entries[0]!.at)).toBe(Date.parse(readings[999]!.at));
});
