import fc from 'fast-check';
import { MS } from '../quantity/instant';
import { batchSnapshot, ruleSnapshot } from '../../../tests/support/snapshot';
import type { BatchSnapshot } from '../snapshot/batch-snapshot';
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
  return batchSnapshot({
    id,
    builtAt: NOW - age * MS.day,
    openedAt: NOW - age * MS.day,
    state,
    latest,
    rules: [
      ruleSnapshot({
        creditedHours: hours,
        status,
        provenAt: status === 'proven' ? NOW : null,
        notes: state === 'broken' ? [{ code: 'COLD' }] : [],
      }),
    ],
    situation: {
      stage: { code: stage, since: NOW - MS.day, reason: null, by: null, held: null },
      builtAt: NOW - age * MS.day,
      rounds: latest ? [latest] : [],
      proof: { status, creditedHours: hours, lastHot: latest?.at ?? null },
    },
  });
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
    [
      'curing and met, read six days ago',
      { id: 'x', stage: 'curing', status: 'proven', read: 144 },
      false,
    ],
    ['curing, not met: read as any other', { id: 'x', stage: 'curing', read: 33 }, true],
    ['still being built', { id: 'x', stage: 'building', read: null }, false],
  ])('%s: %p', (_words, say, is) => expect(due(say)).toBe(is));
  const hotAt = (peakC: number, readHoursAgo: number, id = 'x'): BatchSnapshot => {
    const h = heap({ id, hours: 50, read: readHoursAgo });
    return { ...h, situation: { ...h.situation, rounds: [{ ...h.situation.rounds[0]!, peakC }] } };
  };
  test.each([
    ['too hot: read again within four hours', 75, 4, true],
    ['too hot, and just read', 75, 0.1, false],
    ['in danger: read again within the hour', 79, 1, true],
    ['in danger, and just read', 79, 0.1, false],
  ])('%s', (_words, peakC, read, is) =>
    expect(routeOf([hotAt(peakC, read)], null, NOW)[0]!.due).toBe(is),
  );
  test('what may burn is walked to first, the hottest before all, whatever order was set by hand', () => {
    const board = [
      heap({ id: 'curing', stage: 'curing', status: 'proven', hours: 360 }),
      hotAt(78, 2, 'hot'),
      hotAt(82, 2, 'hotter'),
      hotAt(75, 2, 'warm'),
    ];
    expect(ids(board)).toEqual(['hotter', 'hot', 'curing', 'warm']);
    expect(ids(board, ['warm', 'curing', 'hot'])).toEqual(['hotter', 'hot', 'warm', 'curing']);
  });
  test('one on hold is not due, unless it is too hot', () => {
    const held = (d: BatchSnapshot): BatchSnapshot => ({
      ...d,
      situation: {
        ...d.situation,
        stage: { ...d.situation.stage, held: { at: NOW, by: 'Mo', reason: null } },
      },
    });
    expect(routeOf([held(heap({ id: 'x', hours: 50, read: 40 }))], null, NOW)[0]).toMatchObject({
      due: false,
      notNow: { code: 'ON_HOLD' },
    });
    expect(routeOf([held(hotAt(79, 2))], null, NOW)[0]!.due).toBe(true);
  });
  test('what nobody has read is not said to be cold', () =>
    expect(
      routeOf([heap({ id: 'x', status: 'broken', state: 'broken', read: 200 })], null, NOW)[0]!
        .reason,
    ).toEqual({ code: 'UNREAD', since: NOW - 200 * MS.hour }));
});
