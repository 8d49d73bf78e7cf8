import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'kysely';
import { z } from 'zod';
import { canonicalJson } from '@/core/log/entry';
import { checkLogAndKeep } from '@/db/check-log';
import type { Db } from '@/db/client';
import { migrate, MIGRATIONS } from '@/db/migrate';
import { chainCheckRepo } from '@/db/repositories/chain-checks';
import { chainRepo } from '@/db/repositories/chain';
import { siteRepo, type Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { rebuildSnapshots } from '@/db/write';
import { now } from '@/platform/clock';

/** Backing up, restoring, and telling what runs: what `./zealous` does with a whole installation. */

const MANIFEST = 'manifest.json';
const DUMP = 'database.dump';
const KEY = 'site-key.pem';
const SUFFIX = '.zealous-heap-backup';

const HeadSchema = z.looseObject({ seq: z.int(), hash: z.string() }).nullable();
const SiteFactsSchema = z.looseObject({
  id: z.string(),
  name: z.string(),
  head: HeadSchema,
  verdicts: z.string(),
});
type SiteFacts = z.output<typeof SiteFactsSchema>;
const ManifestSchema = z.looseObject({
  format: z.literal('zealous-heap/backup'),
  version: z.literal(1),
  madeAt: z.string(),
  migrations: z.array(z.string()),
  site: z.looseObject({ id: z.string(), name: z.string() }),
  /** The end of the log, as `./zealous chain --since` takes it. */
  head: HeadSchema,
  entries: z.int(),
  photos: z.int(),
  /** What else the installation holds, site by site. */
  otherSites: z.array(SiteFactsSchema).optional(),
  /** SHA-256 over all verdicts: a restored log folds to the same. */ verdicts: z.string(),
  /** SHA-256 of each file beside this one. */ digests: z.record(z.string(), z.string()),
});
export type Manifest = z.output<typeof ManifestSchema>;

const sha256 = (bytes: Buffer | string): string => createHash('sha256').update(bytes).digest('hex');
/** Read bit by bit: a dump with many pictures is larger than what fits into memory at once. */
function sha256OfFile(file: string): string {
  const [hash, piece] = [createHash('sha256'), Buffer.alloc(1 << 20)];
  const opened = fs.openSync(file, 'r');
  try {
    for (let read; (read = fs.readSync(opened, piece)) > 0;) hash.update(piece.subarray(0, read));
  } finally {
    fs.closeSync(opened);
  }
  return hash.digest('hex');
}

/** A program of PostgreSQL's own, in the version of the server. @throws Error with what it said */
function postgres(program: string, args: readonly string[]): void {
  const bin = process.env.PG_BIN;
  const ran = spawnSync(bin ? path.join(bin, program) : program, args, { encoding: 'utf8' });
  if (ran.error)
    throw new Error(
      `${program} cannot be run: ${ran.error.message}. Install PostgreSQL's client programs.`,
    );
  if (ran.status !== 0)
    throw new Error(`${program} failed: ${ran.stderr.trim().split('\n').slice(-3).join(' ')}`);
}
function run(program: string, args: readonly string[]): void {
  const ran = spawnSync(program, args, { encoding: 'utf8' });
  if (ran.status !== 0)
    throw new Error(`${program} failed: ${ran.error?.message ?? ran.stderr.trim()}`);
}

/** How each batch stands with each rule, as of a moment; null where the log holds no site. */
async function verdictsOf(db: Db, site: Site, at: number): Promise<string> {
  const { snapshots } = await snapshotRepo(db).read(site, at);
  const facts = snapshots
    .map((s) => ({
      id: s.id,
      rules: s.rules.map(({ rule, status, provenAt }) => ({ rule, status, provenAt })),
    }))
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  return sha256(canonicalJson(facts));
}

const countPhotos = async (db: Db): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('photo')
        .select(db.fn.countAll<string>().as('n'))
        .executeTakeFirstOrThrow()
    ).n,
  );
const countEntries = async (db: Db): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('log_entry')
        .select(db.fn.countAll<string>().as('n'))
        .executeTakeFirstOrThrow()
    ).n,
  );

/** Where the log of a site ends, and what it folds to. */
async function factsOf(db: Db, site: Site, at: number): Promise<SiteFacts> {
  const head = await chainRepo(db).head(site.id);
  return {
    ...{ id: site.id, name: site.name },
    head: head && { seq: head.seq, hash: head.hash },
    verdicts: await verdictsOf(db, site, at),
  };
}

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

/**
 * Writes everything of an installation into one file: database with pictures, and the key. It is written beside and renamed, so a
 * backup that was killed leaves no half file under its name.
 * @param keep older backups in the folder beyond so many are deleted; undefined: none is
 * @param recipient encrypts for this age recipient; undefined: it is not encrypted
 * @returns where it lies
 */
