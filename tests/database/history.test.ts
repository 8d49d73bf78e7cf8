import { spawnSync } from 'node:child_process';
import { createHash, generateKeyPairSync, sign } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import canonicalize from 'canonicalize';
import { sql } from 'kysely';
import sharp from 'sharp';
import { readBatchFile } from '@/core/formats/batch-file';
import { keyName, sealText } from '@/core/formats/seal';
import { checkTrail } from '@/core/formats/trail';
import { answerVerify } from '@/core/formats/verify-call';
import { chainText, GENESIS, sequenceOf } from '@/core/log/entry';
import { checkLog } from '@/db/check-log';
import { chainCheckRepo } from '@/db/repositories/chain-checks';
import { chainRepo } from '@/db/repositories/chain';
import { siteRepo } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { beginMemory } from '@/db/site-heads';
import { newId } from '@/platform/ids';
import { createSiteKey, siteKey } from '@/platform/site-key';
import { asOwner, hashAnew, layUpHistory, NOW, type History } from '../support/history';

/** Histories that somebody edited, each shown by what saw the day before: the check, a device's head, a batch file, the key. */
const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');
const MINUTE = 60_000;
let tmp: string;
beforeAll(() => {
  tmp = fs.mkdtempSync(path.join(os.tmpdir(), 'history-'));
  process.env.ZEALOUS_KEY = path.join(tmp, 'key.pem');
  createSiteKey(process.env.ZEALOUS_KEY);
  beginMemory();
});
afterAll(() => {
  delete process.env.ZEALOUS_KEY;
  fs.rmSync(tmp, { recursive: true, force: true });
});

let kept: History;
beforeEach(async () => {
  kept = await layUpHistory();
}, 60_000);
afterEach(async () => {
  await kept.d.close();
});

const faults = async (): Promise<string[]> => [
  ...new Set(
    (await checkLog(kept.d.t.app, (await siteRepo(kept.d.t.app).first())!, Date.now())).faults.map(
      (f) => f.code,
    ),
  ),
];
/** Whether the log still holds what a device saw last. */
const isWitnessed = async (): Promise<boolean> =>
  (await chainRepo(kept.d.t.app).hashAt(kept.site.id, kept.head.seq)) === kept.head.hash;
type End = { n: number; hash: string };
type Trail = {
  site: { name: string; timeZone: string };
  trail: {
    site: string;
    seal?: { own: End; ofSite: End; key: string; signature: string };
    entries: {
      seq: number;
      kind: string;
      hash: string;
      prev: string;
      own?: { n: number; prev: string };
      data: { readings?: { value: number }[] };
    }[];
  };
  readings: { value: number }[];
};
/** What a check of a file says. */
function checked(file: Trail): string {
  const parsed = readBatchFile(JSON.stringify(file));
  if (!parsed.ok) return JSON.stringify(parsed.problems);
  const trail = checkTrail(parsed.file, sha256);
  return trail.ok ? (trail.told?.seal.is ?? 'no trail') : trail.problems[0]!.message;
}
/** What OpenSSL says. */
const openssl = (args: readonly string[], input = ''): string =>
  spawnSync('openssl', args, { input, encoding: 'utf8' }).stdout;
const fileNow = (): Trail => JSON.parse(kept.file) as Trail;

test('a history that nobody edited: whole, signed by the key of this installation, and as it was seen', async () => {
  expect(await faults()).toEqual([]);
  expect(await isWitnessed()).toBe(true);
  const parsed = readBatchFile(kept.file);
  if (!parsed.ok) throw new Error(parsed.problems[0]!.message);
  const trail = checkTrail(parsed.file, sha256);
  expect(trail).toMatchObject({
    ok: true,
    told: { seal: { is: 'whole', entries: 37, key: siteKey()!.publicKey } },
  });
  expect(keyName(siteKey()!.publicKey, sha256)).toMatch(/^([0-9A-F]{4} ){3}[0-9A-F]{4}$/);
});

test('the last thirty entries are cut off: what a phone saw is gone', async () => {
  await asOwner(kept, 'delete from log_entry where seq > (select max(seq) - 30 from log_entry)');
  expect(await isWitnessed()).toBe(false);
});

