import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { layUpDemo } from '../../demo/lay-up';
import { chainRepo } from '@/db/repositories/chain';
import { siteRepo } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { createSiteKey } from '@/platform/site-key';
import { freshDatabase } from '../support/database';

/** Backing up and restoring a whole site by the command, and what a restored one is held against. */
const ROOT = path.resolve(__dirname, '../..');
const bins = (): string => {
  const base = '/usr/lib/postgresql';
  return path.join(base, fs.readdirSync(base).sort().at(-1)!, 'bin');
};
let tmp: string;
let from: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  tmp = fs.mkdtempSync(path.join(os.tmpdir(), 'backup-'));
  process.env.ZEALOUS_KEY = path.join(tmp, 'key.pem');
  createSiteKey(process.env.ZEALOUS_KEY);
  from = await freshDatabase();
  await layUpDemo(from.admin, Date.now());
}, 120_000);
afterAll(async () => {
  delete process.env.ZEALOUS_KEY;
  await from.drop();
  fs.rmSync(tmp, { recursive: true, force: true });
});

type Ran = { readonly status: number | null; readonly out: string };
const tool = (url: string, ...args: string[]): Ran => {
  const ran = spawnSync(process.execPath, ['.data/tool.mjs', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    env: {
      ...process.env,
      DATABASE_URL: url,
      DATABASE_ADMIN_URL: url,
      PG_BIN: bins(),
      ZEALOUS_KEY: process.env.ZEALOUS_KEY,
    },
  });
  return { status: ran.status, out: ran.stdout + ran.stderr };
};
const folder = (): string => path.join(tmp, 'backups');
const newest = (): string => path.join(folder(), fs.readdirSync(folder()).sort().at(-1)!);

test('everything comes back: log, end, pictures, verdicts, and the key; a witness of the day before is content', async () => {
  const made = tool(from.adminUrl, 'backup', folder());
  expect(made).toMatchObject({ status: 0, out: expect.stringMatching(/Backed up \d+ entries/) });
  const head = /ends at (\d+:[0-9a-f]{64})/.exec(made.out)![1]!;
  expect(fs.statSync(newest()).mode & 0o077).toBe(0);

  const to = await freshDatabase();
  const key = process.env.ZEALOUS_KEY!;
  process.env.ZEALOUS_KEY = path.join(tmp, 'restored-key.pem');
  try {
    const restored = tool(to.adminUrl, 'restore', newest());
    expect(restored.out).toMatch(/same: verdicts, worked out again/);
    expect(restored.out).not.toMatch(/NOT THE SAME/);
    expect(restored.status).toBe(0);
    expect(fs.readFileSync(process.env.ZEALOUS_KEY, 'utf8')).toBe(fs.readFileSync(key, 'utf8'));
    expect(tool(to.adminUrl, 'chain', '--since', head)).toMatchObject({
      status: 0,
      out: expect.stringMatching(
        /The log of Hopyard Corner is whole[\s\S]*It extends what was seen/,
      ),
    });
    // The application's own role can write on, and cannot change what is there.
    const site = (await siteRepo(to.app).first())!;
    const note = { id: newId(), batch: null, at: Date.now(), by: 'Jo', kind: 'ambient' };
    await writeEntries(
      to.app,
      site,
      [{ ...note, data: { value: 11, unit: 'C' } } as never],
      Date.now(),
    );
    expect((await chainRepo(to.app).checkChain(site.id)).faults).toEqual([]);
    // A second site is not written over.
    expect(tool(to.adminUrl, 'restore', newest())).toMatchObject({
      status: 1,
      out: expect.stringMatching(/holds the site Hopyard Corner already/),
    });
  } finally {
    process.env.ZEALOUS_KEY = key;
    await to.drop();
  }
}, 180_000);

test('an older state that was put back is shown by what saw a later one', async () => {
  const site = (await siteRepo(from.app).first())!;
  tool(from.adminUrl, 'backup', folder());
  const old = newest();
  const later = { id: newId(), batch: null, at: Date.now(), by: 'Jo', kind: 'ambient' };
  await writeEntries(
    from.app,
    site,
    [{ ...later, data: { value: 9, unit: 'C' } } as never],
    Date.now(),
  );
  const seen = (await chainRepo(from.app).head(site.id))!;
  const to = await freshDatabase();
  try {
    expect(tool(to.adminUrl, 'restore', old).status).toBe(0);
    expect(tool(to.adminUrl, 'chain', '--since', `${seen.seq}:${seen.hash}`)).toMatchObject({
      status: 1,
      out: expect.stringMatching(/It is not the log that was seen/),
    });
  } finally {
    await to.drop();
  }
}, 120_000);

test('a backup that was changed, cut off, or is none is refused in a sentence, and nothing is there afterwards', async () => {
  tool(from.adminUrl, 'backup', folder());
  const whole = fs.readFileSync(newest());
  const to = await freshDatabase();
  try {
    const cut = path.join(tmp, 'cut.zealous-heap-backup');
    fs.writeFileSync(cut, whole.subarray(0, whole.length / 2));
    const other = path.join(tmp, 'other.zealous-heap-backup');
    const changed = Buffer.from(whole);
    changed[Math.floor(changed.length / 2)]! ^= 0xff;
    fs.writeFileSync(other, changed);
    const none = path.join(tmp, 'none.txt');
    fs.writeFileSync(none, 'a text');
    for (const [file, says] of [
      [cut, /cut off|changed/],
      [other, /changed or cut off|cannot be unpacked/],
      [none, /no backup/],
      [path.join(tmp, 'nothing'), /is not there/],
    ] as const) {
      const ran = tool(to.adminUrl, 'restore', file);
      expect([ran.status, says.test(ran.out), ran.out]).toEqual([1, true, ran.out]);
    }
    expect(await siteRepo(to.app).first()).toBeNull();
  } finally {
    await to.drop();
  }
}, 120_000);

test('a backup that is killed leaves no half file, and older ones are kept as many as asked', () => {
  const at = path.join(tmp, 'kept');
  const killed = spawnSync(process.execPath, ['.data/tool.mjs', 'backup', at], {
    cwd: ROOT,
    timeout: 250,
    killSignal: 'SIGKILL',
    env: {
      ...process.env,
      DATABASE_URL: from.adminUrl,
      DATABASE_ADMIN_URL: from.adminUrl,
      PG_BIN: bins(),
    },
  });
  expect(killed.signal).toBe('SIGKILL');
  const there = fs.existsSync(at) ? fs.readdirSync(at).filter((f) => !f.endsWith('.part')) : [];
  expect(there).toEqual([]);
  for (let i = 0; i < 3; i += 1) {
    expect(tool(from.adminUrl, 'backup', at, '--keep', '2').status).toBe(0);
    spawnSync('sleep', ['1.1']);
  }
  expect(fs.readdirSync(at)).toHaveLength(2);
}, 60_000);

test('the status tells what is there, in words and as JSON', () => {
  expect(tool(from.adminUrl, 'status')).toMatchObject({
    status: 0,
    out: expect.stringMatching(/Sites: Hopyard Corner[\s\S]*Entries: \d+[\s\S]*PostgreSQL/),
  });
  const { out } = tool(from.adminUrl, 'status', '--json');
  expect(JSON.parse(out)).toMatchObject({
    sites: ['Hopyard Corner'],
    migrations: expect.any(String),
  });
});
