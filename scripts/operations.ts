import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'kysely';
import type { Db } from '@/db/client';
import { layHead } from '@/db/lay-head';
import { MIGRATIONS } from '@/db/migrate';
import { chainCheckRepo } from '@/db/repositories/chain-checks';
import { siteRepo, type Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { copyMemory, isMemoryThere } from '@/db/site-heads';
import { now } from '@/platform/clock';
import { env } from '@/platform/env';
import { exportSiteKey, siteKey } from '@/platform/site-key';
import {
  countEntries,
  countPhotos,
  DUMP,
  factsOf,
  HEADS,
  KEY,
  MANIFEST,
  manifestText,
  postgres,
  run,
  sha256OfFile,
  SUFFIX,
  type Manifest,
} from './manifest';

/** Backing up, and telling what runs: what `./zealous` does with a whole installation. */

/** The dump and its manifest are of one moment: both are read in one snapshot of the database. */
async function dumpInto(
  db: Db,
  url: string,
  folder: string,
  sites: readonly Site[],
): Promise<Manifest> {
  const madeAt = now();
  // Verdicts that only time has changed are folded first: the reading below may write nothing.
  for (const site of sites) await snapshotRepo(db).read(site, madeAt);
  return db
    .transaction()
    .setIsolationLevel('repeatable read')
    .execute(async (trx) => {
      // It waits for the dump of the whole database, and reads all of it: nobody else's patience applies.
      await sql`set local idle_in_transaction_session_timeout = 0`.execute(trx);
      await sql`set local statement_timeout = 0`.execute(trx);
      const { rows } = await sql<{ id: string }>`select pg_export_snapshot() as id`.execute(trx);
      const snapshot = rows[0]?.id ?? '';
      const dump = path.join(folder, DUMP);
      postgres('pg_dump', [
        '--format=custom',
        '--no-owner',
        // Whoever finds the backup is signed in nowhere by it.
        ...['--exclude-table-data=session', '--exclude-table-data=verification'],
        `--snapshot=${snapshot}`,
        `--file=${dump}`,
        url,
      ]);
      const facts = [];
      for (const site of sites) facts.push(await factsOf(trx, site, madeAt));
      const [first, ...otherSites] = facts;
      if (!first) throw new Error('No site yet: there is nothing to back up.');
      return {
        format: 'zealous-heap/backup',
        version: 1,
        madeAt: new Date(madeAt).toISOString(),
        migrations: Object.keys(MIGRATIONS),
        site: { id: first.id, name: first.name },
        head: first.head,
        otherSites,
        entries: await countEntries(trx),
        photos: await countPhotos(trx),
        verdicts: first.verdicts,
        digests: { [DUMP]: sha256OfFile(dump) },
      };
    });
}

/** Backups in a folder, the newest first. */
const backupsIn = (folder: string): string[] =>
  fs
    .readdirSync(folder)
    .filter((f) => f.startsWith('zealous-') && f.includes(SUFFIX) && !f.endsWith('.part'))
    .sort()
    .reverse();

/** How the key goes into a backup: not at all, encrypted for a passphrase, or with everything else for an age recipient. */
export type KeyKept = {
  readonly recipient?: string | undefined;
  readonly passphrase?: string | undefined;
};

/** The key beside the dump, where whoever finds the backup cannot use it. @returns the names of what was written */
function writeKey(work: string, { recipient, passphrase }: KeyKept): string[] {
  const keyFile = env.keyFile();
  const isWanted = recipient !== undefined || passphrase !== undefined;
  if (keyFile === null || !isWanted || !fs.existsSync(keyFile)) return [];
  fs.writeFileSync(path.join(work, KEY), exportSiteKey(keyFile, passphrase ?? null));
  return [KEY];
}

/** What the installation remembers of its logs. @returns the names of what was written */
function writeHeads(work: string): string[] {
  if (!isMemoryThere()) return [];
  fs.writeFileSync(path.join(work, HEADS), copyMemory());
  return [HEADS];
}

/** A manifest with what else lies beside it, signed. */
function complete(made: Manifest, work: string, names: readonly string[]): Manifest {
  const digests = Object.fromEntries(names.map((n) => [n, sha256OfFile(path.join(work, n))]));
  const key = siteKey();
  const manifest: Manifest = {
    ...made,
    digests: { ...made.digests, ...digests },
    ...(key ? { key: key.publicKey } : {}),
  };
  return key ? { ...manifest, signature: key.sign(manifestText(manifest)) } : manifest;
}

/**
 * Writes everything of an installation into one file: database with pictures, what is remembered of its logs, and the key where it can
 * be encrypted. It is written beside and renamed, so a backup that was killed leaves no half file under its name.
 * @param keep older backups in the folder beyond so many are deleted; undefined: none is
 * @param kept how the key goes with it; a recipient encrypts everything
 * @returns where it lies
 */
export async function backUp(
  db: Db,
  url: string,
  folder: string,
  { keep, ...kept }: KeyKept & { readonly keep?: number | undefined },
): Promise<{ readonly file: string; readonly manifest: Manifest; readonly hasKey: boolean }> {
  const sites = await siteRepo(db).all();
  if (sites.length === 0) throw new Error('No site yet: there is nothing to back up.');
  // From the first byte on nobody else on this machine reads what people typed.
  process.umask(0o077);
  fs.mkdirSync(folder, { recursive: true });
  for (const site of sites) await layHead(db, site, now());
  const work = fs.mkdtempSync(path.join(os.tmpdir(), 'zealous-backup-'));
  try {
    const made = await dumpInto(db, url, work, sites);
    const beside = [...writeKey(work, kept), ...writeHeads(work)];
    const manifest = complete(made, work, beside);
    fs.writeFileSync(path.join(work, MANIFEST), `${JSON.stringify(manifest, null, 1)}\n`);
    const file = pack(folder, work, manifest, [MANIFEST, DUMP, ...beside], kept.recipient);
    if (keep !== undefined)
      for (const old of backupsIn(folder).slice(Math.max(1, keep)))
        fs.rmSync(path.join(folder, old));
    return { file, manifest, hasKey: beside.includes(KEY) };
  } finally {
    fs.rmSync(work, { recursive: true, force: true });
  }
}

/** Everything as one file under its name. @returns where it lies */
function pack(
  folder: string,
  work: string,
  { madeAt }: Manifest,
  names: readonly string[],
  recipient: string | undefined,
): string {
  const stamp = madeAt.replace(/[-:]/g, '').replace('T', '-').slice(0, 15);
  const file = path.join(folder, `zealous-${stamp}${SUFFIX}${recipient ? '.age' : ''}`);
  const part = `${file}.part`;
  const tar = recipient ? path.join(work, 'all.tar') : part;
  fs.rmSync(part, { force: true });
  run('tar', ['--create', `--file=${tar}`, `--directory=${work}`, ...names]);
  if (recipient) run('age', ['--encrypt', '--recipient', recipient, '--output', part, tar]);
  fs.renameSync(part, file);
  return file;
}

export type Status = {
  readonly sites: readonly string[];
  readonly entries: number;
  readonly photos: number;
  readonly databaseMb: number;
  readonly migrations: string;
  readonly chain: { readonly checkedAt: string; readonly faults: number } | null;
  readonly lastBackup: string | null;
  readonly postgres: string;
  readonly node: string;
};

/** What an installation holds and how it stands. @param folder where its backups lie */
export async function statusOf(db: Db, folder: string): Promise<Status> {
  const sites = await siteRepo(db).all();
  const checks = [];
  for (const site of sites) {
    const check = await chainCheckRepo(db).last(site.id);
    if (check) checks.push(check);
  }
  const { rows } = await sql<{ mb: string; version: string }>`
    select (pg_database_size(current_database()) / 1e6)::text as mb, current_setting('server_version') as version`.execute(
    db,
  );
  const last = fs.existsSync(folder) ? backupsIn(folder)[0] : undefined;
  return {
    sites: sites.map((s) => s.name),
    entries: await countEntries(db),
    photos: await countPhotos(db),
    databaseMb: Math.round(Number(rows[0]?.mb ?? 0) * 10) / 10,
    migrations: Object.keys(MIGRATIONS).at(-1) ?? '',
    chain:
      checks.length === 0
        ? null
        : {
            checkedAt: new Date(Math.min(...checks.map((c) => c.at))).toISOString(),
            faults: checks.reduce((sum, c) => sum + c.faults.length, 0),
          },
    lastBackup: last ?? null,
    postgres: rows[0]?.version ?? '',
    node: process.versions.node,
  };
}
