import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'kysely';
import { connect, type Db } from '@/db/client';
import { migrate } from '@/db/migrate';
import { chainRepo } from '@/db/repositories/chain';
import { logRepo } from '@/db/repositories/log';
import { siteRepo, type Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { entryId } from '../support/ids';

/** Going back to a minute, as docs/operations.md describes it: with PostgreSQL's own archive and base backup. */
const PG = path.resolve(__dirname, '../../scripts/pg.sh');
const SITE: Site = {
  ...{ id: newId(), name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C', demoUntil: null },
};
let folder: string;
let running: string | null = null;

beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'archive-'));
  fs.chmodSync(folder, 0o777); // the database's user writes its archive there
});
afterAll(() => {
  if (running !== null) runPg(running, 'stop');
  fs.rmSync(folder, { recursive: true, force: true });
}, 60_000);

const inFolder = (name: string): string => path.join(folder, name);
function runPg(dir: string, ...args: string[]): string {
  const env = { ...process.env, PG_DIR: dir, PG_MODE: 'durable', PG_ARCHIVE: inFolder('archive') };
  return execFileSync(PG, args, {
    ...{ env, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] },
  }).trim();
}
const logNote = (db: Db, words: string): Promise<unknown> =>
  writeEntries(
    db,
    SITE,
    [
      {
        ...{ id: entryId(newId()), batch: null, at: Date.now(), by: words, kind: 'ambient' },
        data: { value: 9, unit: 'C' },
      },
    ],
    Date.now(),
  );

test('the log of a minute ago comes back, without what was logged since, and whole', async () => {
  fs.mkdirSync(inFolder('archive'));
  fs.chmodSync(inFolder('archive'), 0o777);
  const first = inFolder('pg');
  runPg(first, 'start');
  running = first;
  runPg(first, 'create', 'site');
  const admin = connect(runPg(first, 'admin-url', 'site'), 2);
  await migrate(admin);
  await siteRepo(admin).create(SITE);
  await logNote(admin, 'before the base backup');

  const bin = fs.readdirSync('/usr/lib/postgresql').sort((a, b) => Number(b) - Number(a))[0] ?? '';
  const base = inFolder('base');
  execFileSync(
    `/usr/lib/postgresql/${bin}/bin/pg_basebackup`,
    ['--checkpoint=fast', `--pgdata=${base}`, `--dbname=${runPg(first, 'admin-url', 'postgres')}`],
    { stdio: 'pipe' },
  );
  await logNote(admin, 'after it');
  const { rows } = await sql<{ at: string }>`select now()::text as at`.execute(admin);
  await sql`select pg_sleep(0.2)`.execute(admin);
  await logNote(admin, 'by mistake');
  await sql`select pg_switch_wal()`.execute(admin);
  await admin.destroy();
  runPg(first, 'stop');

  const second = inFolder('pg-back');
  fs.mkdirSync(second);
  for (const name of ['owner-pass', 'app-pass', 'port', 'initdb.ok'])
    fs.copyFileSync(path.join(first, name), path.join(second, name));
  fs.cpSync(base, path.join(second, 'data'), { recursive: true });
  fs.appendFileSync(
    path.join(second, 'data/postgresql.conf'),
    [
      `restore_command = 'cp "${inFolder('archive')}/%f" "%p"'`,
      `recovery_target_time = '${rows[0]?.at ?? ''}'`,
      `recovery_target_action = 'promote'`,
    ].join('\n'),
  );
  fs.writeFileSync(path.join(second, 'data/recovery.signal'), '');
  const { uid, gid } = fs.statSync(path.join(first, 'data'));
  execFileSync('chown', ['-R', `${uid}:${gid}`, second]);
  fs.chmodSync(path.join(second, 'data'), 0o700);
  runPg(second, 'start');
  running = second;
  const back = connect(runPg(second, 'admin-url', 'site'), 2);
  expect((await logRepo(back).ofSite(SITE.id)).map((e) => e.by)).toEqual([
    'before the base backup',
    'after it',
  ]);
  expect((await chainRepo(back).checkChain(SITE.id)).faults).toEqual([]);
  // It goes on from there.
  await logNote(back, 'once more');
  await back.destroy();
}, 180_000);
