import fc from 'fast-check';
import { MS } from '../quantity/instant';
import { situation } from '../../../tests/support/situation';
import type { BatchSnapshot } from './batch-snapshot';
import { routeOf } from './route';
import { batchId } from '../../../tests/support/ids';

const NOW = Date.UTC(2026, 10, 23, 9);
type Say = {
  id: string;
  stage?: 'building' | 'curing' | 'released' | 'hot';
  status?: 'proven' | 'waiting' | 'running' | 'recovering' | 'broken';
  hours?: number;
  age?: number;
  read?: number | null;
  state?: BatchSnapshot['state'];
};
function heap({
  id,
  stage = 'hot',
  status = 'running',
  hours = 0,
  age = 10,
  read = 20,
  state = 'running',
}: Say): BatchSnapshot {
  const latest =
    read === null
      ? null
      : { at: NOW - read * MS.hour, valueC: 60, peakC: 62, points: 5, complete: true };
  return {
    id,
    code: id,
    name: id,
    builtAt: NOW - age * MS.day,
    state,
    latest,
    rules: [{ creditedHours: hours, requiredHours: 360, status }],
    situation: situation({
      stage: { code: stage, since: NOW - MS.day, reason: null, by: null },
      builtAt: NOW - age * MS.day,
      rounds: latest ? [latest] : [],
      proof: { status, creditedHours: hours, lastHot: latest?.at ?? null },
    }),
  } as unknown as BatchSnapshot;
}
const ids = (board: BatchSnapshot[], manual: string[] | null = null): string[] =>
  routeOf(board, manual && manual.map(batchId), NOW).map((s) => s.id);

describe('the order of a walk', () => {
  // Common practice: finished heaps before raw ones, so that nothing raw rides on the thermometer.
  const board = [
    heap({ id: 'building', stage: 'building' }),
    heap({ id: 'cold', status: 'waiting', state: 'waiting' }),
    heap({ id: 'lost', status: 'broken', state: 'broken', age: 20 }),
    heap({ id: 'young', hours: 50 }),
    heap({ id: 'old', hours: 300 }),
    heap({ id: 'paused', hours: 120, status: 'recovering' }),
    heap({ id: 'proven', status: 'proven', hours: 360 }),
    heap({ id: 'curing', stage: 'curing', status: 'proven', hours: 360 }),
    heap({ id: 'gone', stage: 'released' }),
  ];
  test('most finished first, rawest last; what has gone out is not in it', () =>
    expect(ids(board)).toEqual([
      'curing',
      'proven',
      'old',
      'paused',
      'young',
      'lost',
      'cold',
      'building',
    ]));
  test('one that is said to be done and is not proven stands where its proof puts it: saying so makes nothing clean', () =>
    expect(
      ids([
        heap({ id: 'said', stage: 'curing', status: 'waiting', state: 'curing' }),
        heap({ id: 'proven', status: 'proven', hours: 360 }),
        heap({ id: 'half', hours: 100 }),
      ]),
    ).toEqual(['proven', 'half', 'said']));
  test('and says why', () =>
    expect(routeOf(board, null, NOW).map((s) => s.reason.code)).toEqual([
      'PROVEN',
      'PROVEN',
      'EARNED',
      'PAUSED',
      'EARNED',
      'LOST',
      'NOT_HOT',
      'BUILDING',
    ]));
  test('an order set by hand sticks; a heap that it does not know comes where hygiene puts it', () => {
    expect(ids(board, ['cold', 'old', 'proven', 'gone', 'no-such'])).toEqual([
      'curing',
      'paused',
      'young',
      'lost',
      'cold',
      'old',
      'proven',
      'building',
    ]);
  });
  test('every heap once, and those set by hand in that order', () => {
    const any = fc.uniqueArray(
      fc.record({
        id: fc.string({ minLength: 1, maxLength: 3 }),
        stage: fc.constantFrom('building' as const, 'curing' as const, 'hot' as const),
        status: fc.constantFrom(
          'proven' as const,
          'running' as const,
          'waiting' as const,
          'broken' as const,
        ),
        hours: fc.integer({ min: 0, max: 360 }),
      }),
      { selector: (h) => h.id, maxLength: 12 },
    );
    fc.assert(
      fc.property(any, fc.nat(), (list, seed) => {
        const heaps = list.map(heap);
        const manual = list
          .map((h) => h.id)
          .filter((_, i) => (seed >> i) % 2 === 0)
          .reverse();
        const order = ids(heaps, manual);
        expect([...order].sort()).toEqual(list.map((h) => h.id).sort());
        expect(order.filter((id) => manual.includes(id))).toEqual(manual);
      }),
    );
  });
});

describe('what is due', () => {
  const due = (say: Say): boolean => routeOf([heap(say)], null, NOW)[0]!.due;
  test.each<[string, Say, boolean]>([
    ['read three hours ago', { id: 'x', hours: 50, read: 3 }, false],
    ['read 21 hours ago', { id: 'x', hours: 50, read: 21 }, true],
    ['no temperatures', { id: 'x', status: 'waiting', read: null }, true],
    ['proven, read yesterday', { id: 'x', status: 'proven', read: 24 }, false],
    ['proven, not read for a week', { id: 'x', status: 'proven', read: 168 }, true],
    ['curing, read six days ago', { id: 'x', stage: 'curing', read: 144 }, false],
    ['still being built', { id: 'x', stage: 'building', read: null }, false],
  ])('%s: %p', (_words, say, is) => expect(due(say)).toBe(is));
  test('too hot is due now, whenever it was read', () => {
    const h = heap({ id: 'x', hours: 50, read: 1 });
    const hot = {
      ...h,
      situation: { ...h.situation, rounds: [{ ...h.situation.rounds[0]!, peakC: 75 }] },
    };
    expect(routeOf([hot], null, NOW)[0]!.due).toBe(true);
  });
});
