import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { sql } from 'kysely';
import { readBatchFile } from '@/core/formats/batch-file';
import { checkTrail } from '@/core/formats/trail';
import { chainText, GENESIS } from '@/core/log/entry';
import { upgradeMemory } from '@/db/begin-memory';
import { checkLogAndKeep } from '@/db/check-log';
import { layHead } from '@/db/lay-head';
import { logRepo } from '@/db/repositories/log';
import { siteRepo } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { readMemory } from '@/db/site-heads';
import { rebuildSnapshots } from '@/db/write';
import { newId } from '@/platform/ids';
import { actAs, memberAccess } from '../support/access';
import { asOwner, hashAnew, layUpHistory, type History } from '../support/history';
import { makeKeyFolder, removeKeyFolder } from '../support/key';

/** Whoever owns the database, and not the key beside it, writes a new history there. What lies beside the key shows it. */
const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');
let tmp: string;
let kept: History;
const beside = (name: string): string => path.join(tmp, `key.${name}`);
beforeEach(async () => {
  tmp = makeKeyFolder();
  kept = await layUpHistory();
}, 60_000);
afterEach(async () => {
  await kept.d.close();
  removeKeyFolder(tmp);
});

const site = async () => (await siteRepo(kept.d.t.app).byId(kept.site.id))!;
const codes = async (): Promise<string[]> => [
  ...new Set(
    (await checkLogAndKeep(kept.d.t.app, await site(), Date.now())).faults.map((f) => f.code),
  ),
];
const lay = async () => layHead(kept.d.t.app, await site(), Date.now());
/** The batch file as it is sealed now, for a request of its own. */
async function fileNow(): Promise<string> {
  actAs(memberAccess(await site(), 'manager'));
  const { loggedAt, fileTextOf } = await import('@/features/record/server/files');
  return fileTextOf(await site(), (await loggedAt(await site(), kept.heap, Date.now()))!)!;
}
/** What `verify` says first of a file. */
function noticeOf(text: string): string | null {
  const parsed = readBatchFile(text);
  if (!parsed.ok) throw new Error(parsed.problems[0]!.message);
  const trail = checkTrail(parsed.file, sha256);
  if (!trail.ok) throw new Error(trail.problems[0]!.message);
  return trail.told?.seal.is === 'whole' ? trail.told.seal.notice : null;
}
const takeNote = async (faults: readonly object[], words = 'the disk was repaired') =>
  kept.d.door.ingestEntry({
    ...{ id: newId(), batch: null, kind: 'fault-noted', at: null, by: 'Mo' },
    data: { faults, words },
  });
const known = async () => {
  const { knownFaults } = await import('@/entry/server/trust');
  const state = await snapshotRepo(kept.d.t.app).siteState(await site());
  return knownFaults(await site(), state);
};

/** A hotter reading, everything that vouches for the old one taken off, and all hashes made anew: a history that fits in itself. */
async function forge(): Promise<void> {
  await asOwner(
    kept,
    `update log_entry set data = jsonb_set(data, '{readings,0,value}', '71') where kind = 'round' and seq = 10`,
    `update log_entry set own_n = null, own_prev = null, signature = null`,
    `update site set sealed = null`,
  );
  const { admin } = kept.d.t;
  const { rows } = await sql<Record<string, never>>`select * from log_entry order by seq`.execute(
    admin,
  );
  let prev = GENESIS;
  for (const row of rows as unknown as {
    seq: string;
    at: Date;
    recorded_at: Date;
    [k: string]: unknown;
  }[]) {
    const entry = { ...row, at: row.at.getTime(), recordedAt: row.recorded_at.getTime() };
    prev = sha256(prev + chainText(kept.site.id, entry as never));
    await sql`update log_entry set hash = ${prev} where seq = ${row.seq}`.execute(admin);
  }
  await asOwner(kept, 'delete from chain_check');
  await rebuildSnapshots(admin, await site(), Date.now());
}

test('what is true stays silent: a log as it was written, its heads, its end, its seal', async () => {
  expect(await lay()).toEqual([]);
  expect(await codes()).toEqual([]);
  expect(readMemory(kept.site.id)).toMatchObject({ signedFrom: 0 });
  expect(noticeOf(await fileNow())).toBeNull();
});

