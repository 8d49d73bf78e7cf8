import { entry, idOf, load, NOW } from './store';
import { LotBook } from '@/core/lots/book';
import { foldLots } from '@/core/lots/fold';
import { flowSiteOf } from '@/core/lots/site-flows';
import type { Entry } from '@/core/log/entry';
import { foldStore } from '@/core/mix/store';
import { MS } from '@/core/quantity/instant';

/** A season in memory: two loads, one batch, what it was cured, screened and spread as. */

export const HAY = load(
  'hay',
  { in: 'litres', n: 1200 },
  { supplier: 'Low meadow', sprayed: 'unknown' },
  60 * 24,
);
export const DUNG = load('horse-manure', { in: 'litres', n: 800 }, { supplier: 'Livery' }, 60 * 24);
export const [H, U, C, F, V] = [901, 902, 903, 904, 905].map((i) => idOf(i) as string) as [
  string,
  string,
  string,
  string,
  string,
];
export const opened = (id: string, code: string, hoursAgo: number): Entry =>
  ({
    ...entry(
      'opened',
      { code, method: 'turned', points: [{ id: 'P1' }], policy: {}, rules: [], ownRules: [] },
      hoursAgo,
      id,
    ),
    id,
  }) as unknown as Entry;
export const withId = (id: string, e: Entry): Entry => ({ ...e, id }) as unknown as Entry;
export const lot = (id: string, kind: string, code: string, hoursAgo: number): Entry =>
  withId(id, entry('lot', { kind, code }, hoursAgo));
const part = (from: Entry, n: number) => ({
  material: 'hay',
  load: from.id,
  amount: { in: 'litres' as const, n },
});

/** Two loads into one batch that met its rule; half of it cured, screened, and spread. */
export const SEASON: readonly Entry[] = [
  HAY,
  DUNG,
  opened(H, 'H', 58 * 24),
  entry('charge', { parts: [part(HAY, 1200), part(DUNG, 800)] }, 57 * 24, H),
  entry('built', {}, 57 * 24 - 1, H),
  lot(C, 'curing', 'C1', 30 * 24),
  entry('cure', { to: C, all: true, litres: 1500 }, 30 * 24, H),
  entry('ended', { reason: 'curing', lot: C }, 30 * 24 - 0.1, H),
  lot(F, 'fines', 'F1', 10 * 24),
  lot(V, 'overs', 'V1', 10 * 24),
  entry(
    'screening',
    {
      inputs: [{ lot: C, litres: 1000, all: false }],
      meshMm: 9.5,
      wetness: 'moist',
      outputs: [
        { lot: F, litres: 700 },
        { lot: V, litres: 250 },
      ],
      rejectsL: 10,
      hours: 2,
      people: 2,
    },
    10 * 24,
  ),
  entry(
    'lot-out',
    { lot: F, how: 'bed', litres: 300, all: false, bed: { name: 'Squash' } },
    5 * 24,
  ),
  entry(
    'lot-out',
    { lot: F, how: 'sold', litres: 100, all: false, party: 'A neighbour', price: 40 },
    4 * 24,
  ),
];
const PROOF = {
  ...{ lot: H, at: NOW - 35 * 24 * MS.hour, rule: 'us-503-pfrp-turned' },
  rimUnread: false,
};
export function bookOf(entries: readonly Entry[], proofs = [PROOF], now = NOW) {
  const store = foldStore(entries);
  const state = foldLots(entries);
  const site = flowSiteOf(entries, store, proofs);
  return {
    store,
    state,
    book: new LotBook({ state, site, store, germProofs: proofs, seedProofs: [], leastM3: 1 }, now),
  };
}
