import { firstOf, lastOf } from './present';

/** Keeps the coldest of each of at most `most` equal spans of time, so that a million readings draw as one honest line. */
export function thinToColdest<T extends { readonly at: number; readonly c: number }>(
  samples: readonly T[],
  most: number,
): T[] {
  if (samples.length <= most) return [...samples];
  const [from, to] = [firstOf(samples).at, lastOf(samples).at];
  const spans = new Map<number, T>();
  for (const s of samples) {
    const i = Math.min(most - 1, Math.floor(((s.at - from) / (to - from || 1)) * most));
    const kept = spans.get(i);
    if (!kept || s.c < kept.c) spans.set(i, s);
  }
  return [...spans.values()].sort((a, b) => a.at - b.at);
}
