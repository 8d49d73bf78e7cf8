import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'kysely';
import { ownEntry, sealAllRows, sealAllRowsAnew, upgradeMemory } from '@/db/begin-memory';
import { checkLogAndKeep } from '@/db/check-log';
import type { Db } from '@/db/client';
import { migrate, MIGRATIONS } from '@/db/migrate';
import { auditRepo } from '@/db/repositories/audit';
import { chainRepo } from '@/db/repositories/chain';
import { siteRepo } from '@/db/repositories/site';
import { readAuditEnd } from '@/db/seal-audit';
import {
  copyMemory,
  hasSignedLogs,
  joinMemory,
  keepMemoryVersion,
  readLastEnd,
  readMemory,
} from '@/db/site-heads';
import { rebuildSnapshots, writeEntries } from '@/db/write';
import { now } from '@/platform/clock';
import { env } from '@/platform/env';
import { createSiteKey, importSiteKey, siteKey } from '@/platform/site-key';
import {
  countEntries,
  countPhotos,
  DUMP,
  factsOf,
  HEADS,
  KEY,
  MANIFEST,
  ManifestSchema,
  manifestText,
  postgres,
  run,
  sha256OfFile,
  type Manifest,
  type SiteFacts,
} from './manifest';

/** Bringing a backup back into an empty installation, and comparing what came back with what it says of itself. */

/** Unpacks a backup and holds each file in it against the manifest. @throws Error where it is none, or was changed */
function unpack(file: string, work: string): Manifest {
  if (!fs.existsSync(file)) throw new Error(`${file} is not there. Name the backup to restore.`);
  if (file.endsWith('.age'))
    throw new Error(
      `${file} is encrypted. Decrypt it first: age --decrypt --identity KEYFILE --output backup.tar ${file}`,
    );
  try {
    run('tar', ['--extract', `--file=${file}`, `--directory=${work}`, '--no-same-owner']);
  } catch {
    throw new Error(`${file} cannot be unpacked: it is no backup, or it was cut off.`);
  }
  const at = path.join(work, MANIFEST);
  const given: unknown = fs.existsSync(at) ? JSON.parse(fs.readFileSync(at, 'utf8')) : null;
  const version = (given as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > 1)
    throw new Error(`${file} was made by a newer version of the program. Upgrade first.`);
  const parsed = ManifestSchema.safeParse(given);
  if (!parsed.success) throw new Error(`${file} is no backup of Zealous Heap: it has no manifest.`);
  for (const [name, digest] of Object.entries(parsed.data.digests)) {
    const inside = path.join(work, path.basename(name));
    if (!fs.existsSync(inside) || sha256OfFile(inside) !== digest)
      throw new Error(
        `${name} in ${file} is not what the manifest says: the backup was changed or cut off.`,
      );
  }
  const newer = parsed.data.migrations.filter((m) => !(m in MIGRATIONS));
  if (newer.length > 0)
    throw new Error(`${file} was made by a newer version (${newer.join(', ')}). Upgrade first.`);
  return parsed.data;
}

/** One line of what a restored installation was held against. */
export type Compared = { readonly what: string; readonly same: boolean };

export type RestoreCall = {
  readonly passphrase: string | null;
  /** Goes on with a key of its own where the backup's is not at hand: what was signed before bears another one's signature then. */
  readonly newKey: boolean;
};

/**
 * Makes sure of the key that signed what comes back: the one that is here, else the one in the backup. One that has signed a log here
 * is never replaced.
 */
function settleKey(work: string, manifest: Manifest, { passphrase, newKey }: RestoreCall): void {
  const [file, kept] = [env.keyFile(), path.join(work, KEY)];
  if (file === null || siteKey()?.publicKey === manifest.key) return;
  const pem = fs.existsSync(kept) ? fs.readFileSync(kept, 'utf8') : null;
  if (siteKey() !== null && hasSignedLogs())
    throw new Error(
      `This installation has a key that has signed a log, and the backup was signed by another one. Restore into an installation of its own: ZEALOUS_DATA=FOLDER ./zealous restore …`,
    );
  if (pem !== null) {
    importSiteKey(file, pem, passphrase);
    return;
  }
  if (newKey) createSiteKey(file);
  else if (manifest.key !== undefined)
    throw new Error(
      'The backup was signed by a key that is neither here nor in it. Bring that first: ./zealous key import FILE. If it is lost, --new-key goes on with a new one: older entries are then said to be signed by another key.',
    );
}

/**
 * Restores a backup into an installation that holds no site yet, compares what is there with the manifest, and writes down which
 * entries were given up.
 * @throws Error where there is a site already, or the backup cannot be used
 */
