import '@/messages/all';
import { layUpDemo } from '../demo/lay-up';
import { layUpDemoPeople } from '../demo/people';
import { layUpSecondSite } from '../demo/second-site';
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { keyName } from '@/core/formats/seal';
import { faultText } from '@/core/words/log-fault';
import type { ChainFault } from '@/core/log/chain';
import { forgetEventsOfEmptyDatabase, upgradeMemory } from '@/db/begin-memory';
import { checkLogAndKeep } from '@/db/check-log';
import { readMemory } from '@/db/site-heads';
import { createSiteKey, siteKey } from '@/platform/site-key';
import { siteFileJsonSchema } from '@/core/flow/site-file';
import { batchFileJsonSchema } from '@/core/formats/batch-file';
import { exportKey, importKey } from './key-copy';
import { backUp, statusOf } from './operations';
import { restore } from './restore';
import { connect, type Db } from '@/db/client';
import { migrate } from '@/db/migrate';
import { chainRepo } from '@/db/repositories/chain';
import { logRepo } from '@/db/repositories/log';
import { INVITATION_MS, invitationRepo } from '@/db/repositories/invitations';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo, type Site } from '@/db/repositories/site';
import { timeStampRepo } from '@/db/repositories/time-stamps';
import { differingStamps } from '@/db/stamp-log';
import { rebuildSnapshots } from '@/db/write';
import { now } from '@/platform/clock';
import { createToken } from '@/platform/token';
import { env } from '@/platform/env';

/** Where backups lie, unless another folder is named. */
const backupFolder = (): string => process.env.ZEALOUS_BACKUPS ?? '.data/backups';

const SETTLE_MS = 60 * 60 * 1000;