test('a reading is changed and every later hash made anew: unsigned, and not what was seen', async () => {
  await asOwner(
    kept,
    `update log_entry set data = jsonb_set(data, '{readings,0,value}', '71') where kind = 'round' and seq = 10`,
  );
  expect(await faults()).toContain('CHANGED');
  await hashAnew(kept);
  expect(await faults()).toContain('OTHER_KEY');
  expect(await faults()).not.toContain('CHANGED');
  expect(await isWitnessed()).toBe(false);
});

test('a turning with the right hash is put in by the application’s own role: this installation did not sign it', async () => {
  const { t } = kept.d;
  const entry = {
    ...{ id: newId(), batch: kept.heap, at: NOW - MINUTE, by: 'Jo', kind: 'turn' },
    data: { full: true },
  };
  const own = await chainRepo(t.app).endOf(kept.site.id, entry);
  const link = { n: own.n + 1, prev: own.hash };
  const recordedAt = Date.now();
  const hash = sha256(
    kept.head.hash + chainText(kept.site.id, { ...entry, recordedAt, own: link } as never),
  );
  await sql`insert into log_entry (id, site, batch, at, recorded_at, by, kind, data, hash, own_n, own_prev)
    values (${entry.id}, ${kept.site.id}, ${kept.heap}, ${new Date(entry.at)}, ${new Date(recordedAt)}, 'Jo', 'turn',
      ${JSON.stringify(entry.data)}::jsonb, ${hash}, ${link.n}, ${link.prev})`.execute(t.app);
  expect(await faults()).toEqual(expect.arrayContaining(['UNSIGNED']));
});

test('an entry is taken out of the middle and the rest joined up again', async () => {
  await asOwner(kept, 'delete from log_entry where seq = 20');
  expect(await faults()).toEqual(expect.arrayContaining(['CHANGED', 'OUT_OF_SEQUENCE']));
  await hashAnew(kept);
  expect(await faults()).toContain('OTHER_KEY');
  expect(await isWitnessed()).toBe(false);
});

test('an entry is said to have been recorded earlier than it was', async () => {
  await asOwner(
    kept,
    `update log_entry set recorded_at = recorded_at - interval '9 days' where seq = 25`,
  );
  expect(await faults()).toEqual(expect.arrayContaining(['CHANGED', 'TIME_RUNS_BACK']));
});

test('the site’s name and time zone are changed', async () => {
  await asOwner(kept, `update site set name = 'Elsewhere', time_zone = 'Asia/Tokyo'`);
  expect(await faults()).toContain('SITE_CHANGED');
  const file = fileNow();
  file.site.timeZone = 'Asia/Tokyo';
  expect(checked(file)).toMatch(/not the one that this file was sealed for/);
});

test('a picture is swapped, and one is deleted', async () => {
  await asOwner(kept, `update photo set bytes = 'another picture'`);
  expect(await faults()).toContain('PHOTO_CHANGED');
  await sql`delete from photo`.execute(kept.d.t.admin);
  expect(await faults()).toContain('PHOTO_MISSING');
});

test('a small picture is swapped: it is named, and made anew from the whole one where it is asked for', async () => {
  const { takePhoto, servePhoto } = await import('@/entry/server/photos');
  const red = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#f00' } })
    .jpeg()
    .toBuffer();
  const taken = await takePhoto(
    new Request('http://hub/api/photo', { method: 'POST', body: new Uint8Array(red) }),
  );
  const { sha256: photo } = (await taken.json()) as { sha256: string };
  const { ingestEntry } = kept.d.door;
  const entry = { id: newId(), batch: kept.heap, kind: 'photo', at: null, by: 'Mo' } as const;
  await ingestEntry({ ...entry, data: { sha256: photo, width: 900, height: 600 } });
  const smallNow = async (): Promise<string> => {
    const answer = await servePhoto(new Request('http://hub/api/photo/x?small'), photo);
    return Buffer.from(await answer.arrayBuffer()).toString('base64');
  };
  const before = await smallNow();
  expect(await faults()).toEqual([]);
  // From before there were codes: nothing vouches for it, and nothing is wrong.
  await asOwner(kept, `update photo set small = 'x', small_code = null where sha256 = '${photo}'`);
  expect([await smallNow(), await faults()]).toEqual([before, []]);
  await asOwner(kept, `update photo set small_code = 'ab' where sha256 = '${photo}'`);
  expect([await smallNow(), await faults()]).toEqual([before, ['PHOTO_CHANGED']]);
  await asOwner(kept, `update photo set bytes = 'y' where sha256 = '${photo}'`);
  const answer = await servePhoto(new Request('http://hub/api/photo/x?small'), photo);
  expect(answer.status).toBe(409);
}, 30_000);