export async function backUp(
  db: Db,
  url: string,
  folder: string,
  {
    keep,
    recipient,
    keyFile,
  }: { keep?: number | undefined; recipient?: string | undefined; keyFile: string | null },
): Promise<{ readonly file: string; readonly manifest: Manifest }> {
  const sites = await siteRepo(db).all();
  if (sites.length === 0) throw new Error('No site yet: there is nothing to back up.');
  fs.mkdirSync(folder, { recursive: true });
  const work = fs.mkdtempSync(path.join(os.tmpdir(), 'zealous-backup-'));
  try {
    const made = await dumpInto(db, url, work, sites);
    const hasKey = keyFile !== null && fs.existsSync(keyFile);
    if (hasKey) fs.copyFileSync(keyFile, path.join(work, KEY));
    const manifest: Manifest = {
      ...made,
      digests: {
        ...made.digests,
        ...(hasKey ? { [KEY]: sha256OfFile(path.join(work, KEY)) } : {}),
      },
    };
    fs.writeFileSync(path.join(work, MANIFEST), `${JSON.stringify(manifest, null, 1)}\n`);
    const stamp = manifest.madeAt.replace(/[-:]/g, '').replace('T', '-').slice(0, 15);
    const file = path.join(folder, `zealous-${stamp}${SUFFIX}${recipient ? '.age' : ''}`);
    const part = `${file}.part`;
    const inside = [MANIFEST, DUMP, ...(hasKey ? [KEY] : [])];
    const tar = recipient ? path.join(work, 'all.tar') : part;
    fs.rmSync(part, { force: true });
    run('tar', ['--create', `--file=${tar}`, `--directory=${work}`, ...inside]);
    if (recipient) run('age', ['--encrypt', '--recipient', recipient, '--output', part, tar]);
    // It holds the key and what people typed: nobody else on this machine reads it.
    fs.chmodSync(part, 0o600);
    fs.renameSync(part, file);
    if (keep !== undefined)
      for (const old of backupsIn(folder).slice(Math.max(1, keep)))
        fs.rmSync(path.join(folder, old));
    return { file, manifest };
  } finally {
    fs.rmSync(work, { recursive: true, force: true });
  }
}

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
  const parsed = fs.existsSync(at)
    ? ManifestSchema.safeParse(JSON.parse(fs.readFileSync(at, 'utf8')))
    : null;
  if (!parsed?.success)
    throw new Error(`${file} is no backup of Zealous Heap: it has no manifest.`);
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

/**
 * Restores a backup into an installation that holds no site yet, and compares what is there with the manifest.
 * @throws Error where there is a site already, or the backup cannot be used
 */
export async function restore(
  db: Db,
  url: string,
  file: string,
  keyFile: string | null,
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
    postgres('pg_restore', [
      ...['--clean', '--if-exists', '--no-owner', '--single-transaction', '--exit-on-error'],
      ...['--dbname', url, path.join(work, DUMP)],
    ]);
    const key = path.join(work, KEY);
    if (keyFile !== null && fs.existsSync(key)) {
      fs.copyFileSync(key, keyFile);
      fs.chmodSync(keyFile, 0o600);
    }
    await migrate(db);
    return { manifest, compared: await compare(db, manifest) };
  } finally {
    fs.rmSync(work, { recursive: true, force: true });
  }
}

/** What came back, beside what the manifest says of it: verdicts are folded anew from the log, as of the moment of the backup. */
async function compare(db: Db, manifest: Manifest): Promise<Compared[]> {
  const compared: Compared[] = [
    { what: `${manifest.entries} entries`, same: (await countEntries(db)) === manifest.entries },
    { what: `${manifest.photos} pictures`, same: (await countPhotos(db)) === manifest.photos },
  ];
  const { site, head, verdicts, otherSites = [], madeAt } = manifest;
  for (const facts of [{ ...site, head, verdicts }, ...otherSites])
    compared.push(...(await compareSite(db, facts, Date.parse(madeAt))));
  return compared;
}

async function compareSite(db: Db, facts: SiteFacts, madeAt: number): Promise<Compared[]> {
  const site = await siteRepo(db).byId(facts.id);
  if (!site) return [{ what: `site ${facts.name}`, same: false }];
  await rebuildSnapshots(db, site, madeAt);
  const there = await factsOf(db, site, madeAt);
  const report = await checkLogAndKeep(db, site, now());
  return [
    { what: `site ${facts.name}`, same: there.name === facts.name },
    { what: 'end of the log', same: there.head?.hash === facts.head?.hash },
    { what: 'chain, signatures and pictures', same: report.faults.length === 0 },
    { what: 'verdicts, worked out again', same: there.verdicts === facts.verdicts },
  ];
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
