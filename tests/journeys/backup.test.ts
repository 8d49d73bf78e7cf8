import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { sql } from 'kysely';
import { layUpDemo } from '../../demo/lay-up';
import type { Db } from '@/db/client';
import { auditFaults } from '@/db/check-audit';
import { auditRepo } from '@/db/repositories/audit';
import { chainRepo } from '@/db/repositories/chain';
import { siteRepo } from '@/db/repositories/site';
import { readMemory } from '@/db/site-heads';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';
import { makeKeyFolder, removeKeyFolder } from '../support/key';

/** Backing up and restoring a whole site by the command, and what a restored one is held against. */
const ROOT = path.resolve(__dirname, '../..');
const bins = (): string => {
  const base = '/usr/lib/postgresql';
  return path.join(base, fs.readdirSync(base).sort().at(-1)!, 'bin');
};
let tmp: string;
let from: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  tmp = makeKeyFolder();
  from = await freshDatabase();
  await layUpDemo(from.admin, Date.now());
}, 120_000);
afterAll(async () => {
  await from.drop();
  removeKeyFolder(tmp);
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

/** What a command does as another machine, with another folder for its key. */
async function onAnotherMachine(name: string, work: () => Promise<void>): Promise<void> {
  const key = process.env.ZEALOUS_KEY;
  process.env.ZEALOUS_KEY = path.join(tmp, name, 'key.pem');
  fs.mkdirSync(path.join(tmp, name));
  try {
    await work();
  } finally {
    process.env.ZEALOUS_KEY = key;
  }
}
const copyOfKey = (): string => path.join(tmp, 'key-copy.json');

test('everything comes back: log, end, pictures, verdicts, signed ends; what was given up is written down', async () => {
  const made = tool(from.adminUrl, 'backup', folder());
  expect(made).toMatchObject({ status: 0, out: expect.stringMatching(/Backed up \d+ entries/) });
  // Beside the dump the key would lie open.
  expect(made.out).toMatch(/The key is not in it/);
  expect(spawnSync('tar', ['-tf', newest()], { encoding: 'utf8' }).stdout).not.toMatch(/\.pem/);
  const head = /ends at (\d+:[0-9a-f]{64})/.exec(made.out)![1]!;
  expect(fs.statSync(newest()).mode & 0o077).toBe(0);
  expect(tool(from.adminUrl, 'key-export', copyOfKey()).status).toBe(0);
  expect(fs.statSync(copyOfKey()).mode & 0o077).toBe(0);

  const to = await freshDatabase();
  try {
    await onAnotherMachine('restored', async () => {
      expect(tool(to.adminUrl, 'restore', newest())).toMatchObject({
        status: 1,
        out: expect.stringMatching(/Bring that first: .\/zealous key import FILE/),
      });
      expect(tool(to.adminUrl, 'key-import', copyOfKey()).status).toBe(0);
      const restored = tool(to.adminUrl, 'restore', newest());
      expect(restored.out).toMatch(/same: signature of the backup/);
      expect(restored.out).toMatch(/same: signed ends of the log/);
      expect(restored.out).toMatch(/same: verdicts, worked out again/);
      expect(restored.out).not.toMatch(/NOT THE SAME/);
      expect(restored.status).toBe(0);
      expect(tool(to.adminUrl, 'chain', '--since', head)).toMatchObject({
        status: 0,
        out: expect.stringMatching(
          /The log of Hopyard Corner is whole[\s\S]*It extends what was seen/,
        ),
      });
      // Nobody knows here how far the log had come: its next numbers stay empty, and the log says so.
      const site = (await siteRepo(to.app).first())!;
      const entry = (await chainRepo(to.app).signedOfKind(site.id, 'restored'))[0]!;
      expect(entry.data.after).toBe(parseInt(head, 10));
      expect(entry.seq).toBeGreaterThan(entry.data.upTo);
      // The application's own role can write on, and cannot change what is there.
      const note = { id: newId(), batch: null, at: Date.now(), by: 'Jo', kind: 'ambient' };
      await writeEntries(
        to.app,
        site,
        [{ ...note, data: { value: 11, unit: 'C' } } as never],
        Date.now(),
      );
      expect((await chainRepo(to.app).checkChain(site.id)).faults).toEqual([]);
      // Signed in as nobody.
      const { rows } = await sql`select 1 from session`.execute(to.admin);
      expect(rows).toEqual([]);
      // A second site is not written over.
      expect(tool(to.adminUrl, 'restore', newest())).toMatchObject({
        status: 1,
        out: expect.stringMatching(/holds the site Hopyard Corner already/),
      });
    });
  } finally {
    await to.drop();
  }
}, 180_000);

test('the key goes with a backup where a passphrase encrypts it, and comes back with that alone', async () => {
  const [secret, wrong] = [path.join(tmp, 'passphrase'), path.join(tmp, 'wrong')];
  fs.writeFileSync(secret, 'many warm heaps\n');
  fs.writeFileSync(wrong, 'many cold heaps\n');
  tool(from.adminUrl, 'backup', folder(), '--passphrase-file', secret);
  const inside = spawnSync('tar', ['-xOf', newest(), 'site-key.pem'], { encoding: 'utf8' }).stdout;
  expect(inside).toMatch(/BEGIN ENCRYPTED PRIVATE KEY/);
  const to = await freshDatabase();
  try {
    await onAnotherMachine('with-passphrase', async () => {
      const restore = (...more: string[]): Ran => tool(to.adminUrl, 'restore', newest(), ...more);
      expect(restore()).toMatchObject({
        status: 1,
        out: expect.stringMatching(/--passphrase-file/),
      });
      expect(restore('--passphrase-file', wrong)).toMatchObject({
        status: 1,
        out: expect.stringMatching(/cannot be opened/),
      });
      expect(restore('--passphrase-file', secret)).toMatchObject({ status: 0 });
      await Promise.resolve();
    });
  } finally {
    await to.drop();
  }
}, 180_000);

test('on the machine itself: what was logged after the backup is given up by its numbers, and no fault for ever', async () => {
  const there = await freshDatabase();
  const back = await freshDatabase();
  try {
    await onAnotherMachine('own', async () => {
      expect(tool(there.adminUrl, 'key').status).toBe(0);
      const site = await aSite(there.app);
      const log = (db: Db): Promise<unknown> => {
        const air = { id: newId(), batch: null, at: Date.now(), by: 'Jo', kind: 'ambient' };
        const entry = { ...air, data: { value: 11, unit: 'C' } };
        return writeEntries(db, site, [entry as never], Date.now());
      };
      const signIn = (): Promise<void> =>
        auditRepo(there.app).audit(
          { event: 'signed-in', site: site.id, who: 'jo', about: {} },
          Date.now(),
        );
      await log(there.app);
      await signIn();
      tool(there.adminUrl, 'backup', path.join(tmp, 'own-backups'));
      await log(there.app);
      await log(there.app);
      await signIn();
      await signIn();
      const { end } = readMemory(site.id);
      const [file = ''] = fs.readdirSync(path.join(tmp, 'own-backups'));
      expect(tool(back.adminUrl, 'restore', path.join(tmp, 'own-backups', file)).out).not.toMatch(
        /NOT THE SAME/,
      );
      const [entry] = await chainRepo(back.app).signedOfKind(site.id, 'restored');
      expect(entry!.data.upTo).toBeGreaterThanOrEqual(end!.seq);
      // What happened at the door since then was given up as well, and that is written down there.
      const events = await auditRepo(back.admin).all(site.id);
      expect(events.map((e) => [e.n, e.event])).toEqual([
        [1, 'signed-in'],
        [4, 'restored'],
      ]);
      expect(tool(back.adminUrl, 'chain')).toMatchObject({
        status: 0,
        out: expect.stringMatching(/is whole: 2 entries/),
      });
      // Cut off behind that, the numbers that are gone are a fault again.
      await log(back.app);
      await log(back.app);
      await sql`alter table log_entry disable trigger user`.execute(back.admin);
      await sql`delete from log_entry where seq = (select max(seq) from log_entry)`.execute(
        back.admin,
      );
      expect(tool(back.adminUrl, 'chain')).toMatchObject({
        status: 1,
        out: expect.stringMatching(/is not what this installation signed/),
      });
    });
  } finally {
    await there.drop();
    await back.drop();
  }
}, 180_000);

test('with the key lost, a new one goes on: entries are said to be signed by another, what happened at the door is sealed anew', async () => {
  const to = await freshDatabase();
  try {
    const site = (await siteRepo(from.app).first())!;
    await auditRepo(from.app).audit(
      { event: 'signed-in', site: site.id, who: 'jo', about: {} },
      Date.now(),
    );
    tool(from.adminUrl, 'backup', folder());
    await onAnotherMachine('new-key', async () => {
      expect(tool(to.adminUrl, 'restore', newest()).out).toMatch(/--new-key goes on/);
      expect(tool(to.adminUrl, 'restore', newest(), '--new-key').status).toBe(1);
      expect(await auditFaults(to.admin, site.id)).toEqual([]);
      expect(tool(to.adminUrl, 'chain').out).toMatch(/another key/);
      await sql`delete from audit_event where n = 1`.execute(to.admin);
      expect((await auditFaults(to.admin, site.id)).map((f) => f.code)).toEqual([
        expect.stringMatching(/^AUDIT_/),
      ]);
    });
  } finally {
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
