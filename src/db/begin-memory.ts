import { newId } from '@/platform/ids';
import { requireEntryId } from '@/core/log/ids';
import type { NewEntry } from '@/core/log/entry';
import type { Db } from './client';
import { layHead } from './lay-head';
import { auditRepo } from './repositories/audit';
import { chainRepo } from './repositories/chain';
import { inspectionRepo, visitFacts } from './repositories/inspections';
import { memberRepo, recordPlace } from './repositories/members';
import { siteRepo, type Site } from './repositories/site';
import { beginAuditEnd, NO_EVENTS } from './seal-audit';
import {
  beginMemory,
  isBeforeMemory,
  isBeforeSealedRows,
  keepMark,
  keepMemoryVersion,
} from './site-heads';
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

/** Numbers the audit events so far, and records the places and visits that there are. */
async function sealRows(db: Db, site: string | null, at: number): Promise<void> {
  const events = await auditRepo(db).all(site);
  let end = await auditRepo(db).endOf(site);
  for (const event of events) if (event.n === null) end = await auditRepo(db).number(event, end);
  beginAuditEnd(site, end);
  if (site === null) return;
  for (const { person } of await memberRepo(db).placesOf(site))
    await recordPlace(db, site, person, at);
  for (const visit of await inspectionRepo(db).visitsOf(site))
    await auditRepo(db).audit({ event: 'visited', site, who: null, about: visitFacts(visit) }, at);
}

/** Seals the rows beside the logs of all sites, and what each calls itself and speaks. */
export async function sealAllRows(db: Db, at: number): Promise<void> {
  const sites = await siteRepo(db).all();
  for (const site of sites) {
    await siteRepo(db).sealLanguage(site);
    await sealRows(db, site.id, at);
  }
  await sealRows(db, null, at);
}

/** The same after the key was lost and another one was made: what the old key sealed cannot be checked any more. */
export async function sealAllRowsAnew(db: Db, at: number): Promise<void> {
  await db.updateTable('audit_event').set({ n: null, code: null }).execute();
  await sealAllRows(db, at);
}

/** Forgets the end of what happened of no site, where the database is a new one: it was emptied by a command, and nothing is missing. */
export async function forgetEventsOfEmptyDatabase(db: Db): Promise<void> {
  const isEmpty = (await siteRepo(db).ids()).length === 0;
  if (isEmpty && (await auditRepo(db).endOf(null)).n === 0) beginAuditEnd(null, NO_EVENTS);
}

/**
 * What is done once, where an installation comes from before there was a memory: its sites are sealed, and from which entry on all
 * are signed is laid down, beside the key and in the log. Never again: what is not signed afterwards was put in by somebody else. The
 * same of rows beside the log, where it comes from before those were sealed.
 */
export async function upgradeMemory(db: Db, at: number): Promise<void> {
  if (!isBeforeSealedRows()) return;
  if (isBeforeMemory()) await rememberAllLogs(db, at);
  await sealAllRows(db, at);
  keepMemoryVersion();
}

async function rememberAllLogs(db: Db, at: number): Promise<void> {
  beginMemory();
  for (const site of await siteRepo(db).all()) {
    await siteRepo(db).seal(site);
    const isEmpty = (await chainRepo(db).head(site.id)) === null;
    const from = await beginToRemember(db, site, at);
    if (!isEmpty) await writeEntries(db, site, [ownEntry('signed-from', { from }, at)], at);
  }
}