export async function restore(
  db: Db,
  url: string,
  file: string,
  call: RestoreCall,
): Promise<{ readonly manifest: Manifest; readonly compared: readonly Compared[] }> {
  await migrate(db);
  const there = await siteRepo(db).first();
  if (there)
    throw new Error(
      `This installation holds the site ${there.name} already. Restore into an empty one: nothing is overwritten.`,
    );
  const work = fs.mkdtempSync(path.join(os.tmpdir(), 'zealous-restore-'));
  try {
    const manifest = unpack(file, work);
    settleKey(work, manifest, call);
    postgres('pg_restore', [
      ...['--clean', '--if-exists', '--no-owner', '--single-transaction', '--exit-on-error'],
      ...['--dbname', url, path.join(work, DUMP)],
    ]);
    await migrate(db);
    const heads = path.join(work, HEADS);
    const copy = fs.existsSync(heads) ? fs.readFileSync(heads, 'utf8') : null;
    if (copy !== null) {
      joinMemory(copy);
      keepMemoryVersion();
    }
    const counted = await compareCounts(db, manifest);
    // A backup from before there was a memory: what an upgrade would have done.
    if (copy === null) await upgradeMemory(db, now());
    // A backup from before rows beside the log were sealed.
    if (!manifest.migrations.includes(SEALED_AUDIT)) await sealAllRows(db, now());
    else if (call.newKey && siteKey()?.publicKey !== manifest.key) await sealAllRowsAnew(db, now());
    await noteGivenUp(db, manifest);
    await noteEventsGivenUp(db);
    const remembered =
      copy === null ? [] : [{ what: 'signed ends of the log', same: isRemembered(copy) }];
    return {
      manifest,
      compared: [...counted, ...remembered, ...(await compareSites(db, manifest))],
    };
  } finally {
    fs.rmSync(work, { recursive: true, force: true });
  }
}

/** The migration from which on rows beside the log are sealed. */
const SEALED_AUDIT = '0025-sealed-audit';
/** So many numbers are left out where it is not known how far the log had come: more than a site logs between two backups. */
const UNKNOWN_NUMBERS = 10_000;

/**
 * Says in each log which numbers were given up: entries that were logged after the backup. They stay empty, so that a phone which saw
 * one of them is told once, and no other entry ever bears its number.
 */
async function noteGivenUp(db: Db, manifest: Manifest): Promise<void> {
  const at = now();
  const sites = await siteRepo(db).all();
  const ends = new Map<string, number>();
  for (const { id } of sites) ends.set(id, (await chainRepo(db).head(id))?.seq ?? 0);
  const lastOf = (id: string): number => {
    const { heads, end } = readMemory(id);
    return Math.max(0, end?.seq ?? 0, ...heads.map((h) => h.seq));
  };
  const last = Math.max(0, ...ends.values());
  // Known on the machine that logged them alone: its last end is in no backup.
  const isAllThere = sites.every(({ id }) => ends.get(id) === readLastEnd(id)?.seq);
  if (isAllThere || sites.length === 0) return;
  const upTo = Math.max(last + UNKNOWN_NUMBERS, ...sites.map(({ id }) => lastOf(id)));
  await sql`select setval(pg_get_serial_sequence('log_entry', 'seq'), ${upTo})`.execute(db);
  for (const site of sites) {
    const after = ends.get(site.id) ?? 0;
    const entry = ownEntry('restored', { madeAt: manifest.madeAt, after, upTo }, at);
    await writeEntries(db, site, [entry], at);
  }
}

/** Records which audit events were given up, where the machine remembers more of them than the backup holds. */
async function noteEventsGivenUp(db: Db): Promise<void> {
  for (const site of [...(await siteRepo(db).ids()), null]) {
    const [there, remembered] = [await auditRepo(db).endOf(site), readAuditEnd(site)];
    if (remembered === null || remembered.n <= there.n) continue;
    const about = { after: String(there.n), upTo: String(remembered.n) };
    const restored = { event: 'restored', site, who: null, about } as const;
    await auditRepo(db).audit(restored, now(), remembered.n + 1);
  }
}

/** How much came back, and who signed it. */
const compareCounts = async (db: Db, manifest: Manifest): Promise<Compared[]> => [
  ...signatureOf(manifest),
  { what: `${manifest.entries} entries`, same: (await countEntries(db)) === manifest.entries },
  { what: `${manifest.photos} pictures`, same: (await countPhotos(db)) === manifest.photos },
];

/** What came back, beside what the manifest says of it: verdicts are folded anew from the log, as of the moment of the backup. */
async function compareSites(db: Db, manifest: Manifest): Promise<Compared[]> {
  const compared: Compared[] = [];
  const { site, head, verdicts, otherSites = [], madeAt } = manifest;
  for (const facts of [{ ...site, head, verdicts }, ...otherSites])
    compared.push(...(await compareSite(db, facts, Date.parse(madeAt))));
  return compared;
}

/** Whether the installation's key signed the manifest; nothing: there is no key, or it is an older backup. */
function signatureOf(manifest: Manifest): Compared[] {
  const key = siteKey();
  if (!key || manifest.signature === undefined) return [];
  return [
    {
      what: 'signature of the backup',
      same: key.sign(manifestText(manifest)) === manifest.signature,
    },
  ];
}

const isRemembered = (copy: string): boolean => {
  const there = new Set(copyMemory().split('\n'));
  return copy.split('\n').every((line) => there.has(line));
};

async function compareSite(db: Db, facts: SiteFacts, madeAt: number): Promise<Compared[]> {
  const site = await siteRepo(db).byId(facts.id);
  if (!site) return [{ what: `site ${facts.name}`, same: false }];
  await rebuildSnapshots(db, site, madeAt);
  const there = await factsOf(db, site, madeAt);
  const report = await checkLogAndKeep(db, site, now());
  return [
    { what: `site ${facts.name}`, same: there.name === facts.name },
    {
      what: 'end of the log',
      same:
        facts.head === null ||
        (await chainRepo(db).hashAt(site.id, facts.head.seq)) === facts.head.hash,
    },
    { what: 'chain, signatures and pictures', same: report.faults.length === 0 },
    { what: 'verdicts, worked out again', same: there.verdicts === facts.verdicts },
  ];
}
