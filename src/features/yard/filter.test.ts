import fc from 'fast-check';
import { METHODS } from '@/core/evidence/types';
import {
  applyFilter,
  filterOf,
  NO_FILTER,
  ORDERS,
  queryOf,
  SHOWS,
  type Listed,
  type YardFilter,
} from './filter';

const NOW = Date.UTC(2026, 4, 20);
const HOUR = 3_600_000;
type Given = {
  readonly id: string;
  readonly danger?: boolean;
  readonly urgent?: boolean;
  readonly readAgo?: number | null;
  readonly builtAgo?: number;
  readonly stage?: string;
  readonly bay?: string;
  readonly method?: string;
};
/** A batch as far as a filter looks at it. */
const listed = ({ id, readAgo = 2, builtAgo = 100, ...g }: Given): Listed =>
  ({
    d: {
      id,
      method: g.method ?? 'turned',
      position: { bay: g.bay ?? '1' },
      builtAt: NOW - builtAgo * HOUR,
      openedAt: NOW - builtAgo * HOUR,
      latest: readAgo === null ? null : { at: NOW - readAgo * HOUR },
      situation: { stage: { code: g.stage ?? 'hot' } },
      rules: [],
    },
    status: {
      stage: { code: g.stage ?? 'hot' },
      main: null,
      danger: { level: 'none', since: null, hot: null },
    },
    plot: { id, advice: { urgent: g.urgent ?? false, danger: g.danger ?? false } },
  }) as unknown as Listed;
const ids = (batches: readonly Given[], filter: Partial<YardFilter>): string[] =>
  applyFilter(batches.map(listed), { ...NO_FILTER, ...filter }, NOW).map((x) => x.plot.id);

test('an address and the filter that it asks for are the same, whichever it is', () => {
  const filter = fc.record({
    show: fc.constantFrom(...SHOWS),
    method: fc.constantFrom(null, ...METHODS),
    place: fc.constantFrom('', 'South', 'bay 3 & 4', 'ñandú'),
    order: fc.constantFrom(...ORDERS),
  });
  fc.assert(fc.property(filter, (f) => expect(filterOf(queryOf(f))).toEqual(f)));
  expect(queryOf(NO_FILTER)).toBe('');
  expect(filterOf('show=everything&method=magic&order=luck')).toEqual(NO_FILTER);
});

test('a batch in danger is shown whatever is asked for', () => {
  const batches = [{ id: 'calm' }, { id: 'hot', danger: true, method: 'static', bay: '9' }];
  for (const show of SHOWS) expect(ids(batches, { show, place: 'nowhere' })).toEqual(['hot']);
});

test('by what is the matter, by method, by place', () => {
  const batches: Given[] = [
    { id: 'a', urgent: true },
    { id: 'b', readAgo: 30 },
    { id: 'c', readAgo: null, method: 'static' },
    { id: 'd', stage: 'curing', bay: 'South' },
    { id: 'e', stage: 'building' },
  ];
  expect(ids(batches, { show: 'attention' })).toEqual(['a']);
  expect(ids(batches, { show: 'unread' })).toEqual(['b', 'c']);
  expect(ids(batches, { show: 'curing' })).toEqual(['d']);
  expect(ids(batches, { show: 'building' })).toEqual(['e']);
  expect(ids(batches, { method: 'static' })).toEqual(['c']);
  expect(ids(batches, { place: 'south' })).toEqual(['d']);
});

test('orders keep everything and put first what they say', () => {
  const batches: Given[] = [
    { id: 'a', builtAgo: 10, readAgo: 1 },
    { id: 'b', builtAgo: 90, readAgo: 40, urgent: true },
    { id: 'c', builtAgo: 50, readAgo: null },
  ];
  expect(ids(batches, { order: 'place' })).toEqual(['a', 'b', 'c']);
  expect(ids(batches, { order: 'urgency' })).toEqual(['b', 'a', 'c']);
  expect(ids(batches, { order: 'youngest' })).toEqual(['a', 'c', 'b']);
  expect(ids(batches, { order: 'oldest' })).toEqual(['b', 'c', 'a']);
  expect(ids(batches, { order: 'unread-longest' })).toEqual(['c', 'b', 'a']);
});
