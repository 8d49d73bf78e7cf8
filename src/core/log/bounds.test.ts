import { z } from 'zod';
import { batchId, entryId } from '../../../tests/support/ids';
import { BOUNDS } from '../units/bounds';
import {
  findBoundsFault,
  MOST_ENTRY_BYTES,
  MOST_UNKNOWN_BYTES,
  quantityOfField,
  type BoundsFault,
} from './bounds';
import { ENTRY_KINDS, getKindDescription, type NewEntry } from './entry';

/** What an entry may hold when it comes in. */
const entry = (kind: string, data: object): NewEntry =>
  ({
    ...{ id: entryId('e'), batch: batchId('b'), at: 0, by: 'Jo', kind, data },
  }) as unknown as NewEntry;
const found = (kind: string, data: object): BoundsFault | null =>
  findBoundsFault(entry(kind, data));

test.each([
  ['ambient', { value: 1e110, unit: 'C' }, ['data', 'value']],
  ['ambient', { value: 1501, unit: 'C' }, ['data', 'value']],
  ['site-terms', { policy: { guardBandC: 1e308 }, rules: [] }, ['data', 'policy', 'guardBandC']],
  ['plan', { points: [{ id: 'P1', depthM: 1e9 }] }, ['data', 'points', 0, 'depthM']],
  [
    'round',
    { source: 'hand', readings: [{ value: -400, unit: 'F' }] },
    ['data', 'readings', 0, 'value'],
  ],
  ['note', { words: '', somethingElse: 1e300 }, ['data', 'somethingElse']],
])('%s with %j: the number is named', (kind, data, path) => {
  expect(found(kind, data)).toMatchObject({ code: 'number', path });
});

test('what is possible passes, at its bounds too', () => {
  expect(found('ambient', { value: -100, unit: 'C' })).toBeNull();
  expect(found('ambient', { value: 1500, unit: 'C' })).toBeNull();
  expect(found('ambient', { value: 2732, unit: 'F' })).toBeNull();
  expect(found('turn', { full: true, minutes: 40 })).toBeNull();
  // A phone whose clock stands at 1970 says so.
  const device = { enteredAt: '1970-01-01T00:00:00Z', clockAheadMs: -1.8e12 };
  expect(found('note', { words: 'a note', device })).toBeNull();
});

test('an entry is so large at most, and so is what nobody here has a name for; a block of a file may be larger', () => {
  const words = (n: number): string => 'x'.repeat(n);
  expect(found('note', { words: words(2000) })).toBeNull();
  expect(found('note', { words: words(MOST_ENTRY_BYTES) })).toMatchObject({ code: 'entry' });
  // Letters are counted as they are stored.
  expect(found('note', { words: 'ñ'.repeat(MOST_ENTRY_BYTES / 2) })).toMatchObject({
    code: 'entry',
  });
  expect(found('note', { words: '', more: words(MOST_UNKNOWN_BYTES - 20) })).toBeNull();
  expect(found('note', { words: '', more: words(MOST_UNKNOWN_BYTES) })).toMatchObject({
    code: 'unknown',
  });
  const reading = { id: 'r', at: '2026-05-18T10:00:00Z', point: 'P1', value: 50, unit: 'C' };
  const many = Array.from({ length: 1000 }, (_, i) => ({ ...reading, id: `reading-${i}` }));
  expect(found('round', { source: 'file', readings: many })).toBeNull();
  expect(found('round', { source: 'hand', readings: many })).toMatchObject({ code: 'entry' });
  const air = { at: reading.at, value: 12, unit: 'C' };
  const brought = { probes: [], ambient: Array(50_000).fill(air), extra: {} };
  expect(found('opened', { code: 'A', points: [], brought })).toBeNull();
  const more = { ...reading, more: words(MOST_UNKNOWN_BYTES) };
  expect(found('round', { source: 'hand', readings: [more] })).toMatchObject({ code: 'unknown' });
});

/** Every number that a kind of entry has a name for, by that name. */
function numbersOf(schema: unknown, name = ''): string[] {
  if (schema === null || typeof schema !== 'object') return [];
  const at = schema as Record<string, unknown>;
  const own = at.type === 'number' || at.type === 'integer' ? [name] : [];
  const parts = (key: string): unknown[] => Object.values((at[key] as object | undefined) ?? {});
  return [
    ...own,
    ...Object.entries((at.properties as object | undefined) ?? {}).flatMap(([k, v]) =>
      numbersOf(v, k),
    ),
    ...numbersOf(at.items, name),
    ...['anyOf', 'oneOf', 'allOf', 'prefixItems'].flatMap((key) =>
      parts(key).flatMap((part) => numbersOf(part, name)),
    ),
  ];
}

test('a number whose name ends in a unit is bound by that: none of the log’s goes without', () => {
  const names = new Set(
    ENTRY_KINDS.flatMap((kind) =>
      numbersOf(
        z.toJSONSchema(getKindDescription(kind).schema, { unrepresentable: 'any', io: 'input' }),
      ),
    ),
  );
  expect(names.size).toBeGreaterThan(60);
  const UNIT = /([a-z](C|K|M|M2|M3|L|Mm|Cm|Pct|Hours|Minutes|Days|S|Ms)|[lL]itres)$/;
  const free = [...names].filter((n) => UNIT.test(n) && quantityOfField(n, undefined) === 'number');
  expect(free).toEqual([]);
  for (const { least, most } of Object.values(BOUNDS)) expect(least).toBeLessThan(most);
});