test('a new history with nothing signed in it, “from before there were signatures”, is not believed', async () => {
  await lay();
  await forge();
  // A start upgrades once, and never seals again.
  await upgradeMemory(kept.d.t.admin, Date.now());
  expect(await codes()).toEqual(expect.arrayContaining(['UNSIGNED', 'HEAD_LOST', 'SITE_UNSEALED']));
  const text = await fileNow();
  expect(text).toMatch(/^\{\n "notice": "THE LOG BEHIND THIS DOES NOT FIT in \d+ places/);
  expect(noticeOf(text)).toMatch(/DOES NOT FIT/);
  // The notice is signed with the rest: whoever takes it out has no key for that.
  const file = JSON.parse(text) as { notice?: string; trail: { seal: { notice?: string } } };
  delete file.notice;
  expect(noticeOf(JSON.stringify(file))).toMatch(/DOES NOT FIT/);
  delete file.trail.seal.notice;
  expect(() => noticeOf(JSON.stringify(file))).toThrow(/signature/);
});

test('the table of checks is emptied: what the server found itself is said all the same', async () => {
  await forge();
  await codes();
  await asOwner(kept, 'delete from chain_check');
  expect((await known()).map((f) => f.fault?.code)).toContain('UNSIGNED');
});

test('only the end is cut off: what lies beside the key is ahead of the log', async () => {
  await asOwner(kept, 'delete from log_entry where seq > (select max(seq) - 3 from log_entry)');
  expect(await codes()).toEqual(['HEAD_LOST']);
  // Behind the log is no fault: the server may have died between an entry and the file.
});

test('the file of the last end lies behind the log, or was cut off by a full disk: no fault', async () => {
  const end = beside(`end-${kept.site.id}`);
  const before = fs.readFileSync(end, 'utf8');
  const note = { batch: kept.heap, kind: 'note' as const, at: null, by: 'Mo' };
  await kept.d.door.ingestEntry({ ...note, id: newId(), data: { words: 'one more' } });
  expect(fs.readFileSync(end, 'utf8')).not.toBe(before);
  fs.writeFileSync(end, before);
  expect(await codes()).toEqual([]);
  fs.writeFileSync(end, before.slice(0, 30));
  fs.appendFileSync(beside('heads'), '{"format":"zealous-heap/head","site":"');
  expect(await codes()).toEqual([]);
});

test('a head is laid only over a way that was walked: not over a change behind the last one', async () => {
  await lay();
  const heads = readMemory(kept.site.id).heads.length;
  const note = { batch: kept.heap, kind: 'note' as const, at: null, by: 'Mo' };
  await kept.d.door.ingestEntry({ ...note, id: newId(), data: { words: 'one more' } });
  await asOwner(
    kept,
    `update log_entry set data = '{"words": "two more"}' where seq = (select max(seq) from log_entry)`,
  );
  expect((await lay()).map((f) => f.code)).toEqual(['CHANGED']);
  // The end after the commit was remembered; no head was laid.
  expect(readMemory(kept.site.id).heads).toHaveLength(heads);
});

test('the file of heads is taken away: told, until a manager takes note of it, and from then on remembered anew', async () => {
  await lay();
  fs.rmSync(beside('heads'));
  await upgradeMemory(kept.d.t.admin, Date.now());
  expect(await codes()).toEqual(['MEMORY_GONE']);
  const [fault] = await known();
  expect(await takeNote([{ code: 'MEMORY_GONE', seq: 0, id: 'another' }])).toMatchObject({
    ok: false,
  });
  expect(await takeNote([fault!.fault!])).toMatchObject({ ok: true });
  expect(readMemory(kept.site.id).signedFrom).toBe(0);
  expect(await codes()).toEqual([]);
  // Pages are silent, records are not.
  const { openFaultTexts } = await import('@/entry/server/trust');
  const state = await snapshotRepo(kept.d.t.app).siteState(await site());
  expect(await openFaultTexts(await site(), state)).toEqual([]);
  expect(noticeOf(await fileNow())).toMatch(/is gone.*Noted by Mo.*the disk was repaired/);
  // Gone once more is another fault, which nobody has noted.
  fs.rmSync(beside('heads'));
  await codes();
  expect(await openFaultTexts(await site(), state)).toHaveLength(1);
});

test('what a manager has noted lets heads be laid again, and a later change is a new fault', async () => {
  await lay();
  await forge();
  await codes();
  const open = (await known()).flatMap((f) => f.fault ?? []);
  expect(await takeNote(open)).toMatchObject({ ok: true });
  const heads = readMemory(kept.site.id).heads.length;
  await lay();
  expect(readMemory(kept.site.id).heads).toHaveLength(heads + 1);
  expect((await known()).every((f) => f.noted !== null)).toBe(true);
  await asOwner(kept, `delete from log_entry where seq = (select max(seq) from log_entry)`);
  await codes();
  expect((await known()).some((f) => f.noted === null)).toBe(true);
});

test('a note that somebody put into the table, or changed there, hides nothing', async () => {
  await lay();
  await forge();
  await codes();
  const open = (await known()).flatMap((f) => f.fault ?? []);
  const { admin } = kept.d.t;
  await sql`insert into log_entry (id, site, at, recorded_at, by, kind, data, hash)
    values (${newId()}, ${kept.site.id}, now(), now(), 'Mo', 'fault-noted',
      ${JSON.stringify({ faults: open, words: 'all is well' })}::jsonb, 'x')`.execute(admin);
  await rebuildSnapshots(admin, await site(), Date.now());
  expect((await known()).some((f) => f.noted !== null)).toBe(false);
  await asOwner(kept, `delete from log_entry where kind = 'fault-noted'`);
  // A real one of one fault is made to name all.
  expect(await takeNote([open[0]!])).toMatchObject({ ok: true });
  expect((await known()).filter((f) => f.noted !== null)).toHaveLength(1);
  await asOwner(
    kept,
    `update log_entry set data = jsonb_set(data, '{faults}', '${JSON.stringify(open)}') where kind = 'fault-noted'`,
  );
  await rebuildSnapshots(admin, await site(), Date.now());
  expect((await known()).some((f) => f.noted !== null)).toBe(false);
});

test('nobody but the installation says that entries were given up', async () => {
  for (const kind of ['restored', 'signed-from']) {
    const data = { madeAt: new Date().toISOString(), after: 0, upTo: 1e6, from: 1e6 };
    const form = { id: newId(), batch: null, kind: kind as never, at: null, by: 'Mo', data };
    expect(await kept.d.door.ingestEntry(form)).toMatchObject({ ok: false });
  }
  // Put into the table without the key it says nothing either.
  await asOwner(kept, 'delete from log_entry where seq > (select max(seq) - 3 from log_entry)');
  const { admin } = kept.d.t;
  await sql`insert into log_entry (id, site, at, recorded_at, by, kind, data, hash)
    values (${newId()}, ${kept.site.id}, now(), now() + interval '1 day', 'Zealous Heap', 'restored',
      ${JSON.stringify({ madeAt: new Date().toISOString(), after: 0, upTo: 1e6 })}::jsonb, 'x')`.execute(
    admin,
  );
  expect(await codes()).toEqual(expect.arrayContaining(['HEAD_LOST', 'UNSIGNED']));
});

test('an installation from before: sealed and marked once, in its file and in its log; later than that nothing is', async () => {
  const { admin } = kept.d.t;
  // As an older version left it: no memory, the first twelve entries unsigned.
  for (const file of fs.readdirSync(tmp)) if (file !== 'key.pem') fs.rmSync(path.join(tmp, file));
  await asOwner(
    kept,
    `update log_entry set signature = null where seq <= 12`,
    'update site set sealed = null',
  );
  await upgradeMemory(admin, Date.now());
  const memory = readMemory(kept.site.id);
  expect(memory.signedFrom).toBe(13);
  expect((await logRepo(admin).ofSite(kept.site.id)).at(-1)).toMatchObject({
    kind: 'signed-from',
    data: { from: 13 },
  });
  expect(await codes()).toEqual([]);
  const lines = fs.readFileSync(beside('heads'), 'utf8');
  await sql`update site set sealed = null`.execute(admin);
  await upgradeMemory(admin, Date.now());
  expect(fs.readFileSync(beside('heads'), 'utf8')).toBe(lines);
  expect(await codes()).toEqual(['SITE_UNSEALED']);
  await asOwner(
    kept,
    `update log_entry set data = jsonb_set(data, '{readings,0,value}', '71') where kind = 'round' and seq = 20`,
  );
  await hashAnew(kept);
  await asOwner(kept, 'update log_entry set signature = null');
  expect(await codes()).toEqual(expect.arrayContaining(['UNSIGNED', 'HEAD_LOST']));
});

test('a snapshot that was put back from before, code and all, is worked out again', async () => {
  const { admin, app } = kept.d.t;
  const { rows } = await sql<Record<string, unknown>>`select * from batch_snapshot`.execute(admin);
  await kept.d.door.ingestEntry({
    ...{ id: newId(), batch: kept.heap, kind: 'turn', at: null, by: 'Mo', data: { full: true } },
  });
  const now = (await snapshotRepo(app).read(await site(), Date.now())).snapshots;
  const old = rows[0] as { digest: object; mac: string; last_hash: string };
  // As text it is what it was: the code over it fits.
  const { rows: texts } = await sql<{
    t: string;
  }>`select digest::text as t from batch_snapshot`.execute(admin);
  expect(texts[0]!.t).not.toBe(JSON.stringify(old.digest));
  await sql`update batch_snapshot set digest = ${JSON.stringify(old.digest)}::json, mac = ${old.mac}, last_hash = ${old.last_hash}`.execute(
    admin,
  );
  const again = (await snapshotRepo(app).read(await site(), Date.now())).snapshots;
  expect(again.map((s) => s.lastLogged)).toEqual(now.map((s) => s.lastLogged));
});
