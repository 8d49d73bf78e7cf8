import { newId } from '@/platform/ids';
import { requireEntryId } from '@/core/log/ids';
import type { NewEntry } from '@/core/log/entry';
import type { Db } from './client';
import { layHead } from './lay-head';
import { chainRepo } from './repositories/chain';
import { siteRepo, type Site } from './repositories/site';
import { beginMemory, isBeforeMemory, keepMark, keepMemoryVersion } from './site-heads';
import { writeEntries } from './write';

/** What the installation logs by itself, nobody else does. */
const INSTALLATION = 'Zealous Heap';

/** Begins to remember a log: from the first entry from which on all are signed, and where it ends now. */
export async function beginToRemember(db: Db, site: Site, at: number): Promise<number> {
  beginMemory();
  const from = await chainRepo(db).signedFrom(site.id);
  keepMark({ site: site.id, from, at });
  await layHead(db, site, at);
  return from;
}

/** An entry that the installation logs of itself. */
export const ownEntry = (kind: 'signed-from' | 'restored', data: object, at: number): NewEntry =>
  ({
    ...{ id: requireEntryId(newId()), batch: null, at, by: INSTALLATION, kind, data },
  }) as unknown as NewEntry;

/**
 * What is done once, where an installation comes from before there was a memory: its sites are sealed, and from which entry on all
 * are signed is laid down, beside the key and in the log. Never again: what is not signed afterwards was put in by somebody else.
 */
export async function upgradeMemory(db: Db, at: number): Promise<void> {
  if (!isBeforeMemory()) return;
  beginMemory();
  for (const site of await siteRepo(db).all()) {
    await siteRepo(db).seal(site);
    const isEmpty = (await chainRepo(db).head(site.id)) === null;
    const from = await beginToRemember(db, site, at);
    if (!isEmpty) await writeEntries(db, site, [ownEntry('signed-from', { from }, at)], at);
  }
  keepMemoryVersion();
}