test('what a batch shows is changed beside the log: it is worked out again from the log, and named', async () => {
  const { t, site } = kept.d;
  await sql`update batch_snapshot set digest = jsonb_set(digest::jsonb, '{name}', '"Other"')::json`.execute(
    t.admin,
  );
  const { snapshots } = await snapshotRepo(t.app).read(site, Date.now());
  expect(snapshots.map((s) => s.name)).toEqual(['Avocet']);
  expect((await chainCheckRepo(t.app).last(site.id))?.faults).toEqual([
    expect.objectContaining({ code: 'SNAPSHOT_DIFFERS', id: kept.heap }),
  ]);
  // It was written anew, under the key: it fits again, and so does the log.
  expect(await faults()).toEqual([]);
});

test('other programs find a file whole, as docs/record.md describes it: RFC 8785, SHA-256, Ed25519', () => {
  const { trail } = fileNow();
  let found = 0;
  for (const { seq: _seq, hash, prev, ...entry } of trail.entries) {
    const text = `${prev}${canonicalize({ site: trail.site, ...entry })}`;
    expect(openssl(['dgst', '-sha256', '-r'], text).slice(0, 64)).toBe(hash);
    found += 1;
  }
  expect(found).toBe(trail.seal!.own.n + trail.seal!.ofSite.n);

  const { key, signature, ...seal } = trail.seal!;
  const [text, sig, der] = ['seal.txt', 'seal.sig', 'key.der'].map((name) => path.join(tmp, name));
  const verifies = (sealed: string): string => {
    fs.writeFileSync(text!, sealed);
    fs.writeFileSync(sig!, Buffer.from(signature, 'hex'));
    fs.writeFileSync(der!, Buffer.from(`302a300506032b6570032100${key}`, 'hex'));
    const how = ['pkeyutl', '-verify', '-pubin', '-keyform', 'DER', '-inkey', der!, '-rawin'];
    return openssl([...how, '-in', text!, '-sigfile', sig!]);
  };
  const sealed = canonicalize({ format: 'zealous-heap/seal', ...seal })!;
  expect(verifies(sealed)).toMatch(/Verified Successfully/);
  expect(verifies(sealed.replace('"n":', '"n":1'))).toMatch(/Verification Failure/);
});

test('the last two rounds are taken out of a batch file', () => {
  const file = fileNow();
  const rounds = file.trail.entries.filter((e) => e.kind === 'round').slice(-2);
  file.trail.entries = file.trail.entries.filter((e) => !rounds.includes(e));
  file.readings = file.readings.slice(0, -2);
  expect(checked(file)).toMatch(/Entries are missing|broken|does not|not what/i);
});

test('a value is changed in a file and every hash made anew: the signature does not fit', () => {
  const file = fileNow();
  const round = file.trail.entries.find((e) => e.kind === 'round')!;
  round.data.readings![0]!.value = 71;
  file.readings[0]!.value = 71;
  let prev: string | null = null;
  const ends = new Map<string, string>();
  for (const e of file.trail.entries) {
    const link = e as never as Parameters<typeof chainText>[1] & {
      at: number;
      batch: string | null;
      kind: string;
    };
    if (prev !== null) e.prev = prev;
    e.own!.prev = ends.get(sequenceOf(link)) ?? GENESIS;
    const entry = {
      ...link,
      at: Date.parse(String(link.at)),
      recordedAt: Date.parse(String(link.recordedAt)),
    };
    e.hash = sha256(e.prev + chainText(file.trail.site, entry));
    ends.set(sequenceOf(link), e.hash);
    prev = e.hash;
  }
  expect(checked(file)).toMatch(/All 3\d entries are here, but one of them is not what was sealed/);
  // Whoever mends the seal too has no key for it.
  const seal = file.trail.seal as unknown as Record<string, { n: number; hash: string }>;
  seal.own!.hash = ends.get(kept.heap)!;
  seal.ofSite!.hash = ends.get('site')!;
  expect(checked(file)).toMatch(/signature does not fit/);
});

