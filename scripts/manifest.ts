import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { canonicalJson } from '@/core/log/entry';
import type { Db } from '@/db/client';
import { chainRepo } from '@/db/repositories/chain';
import type { Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';

/** What a backup holds, and what it is held against when it comes back. */

export const MANIFEST = 'manifest.json';
export const DUMP = 'database.dump';
export const KEY = 'site-key.pem';
export const HEADS = 'site-key.heads';
export const SUFFIX = '.zealous-heap-backup';

const HeadSchema = z.looseObject({ seq: z.int(), hash: z.string() }).nullable();
const SiteFactsSchema = z.looseObject({
  id: z.string(),
  name: z.string(),
  head: HeadSchema,
  verdicts: z.string(),
});
export type SiteFacts = z.output<typeof SiteFactsSchema>;
export const ManifestSchema = z.looseObject({
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
  /** Public half of the key that signed this, and its signature; absent: an older backup, or an installation without a key. */
  key: z.string().optional(),
  signature: z.string().optional(),
});
export type Manifest = z.output<typeof ManifestSchema>;

/** The text that a manifest's signature is taken over. */
export const manifestText = ({ signature: _over, ...manifest }: Manifest): string =>
  canonicalJson({ ...manifest, format: 'zealous-heap/backup' });

const sha256 = (bytes: Buffer | string): string => createHash('sha256').update(bytes).digest('hex');
/** Read bit by bit: a dump with many pictures is larger than what fits into memory at once. */
export function sha256OfFile(file: string): string {
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
export function postgres(program: string, args: readonly string[]): void {
  const bin = process.env.PG_BIN;
  const ran = spawnSync(bin ? path.join(bin, program) : program, args, { encoding: 'utf8' });
  if (ran.error)
    throw new Error(
      `${program} cannot be run: ${ran.error.message}. Install PostgreSQL's client programs.`,
    );
  if (ran.status !== 0)
    throw new Error(`${program} failed: ${ran.stderr.trim().split('\n').slice(-3).join(' ')}`);
}
export function run(program: string, args: readonly string[]): void {
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

export const countPhotos = async (db: Db): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('photo')
        .select(db.fn.countAll<string>().as('n'))
        .executeTakeFirstOrThrow()
    ).n,
  );
export const countEntries = async (db: Db): Promise<number> =>
  Number(
    (
      await db
        .selectFrom('log_entry')
        .select(db.fn.countAll<string>().as('n'))
        .executeTakeFirstOrThrow()
    ).n,
  );

/** Where the log of a site ends, and what it folds to. */
export async function factsOf(db: Db, site: Site, at: number): Promise<SiteFacts> {
  const head = await chainRepo(db).head(site.id);
  return {
    ...{ id: site.id, name: site.name },
    head: head && { seq: head.seq, hash: head.hash },
    verdicts: await verdictsOf(db, site, at),
  };
}
