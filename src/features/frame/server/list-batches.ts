import { isGone } from '@/core/advice/situation';
import { positionText } from '@/core/words/position';
import { requireSite, theDb } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { now } from '@/platform/clock';
import type { NamedBatch } from '../named-batch';

/** The batches that stand on the site, by name. */
export async function listBatches(): Promise<readonly NamedBatch[]> {
  const board = await snapshotRepo(theDb()).board(await requireSite(), now());
  return board
    .filter((d) => !isGone(d.situation))
    .map((d) => ({ id: d.id, name: d.name ?? d.code, place: positionText(d.position) }))
    .sort((a, b) => a.name.localeCompare(b.name));
}
