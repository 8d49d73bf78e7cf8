import { statusOfBatch } from '@/core/status/batch-status';
import { positionText } from '@/core/words/position';
import { requireSite, theDb } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import type { NamedBatch } from '../named-batch';

/** The batches that stand on the site, by name. */
export async function listBatches(): Promise<readonly NamedBatch[]> {
  const at = now();
  const board = await snapshotRepo(theDb()).board(await requireSite(), at);
  return board
    .filter((d) => !statusOfBatch(d, at).isGone)
    .map((d) => ({ id: d.id, name: d.name ?? d.code, place: positionText(d.position) }))
    .sort((a, b) => a.name.localeCompare(b.name));
}
