import type { Instant } from '../quantity/instant';
import type { BatchId, EntryId } from './ids';
import { getKindDescription, type Entry, type NewEntry } from './entry';

/** Heaps that came out of one another: a part that was carried off shares the past of the heap it came from, not its future. */

/**
 * What a part that was carried off at a moment has of the heap it came from: what had happened to the matter until then. What is said
 * of that past later, that it was put right or has been checked, is said of the part's past too.
 * @param parent entries of the heap it came from, with what that one had inherited, in the order of the log
 */
export function inheritedFrom(parent: readonly Entry[], at: number): Entry[] {
  const shared = new Set<EntryId>();
  for (const e of parent)
    if (targetOf(e) === null && getKindDescription(e.kind).inherited && e.at <= at)
      shared.add(e.id);
  // One may speak of another, which stands before it in the log.
  for (const e of parent) {
    const target = targetOf(e);
    if (target !== null && shared.has(target)) shared.add(e.id);
  }
  return parent.filter((e) => shared.has(e.id));
}

/** The entry that another one speaks of; null: it speaks of none. */
const targetOf = (e: NewEntry): EntryId | null =>
  e.kind === 'correction' || e.kind === 'entry-check' ? e.data.target : null;

/** A batch that an entry can change, and from which moment on; -Infinity: as a whole. */
export type Touched = { readonly batch: BatchId; readonly from: Instant };
/** A part that was carried off, and when. */
export type Heir = { readonly batch: BatchId; readonly at: Instant };

/**
 * Batches that an entry of a batch's own can change: that one, and every part that was carried off from it later, since a part has
 * the past of where it came from.
 * @param heirsOf parts that were carried off from a batch
 */
export async function findTouched(
  entry: NewEntry & { readonly batch: BatchId },
  heirsOf: (batch: BatchId) => Promise<readonly Heir[]>,
): Promise<Touched[]> {
  const description = getKindDescription(entry.kind);
  const from = description.changesFrom?.(entry.data, entry.at) ?? -Infinity;
  const touched: Touched[] = [{ batch: entry.batch, from }];
  if (!description.inherited && targetOf(entry) === null) return touched;
  for (const { batch } of touched)
    for (const heir of await heirsOf(batch))
      // What is said of an entry of the past may be logged long after the part was carried off.
      if (targetOf(entry) !== null || entry.at <= heir.at)
        touched.push({ batch: heir.batch, from });
  return touched;
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