/** What `./zealous` asks of the database. */
const COMMANDS: Record<string, () => Promise<void>> = {
  async migrate() {
    await withDb((db) => migrate(db));
  },
  /** The demo is laid up anew for today unless a person has written in it. */
  async seed() {
    await withDb(async (db) => {
      await layUpDemoIfDue(db);
      if (await memberRepo(db).hasManager()) return;
      await layUpDemoPeople(db, now());
      await layUpSecondSite(db, now());
    });
  },
  /**
   * The link that lets the first manager in, where there is none; good once, and made anew with each start. Asked for `again`, one is
   * made in any case: whoever has the machine has the site.
   */
  async 'first-link'() {
    await withDb(async (db) => {
      const isWanted = process.argv[4] === 'again';
      if (!isWanted && (await memberRepo(db).hasManager())) return;
      const { token, tokenHash } = createToken();
      // Those printed at an earlier start are forgotten somewhere.
      await invitationRepo(db).withdrawFirstLinks(now());
      await invitationRepo(db).invite({
        ...{ tokenHash, site: null, letsIn: 'first', role: 'manager' },
        ...{ name: null, partner: null, madeBy: null },
        ...{ madeAt: now(), expiresAt: now() + INVITATION_MS },
      });
      console.log('Open this link to make an account that manages; it works once, within 7 days:');
      console.log(`${process.argv[3] ?? ''}/join/${token}`);
    });
  },
  /** The JSON Schema of the batch file, or of the site file, for docs/. */
  async schema() {
    const schema = process.argv.includes('site') ? siteFileJsonSchema() : batchFileJsonSchema();
    console.log(JSON.stringify(schema, null, 2));
  },
  /** Checks the whole log of each site; with --since also whether one extends what somebody saw of it. */
  async chain() {
    await withDb(async (db) => {
      const sites = await siteRepo(db).all();
      if (sites.length === 0) console.log('No site yet: nothing to check.');
      const { values } = parseArgs({
        args: process.argv.slice(3),
        options: { since: { type: 'string' }, stamps: { type: 'string' } },
      });
      const key = siteKey();
      if (sites.length > 0)
        console.log(
          key
            ? `Signed by key ${keyName(key.publicKey, sha256)}.`
            : 'There is no key: nothing is signed.',
        );
      for (const site of sites) {
        await checkSite(db, site);
        await checkStamps(db, site, values.stamps);
      }
      if (values.since !== undefined) await compareWithSeen(db, sites, values.since);
    });
  },
  /** Makes the installation's key, unless it is there; and once, at an upgrade, begins what is remembered beside it. */
  async key() {
    const file = env.keyFile();
    if (file === null) return;
    if (createSiteKey(file))
      console.error(
        `A key was made for what this installation signs: ${file}. Keep a copy of it apart: ./zealous key export FILE`,
      );
    await withDb(async (db) => {
      await upgradeMemory(db, now());
      await forgetEventsOfEmptyDatabase(db);
    });
  },
  /** The key with what is remembered of the logs, as one file: to be kept apart, or for another machine that serves the same database. */
  async 'key-export'() {
    const { positionals, passphrase } = keyCall();
    const [to] = positionals;
    if (to === undefined) throw new Error('Name the file: ./zealous key export FILE');
    exportKey(to, passphrase);
    console.log(
      `Written to ${to}: the key and the signed ends of the logs${passphrase === null ? '. Whoever has this file can sign as this installation does: keep it where nobody else reads it.' : ', encrypted.'}`,
    );
    await Promise.resolve();
  },
  async 'key-import'() {
    const { positionals, passphrase } = keyCall();
    const [from] = positionals;
    if (from === undefined) throw new Error('Name the file: ./zealous key import FILE');
    importKey(from, passphrase);
    console.log('The key and the signed ends of the logs are in place.');
    await Promise.resolve();
  },
  /** One file with everything; `--keep N` deletes older ones, `--age RECIPIENT` encrypts it. */
  async backup() {
    const { values, positionals } = parseArgs({
      args: process.argv.slice(3),
      allowPositionals: true,
      options: {
        keep: { type: 'string' },
        age: { type: 'string' },
        'passphrase-file': { type: 'string' },
      },
    });
    const passphrase = passphraseIn(values['passphrase-file']);
    const folder = positionals[0] ?? backupFolder();
    const keep = values.keep === undefined ? undefined : Number(values.keep);
    if (keep !== undefined && !(keep >= 1))
      throw new Error('--keep must be a number of 1 or more.');
    await withDb(async (db) => {
      const { file, manifest, hasKey } = await backUp(db, env.adminDatabaseUrl(), folder, {
        ...{ keep, recipient: values.age, passphrase: passphrase ?? undefined },
      });
      console.log(`Backed up ${manifest.entries} entries and ${manifest.photos} pictures: ${file}`);
      if (env.keyFile() !== null && !hasKey)
        console.log(
          'The key is not in it, since it would lie there unencrypted. Keep a copy of it apart: ./zealous key export FILE',
        );
      if (manifest.head) console.log(`The log ends at ${manifest.head.seq}:${manifest.head.hash}`);
    });
  },
  /** Brings a backup back into an empty installation, and compares. */
  async restore() {
    const { values, positionals } = parseArgs({
      args: process.argv.slice(3),
      allowPositionals: true,
      options: { 'passphrase-file': { type: 'string' }, 'new-key': { type: 'boolean' } },
    });
    const [file] = positionals;
    if (file === undefined) throw new Error('Name the backup: ./zealous restore FILE');
    const call = {
      passphrase: passphraseIn(values['passphrase-file']),
      newKey: values['new-key'] ?? false,
    };
    await withDb(async (db) => {
      const { manifest, compared } = await restore(db, env.adminDatabaseUrl(), file, call);
      console.log(`Restored what was backed up on ${manifest.madeAt}.`);
      for (const { what, same } of compared)
        console.log(`  ${same ? 'same' : 'NOT THE SAME'}: ${what}`);
      if (compared.some((c) => !c.same)) process.exitCode = 1;
    });
  },
  /** What the installation holds, in words or as JSON. */
  async status() {
    await withDb(async (db) => {
      const status = await statusOf(db, backupFolder());
      if (process.argv.includes('--json')) {
        console.log(JSON.stringify(status, null, 1));
        return;
      }
      const { chain } = status;
      for (const line of [
        status.sites.length === 0 ? 'No site yet.' : `Sites: ${status.sites.join(', ')}`,
        `Entries: ${status.entries}, pictures: ${status.photos}, database: ${status.databaseMb} MB`,
        chain === null
          ? 'Log: not checked yet'
          : `Log: ${chain.faults === 0 ? 'whole' : `does not fit in ${chain.faults} places`}, checked ${chain.checkedAt}`,
        `Last backup: ${status.lastBackup ?? 'none'}`,
        `Versions: schema ${status.migrations}, PostgreSQL ${status.postgres}, Node.js ${status.node}`,
      ])
        console.log(line);
    });
  },
  async rebuild() {
    await withDb(async (db) => {
      const sites = await siteRepo(db).all();
      if (sites.length === 0) console.log('No site yet: nothing to rebuild.');
      for (const site of sites) {
        const chain = await chainRepo(db).checkChain(site.id);
        tellFaults(chain.faults);
        if (chain.faults.length === 0)
          console.log(`The log of ${site.name} is whole: ${chain.entries} entries.`);
        const folded = await rebuildSnapshots(db, site, now());
        console.log(`Folded ${folded} ${folded === 1 ? 'batch' : 'batches'} anew.`);
      }
    });
  },
};