/** What `verify` answers of a file. */
const verified = (file: Trail, more: { key?: string; sealed?: boolean } = {}) =>
  answerVerify(JSON.stringify(file), { rules: [], json: false, ...more }, sha256);
const keyHere = (): string => keyName(siteKey()!.publicKey, sha256);

test('the seal is taken off a file: it is read, and its first line says that its origin is not shown', () => {
  const file = fileNow();
  expect(verified(file).out).toMatch(new RegExp(`^Signed by key ${keyHere()}\\.`));
  expect(verified(file, { sealed: true, key: keyHere() }).status).toBeLessThan(2);
  expect(verified(file, { key: siteKey()!.publicKey }).status).toBeLessThan(2);
  delete file.trail.seal;
  expect(checked(file)).toBe('none');
  expect(verified(file).out).toMatch(/^Origin not shown: the file bears no seal/);
  expect(verified(file, { sealed: true })).toMatchObject({ status: 3, out: '' });
  expect(verified(file, { key: keyHere() }).errors[0]).toMatch(/bears no seal/);
  const json = answerVerify(JSON.stringify(file), { rules: [], json: true }, sha256);
  expect(JSON.parse(json.out)).toMatchObject({ origin: { is: 'not-shown', why: 'no-seal' } });
});

test('a seal by another key, or by none, passes for no other: asked for the printed key the answer is 3', () => {
  const file = fileNow();
  const seal = file.trail.seal as unknown as Parameters<typeof sealText>[0] & {
    key: string | null;
    signature: string | null;
  };
  const { publicKey, privateKey } = generateKeyPairSync('ed25519');
  seal.key = publicKey.export({ format: 'der', type: 'spki' }).subarray(-32).toString('hex');
  seal.signature = sign(null, Buffer.from(sealText(seal)), privateKey).toString('hex');
  const theirs = keyName(seal.key, sha256);
  expect(verified(file).out).toMatch(new RegExp(`^Signed by key ${theirs}`));
  expect(verified(file, { sealed: true }).status).toBeLessThan(2);
  expect(verified(file, { key: keyHere() })).toMatchObject({
    status: 3,
    errors: [`trail.seal: It was signed by key ${theirs}, not by ${keyHere()}.`],
  });
  seal.key = seal.signature = null;
  expect(verified(file).out).toMatch(/^Origin not shown: nobody signed the seal/);
  expect(verified(file, { sealed: true }).status).toBe(3);
});

test('another key signs: the file says whose, and it is not the one that is printed', async () => {
  const mine = siteKey()!.publicKey;
  process.env.ZEALOUS_KEY = path.join(tmp, 'other.pem');
  createSiteKey(process.env.ZEALOUS_KEY);
  try {
    const { loggedAt, fileTextOf } = await import('@/features/record/server/files');
    const again = fileTextOf(kept.site, (await loggedAt(kept.site, kept.heap, Date.now()))!)!;
    const parsed = readBatchFile(again);
    if (!parsed.ok) throw new Error('unreadable');
    const trail = checkTrail(parsed.file, sha256);
    expect(trail).toMatchObject({ ok: true, told: { seal: { is: 'whole' } } });
    expect(JSON.stringify(trail)).not.toContain(mine);
    expect(await faults()).toContain('OTHER_KEY');
  } finally {
    process.env.ZEALOUS_KEY = path.join(tmp, 'key.pem');
  }
});

test('an end of the log that was changed is found with the next entry, not only at night', async () => {
  const { t, site } = kept.d;
  expect(await chainCheckRepo(t.app).last(site.id)).toBeNull();
  await asOwner(
    kept,
    `update log_entry set data = data || '{"full": false}' where seq = (select max(seq) from log_entry)`,
  );
  const id = newId();
  const note = {
    id,
    batch: kept.heap,
    kind: 'note' as const,
    at: null,
    by: 'Mo',
    data: { words: 'later' },
  };
  expect(await kept.d.door.ingestEntry(note)).toMatchObject({ ok: true });
  const check = await chainCheckRepo(t.app).last(site.id);
  expect(check?.faults).toEqual([expect.objectContaining({ code: 'CHANGED', seq: kept.head.seq })]);
  // It is told once, however much is logged behind it.
  expect(await kept.d.door.ingestEntry({ ...note, id: newId() })).toMatchObject({ ok: true });
  expect((await chainCheckRepo(t.app).last(site.id))?.faults).toHaveLength(1);
});
