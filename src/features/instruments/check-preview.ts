import type { Effect } from '@/entry/effects';

/** What a check of a thermometer does to the rules of a batch. */
export type CheckEffect = { readonly heap: string; readonly effects: readonly Effect[] };
/** `counts`: what the check does from its time on. `doubts`: what would be lost if it had been as far off ever since the check before. */
export type CheckPreview = {
  readonly since: string | null;
  readonly counts: readonly CheckEffect[];
  readonly doubts: readonly CheckEffect[];
  readonly heaps: number;
};