/** What stands in a file with a passphrase; null: none is named. */
function passphraseIn(file: string | undefined): string | null {
  if (file === undefined) return null;
  const text = readFileSync(file, 'utf8').trim();
  if (text === '') throw new Error(`${file} is empty: write the passphrase into it.`);
  return text;
}
function keyCall(): { readonly positionals: string[]; readonly passphrase: string | null } {
  const { values, positionals } = parseArgs({
    args: process.argv.slice(3),
    allowPositionals: true,
    options: { 'passphrase-file': { type: 'string' } },
  });
  return { positionals, passphrase: passphraseIn(values['passphrase-file']) };
}

/** Checks the log of a site and says what was found, and where it ends. */
async function checkSite(db: Db, site: Site): Promise<void> {
  const report = await checkLogAndKeep(db, site, now());
  tellFaults(report.faults);
  const { signedFrom, heads } = readMemory(site.id);
  if (signedFrom !== null && signedFrom > 0)
    console.log(
      `Entries before number ${signedFrom} are older than signatures: nothing vouches for them.`,
    );
  if (signedFrom !== null)
    console.log(`It was compared with ${heads.length} signed ends that are kept beside the key.`);
  if (report.faults.length === 0)
    console.log(
      `The log of ${site.name} is whole: ${report.entries} entries, their pictures, and what was folded from them.`,
    );
  const head = await chainRepo(db).head(site.id);
  if (head) console.log(`It ends at ${head.seq}:${head.hash}`);
}

/** Whether the log is what the service of time stamps vouched for. @param folder where each of them is written to, for `openssl ts` */
async function checkStamps(db: Db, site: Site, folder?: string): Promise<void> {
  const stamps = await timeStampRepo(db).all(site.id);
  const last = stamps.at(-1);
  if (!last) return;
  const differing = await differingStamps(db, site.id);
  console.log(
    `Time stamps: ${stamps.length}; the last is of ${new Date(last.at).toISOString()} for entry ${last.seq}.`,
  );
  if (differing.length > 0) {
    console.error(
      `The log is not what was stamped: entry ${differing.map((s) => s.seq).join(', ')} is gone or changed.`,
    );
    process.exitCode = 1;
  }
  if (folder === undefined) return;
  mkdirSync(folder, { recursive: true });
  for (const { seq, token } of stamps) writeFileSync(path.join(folder, `${seq}.tst`), token);
  console.log(
    `Written to ${folder}. Each is checked by: openssl ts -verify -digest HASH -token_in -in SEQ.tst -CAfile ROOT-OF-THE-SERVICE`,
  );
}

