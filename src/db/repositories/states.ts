import type { Entry } from '@/core/log/entry';
import type { BatchId } from '@/core/log/ids';
import { foldBatch, growByRounds, type BatchState } from '@/core/log/fold';
import { firstOf } from '@/core/quantity/present';
import { noteGrowth } from '@/core/snapshot/growing-assessment';
import type { Db } from '../client';
import { logRepo } from './log';

/** A batch as of an entry of its own: the hash covers all that the log held then. */
type HeldState = { readonly seq: number; readonly hash: string; readonly state: BatchState };

/** A process remembers batches up to so many readings in all; the batch that was asked for longest ago goes first. */
const MOST_READINGS = 600_000;
const held = new Map<BatchId, HeldState>();
let readingsHeld = 0;

function forget(batch: BatchId): void {
  readingsHeld -= held.get(batch)?.state.readings.length ?? 0;
  held.delete(batch);
}

function hold(batch: BatchId, known: HeldState): BatchState {
  forget(batch);
  held.set(batch, known);
  readingsHeld += known.state.readings.length;
  for (const oldest of held.keys()) {
    if (readingsHeld <= MOST_READINGS || oldest === batch) break;
    forget(oldest);
  }
  return known.state;
}

/** Forgets every batch, so that the next look is at the log itself. */
export function forgetStates(): void {
  held.clear();
  readingsHeld = 0;
}

/** What a batch has become by rounds that came in since; null: it is read anew. */
async function grow(db: Db, batch: BatchId, known: HeldState): Promise<HeldState | null> {
  const [last, ...fresh] = await logRepo(db).ofBatchFrom(batch, known.seq);
  // Where that entry is gone, what was remembered was of a transaction that came to nothing.
  if (last?.hash !== known.hash || fresh.length === 0) return null;
  const state = growByRounds(known.state, fresh);
  if (!state) return null;
  noteGrowth(known.state, state);
  return endingWith(state);
}

/** A state with the entry of the batch's own that it ends with. */
function endingWith(state: BatchState): HeldState {
  const { seq, hash } = state.entries.reduce<Entry>(
    (a, e) => (e.batch === state.id && e.seq >= a.seq ? e : a),
    firstOf(state.entries),
  );
  return { seq, hash, state };
}

/**
 * A batch as its entries tell it, remembered from look to look: rounds that came in since are added, after any other entry it is
 * folded anew. Null: there is no such batch.
 */
export async function readBatchState(db: Db, batch: BatchId): Promise<BatchState | null> {
  const hash = await logRepo(db).lastHashOfBatch(batch);
  if (hash === null) return null;
  const known = held.get(batch);
  if (known?.hash === hash) return hold(batch, known);
  const grown = known ? await grow(db, batch, known) : null;
  if (grown?.hash === hash) return hold(batch, grown);
  const state = foldBatch(await logRepo(db).ofBatch(batch));
  // What was inherited changes with the heap that it was carried off from.
  const isInherited = firstOf(state.entries).batch !== batch;
  return isInherited ? state : hold(batch, endingWith(state));
}
