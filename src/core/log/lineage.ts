import type { BatchId } from './ids';
import { getKindDescription, type Entry } from './entry';

/** Heaps that came out of one another: a part that was carried off shares the past of the heap it came from, not its future. */

/**
 * What a part that was carried off at a moment has of the heap it came from: what had happened to the matter until then. A
 * correction of that past, whenever it was made, is a correction for the part too.
 * @param parent entries of the heap it came from, with what that one had inherited, in the order of the log
 */
export function inheritedFrom(parent: readonly Entry[], at: number): Entry[] {
  const shared = new Set(
    parent
      .filter((e) => getKindDescription(e.kind).inherited && e.kind !== 'correction' && e.at <= at)
      .map((e) => e.id),
  );
  return parent.filter(
    (e) => shared.has(e.id) || (e.kind === 'correction' && shared.has(e.data.target)),
  );
}

/** From which heap, and when, a heap was carried off; null: it was built. */
export function splitFromOf(
  entries: readonly Entry[],
  batch: BatchId,
): { batch: BatchId; at: number } | null {
  const opened = entries.find((e) => e.kind === 'opened' && e.batch === batch);
  return opened?.kind === 'opened' ? (opened.data.splitFrom ?? null) : null;
}

/** How heaps hang together. `share`: of the receiver's volume, where both were known. */
export type Kinship =
  | {
      readonly kind: 'split';
      readonly from: BatchId;
      readonly to: BatchId;
      readonly at: number;
      readonly m3: number;
    }
  | {
      readonly kind: 'merge';
      readonly from: BatchId;
      readonly to: BatchId;
      readonly at: number;
      readonly proven: boolean;
      readonly m3: number | null;
    }
  | {
      readonly kind: 'transfer';
      readonly from: BatchId;
      readonly to: BatchId;
      readonly at: number;
      readonly what: string;
      readonly litres: number | null;
    }
  | { readonly kind: 'stack'; readonly from: BatchId; readonly to: BatchId; readonly at: number };

/** The ties that a heap's own live entries tell of; each act is told once, by the end it left. */
export function kinshipOf(entries: readonly Entry[], batch: BatchId): Kinship[] {
  const gone = new Set(
    entries.flatMap((e) =>
      e.kind === 'correction' && e.data.reading === undefined ? [e.data.target] : [],
    ),
  );
  return entries
    .filter((e) => e.batch === batch && !gone.has(e.id))
    .flatMap((e): Kinship[] => {
      if (e.kind === 'split')
        return [{ kind: 'split', from: batch, to: e.data.to, at: e.at, m3: e.data.volumeM3 }];
      if (e.kind === 'merge' && e.data.from !== undefined)
        return [
          {
            kind: 'merge',
            from: e.data.from,
            to: batch,
            at: e.at,
            proven: e.data.withProven,
            m3: e.data.volumeM3 ?? null,
          },
        ];
      if (e.kind === 'transfer' && e.data.to !== undefined)
        return [
          {
            kind: 'transfer',
            from: batch,
            to: e.data.to,
            at: e.at,
            what: e.data.what,
            litres: e.data.litres ?? null,
          },
        ];
      if (e.kind === 'stack' && e.data.layer === 'upper')
        return [{ kind: 'stack', from: batch, to: e.data.with, at: e.at }];
      return [];
    });
}
