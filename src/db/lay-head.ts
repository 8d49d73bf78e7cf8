import { isSameFault, type ChainFault } from '@/core/log/chain';
import { memoryFaults } from './check-log';
import type { Db } from './client';
import { chainRepo } from './repositories/chain';
import type { Site } from './repositories/site';
import { isMemoryThere, keepHead, readMemory } from './site-heads';

type Place = { readonly seq: number; readonly hash: string };

/** Behind which entry the way to the end is walked: the last head that the log bears out, or the last fault that was taken note of. */
async function startOfWalk(db: Db, site: Site, lost: readonly ChainFault[]): Promise<Place | null> {
  const heads = readMemory(site.id).heads.filter(
    (h) => !lost.some((f) => f.seq === h.seq && f.id === h.hash),
  );
  const there = await chainRepo(db).hashesAt(
    site.id,
    heads.map((h) => h.seq),
  );
  const good = heads.filter((h) => there.get(h.seq) === h.hash);
  const notes = await chainRepo(db).signedOfKind(site.id, 'fault-noted');
  return [...good, ...notes].reduce<Place | null>(
    (last, { seq, hash }) => (last === null || seq >= last.seq ? { seq, hash } : last),
    null,
  );
}

/** Faults that no manager has taken note of. */
async function findOpenFaults(
  db: Db,
  site: Site,
  faults: readonly ChainFault[],
): Promise<ChainFault[]> {
  if (faults.length === 0) return [];
  const noted = (await chainRepo(db).signedOfKind(site.id, 'fault-noted')).flatMap(
    (e) => e.data.faults as readonly ChainFault[],
  );
  return faults.filter((f) => !noted.some((n) => isSameFault(n, f)));
}

/**
 * Lays a head: remembers, signed and outside the database, where a site's log ends. Only after the way from the last head to that end
 * was walked and fits, so that nothing is vouched for that was not looked at.
 * @returns what does not fit; a head is laid where nothing new is among it
 */
export async function layHead(db: Db, site: Site, at: number): Promise<readonly ChainFault[]> {
  if (!isMemoryThere()) return memoryFaults(db, site);
  const end = await chainRepo(db).head(site.id);
  const remembered = await memoryFaults(db, site);
  if (end === null || (await findOpenFaults(db, site, remembered)).length > 0) return remembered;
  const { heads, signedFrom } = readMemory(site.id);
  if (signedFrom === null) return remembered;
  const start = await startOfWalk(db, site, remembered);
  const walked = await chainRepo(db).walk(site.id, start, signedFrom);
  const isLaid = heads.some((h) => h.seq === end.seq && h.hash === end.hash);
  if (walked.faults.length === 0 && !isLaid)
    keepHead({ site: site.id, seq: end.seq, hash: end.hash, at });
  return [...remembered, ...walked.faults];
}