/** Whether the log of one of the sites extends what somebody saw of it. */
async function compareWithSeen(db: Db, sites: readonly Site[], word: string): Promise<void> {
  const seen = seenIn(word);
  const lostAt = async (site: Site): Promise<number[]> => {
    const lost = [];
    for (const { seq, hash } of seen)
      if ((await chainRepo(db).hashAt(site.id, seq)) !== hash) lost.push(seq);
    return lost;
  };
  const lost = await Promise.all(sites.map(lostAt));
  const [fewest = []] = [...lost].sort((a, b) => a.length - b.length);
  if (sites.length > 0 && fewest.length === 0) {
    console.log(
      `It extends what was seen: ${seen.length} ${seen.length === 1 ? 'entry is' : 'entries are'} as they were.`,
    );
    return;
  }
  console.error(
    `It is not the log that was seen: entry ${fewest.slice(0, 20).join(', ')} ${fewest.length === 1 ? 'is' : 'are'} gone or changed.`,
  );
  process.exitCode = 1;
}

/** Names what does not fit, at most twenty times. */
function tellFaults(faults: readonly ChainFault[]): void {
  if (faults.length === 0) return;
  console.error(
    `The log does not fit in ${faults.length} ${faults.length === 1 ? 'place' : 'places'}:`,
  );
  for (const fault of faults.slice(0, 20)) console.error(`  ${faultText(fault)} (${fault.id})`);
  process.exitCode = 1;
}

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** Ends of the log, and entries in it, that somebody saw: `SEQ:HASH` as it is printed, or a file that bears them. */
function seenIn(word: string): { readonly seq: number; readonly hash: string }[] {
  const typed = /^(\d+):([0-9a-f]{64})$/.exec(word);
  if (typed?.[1] && typed[2]) return [{ seq: Number(typed[1]), hash: typed[2] }];
  const file = JSON.parse(readFileSync(word, 'utf8')) as {
    trail?: {
      entries?: { seq: number; hash: string }[];
      seal?: { log: { seq: number; hash: string } };
    };
    head?: { seq: number; hash: string };
  };
  const seen = [
    ...(file.trail?.entries ?? []),
    ...(file.trail?.seal ? [file.trail.seal.log] : []),
    ...(file.head ? [file.head] : []),
  ].map(({ seq, hash }) => ({ seq, hash }));
  if (seen.length === 0)
    throw new Error(
      `${word} bears no end of a log. Give a batch file, the manifest of a backup, or SEQ:HASH as it is printed on a record.`,
    );
  return seen;
}

async function withDb(work: (db: ReturnType<typeof connect>) => Promise<void>): Promise<void> {
  const db = connect(env.adminDatabaseUrl(), 2);
  try {
    await work(db);
  } finally {
    await db.destroy();
  }
}

/** Lays the demo up anew for today, unless it was just laid up or a person has written in it. */
async function layUpDemoIfDue(db: Db): Promise<void> {
  const site = await siteRepo(db).first();
  const laidUp = site?.demoUntil ?? null;
  if (site && laidUp !== null && !process.argv.includes('--fresh')) {
    if (now() - laidUp < SETTLE_MS) return;
    if (await logRepo(db).writtenSince(site.id, laidUp)) {
      console.error(
        'The demo is as you left it, with what you logged. ./zealous demo --fresh lays it up anew for today.',
      );
      return;
    }
  }
  await layUpDemo(db, now());
}

const command = COMMANDS[process.argv[2] ?? ''];
if (!command) {
  console.error(`tool: one of ${Object.keys(COMMANDS).join(', ')}`);
  process.exit(2);
}
await command().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
