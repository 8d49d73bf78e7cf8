import { statusOfBatch } from '@/core/status/batch-status';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { itemAt } from '@/core/quantity/present';

/** As many heaps stand on the skyline side by side; a site with more sees those round the one in view. */
export const MOST_ON_SKYLINE = 16;

/**
 * The heaps of the skyline: all that still stand, or of many those round the one in view, by the bays they stand in.
 * @param board by bay
 * @param active the heap in view, on the skyline though it is gone
 */
export function skylineOf(
  board: readonly BatchSnapshot[],
  now: number,
  active?: string,
): { shown: readonly BatchSnapshot[]; others: number } {
  const standing = board.filter((d) => !statusOfBatch(d, now).isGone || d.id === active);
  const at = Math.max(
    0,
    standing.findIndex((d) => d.id === active),
  );
  const first = Math.max(0, Math.min(at - MOST_ON_SKYLINE / 2, standing.length - MOST_ON_SKYLINE));
  const shown = standing.slice(first, first + MOST_ON_SKYLINE);
  return { shown, others: standing.length - shown.length };
}

/** Where the keys 1 to 9, and 0 for bay 10, lead. */
export function bayKeysOf(
  board: readonly BatchSnapshot[],
  now: number,
): Readonly<Record<string, string>> {
  const keys: Record<string, string> = {};
  for (const d of board)
    if (d.bay !== null && /^([1-9]|10)$/.test(d.bay) && !statusOfBatch(d, now).isGone)
      keys[itemAt(d.bay, d.bay.length - 1)] = d.id;
  return keys;
}
