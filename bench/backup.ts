import '../src/messages/all';
import { createHash, randomBytes } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { performance } from 'node:perf_hooks';
import { Kysely, PostgresDialect, sql } from 'kysely';
import pg from 'pg';
import { connect, type Db } from '@/db/client';
import { migrate } from '@/db/migrate';
import { photoRepo } from '@/db/repositories/photos';
import { siteRepo, type Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { createSiteKey } from '@/platform/site-key';
import { backUp } from '../scripts/operations';
import { restore } from '../scripts/restore';
import { batchId, entryId } from '../tests/support/ids';
import { fillSite } from '../tests/support/large-site';

/**
 * An installation of a million entries and 2,000 pictures, unless told otherwise, backed up and restored into an empty one: how long
 * each takes, how much memory, and whether all that was compared is the same. It fails where something is not.
 */
const [ENTRIES, PHOTOS] = [
  Number(process.env.BENCH_ENTRIES ?? 1_000_000),
  Number(process.env.BENCH_PHOTOS ?? 2000),
];
const [ROUNDS, PHOTO_BYTES] = [5000, 150_000];
const admin = process.env.BENCH_ADMIN_URL ?? '';
const root = new Kysely<unknown>({
  dialect: new PostgresDialect({ pool: new pg.Pool({ connectionString: admin, max: 1 }) }),
});
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'bench-backup-'));
const keyFile = path.join(folder, 'key.pem');
createSiteKey(keyFile);
process.env.ZEALOUS_KEY = keyFile;

async function createDatabase(name: string): Promise<{ url: string; db: Db }> {
  await sql`create database ${sql.id(name)}`.execute(root);
  const url = admin.replace(/\/[^/]*$/, `/${name}`);
  const db = connect(url);
  await migrate(db);
  return { url, db };
}

/** Pictures, each in an entry of a batch. */
async function addPhotos(db: Db, site: Site, batch: string): Promise<void> {
  for (let i = 0; i < PHOTOS; i += 1) {
    const bytes = randomBytes(PHOTO_BYTES);
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    const small = bytes.subarray(0, 8000);
    const picture = { sha256, width: 1200, height: 900 };
    await photoRepo(db).put(site.id, { ...picture, bytes, small }, Date.now());
    await writeEntries(
      db,
      site,
      [
        {
          ...{ id: entryId(newId()), batch: batchId(batch), at: Date.now(), by: 'Mo' },
          ...{ kind: 'photo', data: picture },
        },
      ],
      Date.now(),
    );
  }
}

async function timed<T>(what: string, work: () => Promise<T>): Promise<T> {
  const t = performance.now();
  const result = await work();
  const memory = Math.round(process.resourceUsage().maxRSS / 1000);
  console.log(`${what}: ${((performance.now() - t) / 1000).toFixed(1)} s, at most ${memory} MB`);
  return result;
}

const names = [`bench_from_${Date.now()}`, `bench_to_${Date.now()}`] as const;
const from = await createDatabase(names[0]);
const site: Site = {
  ...{ id: newId(), name: 'Bench', timeZone: 'Europe/London', unit: 'C', demoUntil: null },
};
await siteRepo(from.db).create(site);
const batches = Math.max(1, Math.round(ENTRIES / (ROUNDS + 2)));
await timed(`${batches} batches of ${ROUNDS} rounds, written`, () =>
  fillSite(from.db, site, { batches, rounds: ROUNDS, now: Date.now(), isLoggedNow: true }),
);
await timed(`${PHOTOS} pictures, written`, async () => {
  const [batch = ''] = await fillSite(from.db, site, {
    ...{ batches: 1, rounds: 1, now: Date.now(), isLoggedNow: true },
  });
  await addPhotos(from.db, site, batch);
});
const { file, manifest } = await timed('backed up', () =>
  backUp(from.db, from.url, path.join(folder, 'backups'), {}),
);
console.log(
  `${manifest.entries} entries, ${manifest.photos} pictures, ${Math.round(fs.statSync(file).size / 1e6)} MB`,
);
const to = await createDatabase(names[1]);
const { compared } = await timed('restored and compared', () =>
  restore(to.db, to.url, file, { passphrase: null, newKey: false }),
);
for (const { what, same } of compared) console.log(`${same ? 'same' : 'NOT THE SAME'}: ${what}`);
await from.db.destroy();
await to.db.destroy();
for (const name of names) await sql`drop database ${sql.id(name)} with (force)`.execute(root);
await root.destroy();
fs.rmSync(folder, { recursive: true, force: true });
process.exit(compared.every((c) => c.same) ? 0 : 1);
