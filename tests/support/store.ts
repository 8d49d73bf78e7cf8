import type { EntryId } from '@/core/log/ids';
import { entryId } from './ids';
import type { Entry, EntryKind } from '@/core/log/entry';
import type { Amount, Load } from '@/core/log/store-shapes';
import { MS } from '@/core/quantity/instant';

/** Entries of a store in memory, as of a fixed noon. */
export const NOW = Date.UTC(2026, 4, 20, 12);
export const LOCALE = { timeZone: 'UTC', unit: 'C', now: NOW } as const;
let n = 0;
export const idOf = (i: number): EntryId =>
  entryId(`0190bbbb-0000-7000-8000-${String(i).padStart(12, '0')}`);
export const entry = (
  kind: EntryKind,
  data: object,
  hoursAgo = 1,
  batch: string | null = null,
): Entry => {
  n += 1;
  return {
    id: idOf(n),
    batch,
    at: NOW - hoursAgo * MS.hour,
    by: 'Mo',
    kind,
    data,
    seq: n,
    recordedAt: NOW,
    hash: '',
  } as unknown as Entry;
};
export const barrows = (x: number): Amount => ({
  in: 'measure',
  n: x,
  measure: 'barrow',
  name: 'barrow',
  litresEach: 90,
});
export const load = (
  material: string,
  amount: Amount,
  more: Partial<Load> = {},
  hoursAgo = 48,
): Entry =>
  entry(
    'load',
    { material, amount, state: 'fresh', sprayed: 'no', answer: 'accept', waste: true, ...more },
    hoursAgo,
  );
