import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import puppeteer from 'puppeteer-core';
import { fill, open, press, setTime, sleep, textOf, waitText } from '../support/app';

/** `./zealous start` as a person runs it, in a folder of its own: set-up, kill, start again, Ctrl-C. */
const ROOT = path.resolve(__dirname, '../..');
let data: string;
let env: NodeJS.ProcessEnv;
let command: ChildProcess | null = null;

beforeAll(() => {
  data = fs.mkdtempSync(path.join(os.tmpdir(), 'zealous-'));
  fs.chmodSync(data, 0o755); // the database's user passes through
  const {
    DATABASE_URL: _a,
    DATABASE_ADMIN_URL: _b,
    PG_DIR: _c,
    PG_MODE: _d,
    ...rest
  } = process.env;
  env = { ...rest, ZEALOUS_DATA: data } as NodeJS.ProcessEnv;
});
afterAll(() => {
  command?.kill('SIGINT');
  execFileSync(path.join(ROOT, 'zealous'), ['stop'], { env });
  fs.rmSync(data, { recursive: true, force: true });
}, 30_000);

const pidOf = (name: string): number =>
  Number(fs.readFileSync(path.join(data, name), 'utf8').split('\n')[0]);
const alive = (pid: number): boolean => {
  try {
    return !/^State:\s+[ZX]/m.test(fs.readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};
const gone = async (pid: number): Promise<void> => {
  for (let i = 0; i < 100 && alive(pid); i += 1)
    await new Promise((r) => {
      setTimeout(r, 100);
    });
};

/** Waits until it and its database answer again. */
async function answersAgain(url: string): Promise<void> {
  await new Promise((r) => {
    setTimeout(r, 500);
  });
  for (let i = 0; i < 300; i += 1) {
    if (
      await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(1000) }).then(
        (r) => r.ok,
        () => false,
      )
    )
      return;
    await new Promise((r) => {
      setTimeout(r, 200);
    });
  }
  throw new Error('it does not come up again');
}

/** What it has printed since it was started. */
let printed = '';
/** The link for the first account, which it prints while there is none. */
async function firstLink(): Promise<string> {
  for (let i = 0; i < 100; i += 1) {
    const link = /http:\S+\/join\/\S+/.exec(printed)?.[0];
    if (link !== undefined) return link;
    await sleep(100);
  }
  throw new Error(`no link was printed: ${printed}`);
}

/** Starts it and waits for the one address that it prints. */
async function start(): Promise<string> {
  command = spawn(path.join(ROOT, 'zealous'), ['start'], {
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  return new Promise((resolve, reject) => {
    printed = '';
    command!.stdout!.on('data', (chunk: Buffer) => {
      printed += chunk;
      const m = /http:\/\/127\.0\.0\.1:\d+/.exec(printed);
      if (m) resolve(m[0]);
    });
    command!.stderr!.on('data', (chunk: Buffer) => {
      printed += chunk;
    });
    command!.once('exit', () => reject(new Error(`it ended: ${printed}`)));
  });
}

/** What listens on this machine beside loopback, by the kernel's own table, of these processes. */
function listensBeyondLoopback(port: number): boolean {
  const hex = port.toString(16).toUpperCase().padStart(4, '0');
  const rows = ['/proc/net/tcp', '/proc/net/tcp6'].flatMap((f) =>
    fs.existsSync(f) ? fs.readFileSync(f, 'utf8').split('\n') : [],
  );
  return rows.some((row) => {
    const [, local, , state] = row.trim().split(/\s+/);
    return state === '0A' && local?.endsWith(`:${hex}`) === true && local !== `0100007F:${hex}`;
  });
}

test('an empty site; killed server and database come up again with everything; Ctrl-C leaves nothing', async () => {
  const url = await start();
  const browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    headless: true,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-dev-shm-usage',
      '--disable-background-networking',
    ],
  });
  const page = await browser.newPage();
  await open(page, url);
  expect(await textOf(page, 'main')).toMatch(/Open the link that was printed/);
  await open(page, await firstLink());
  await fill(page, 'Your name', 'Mo');
  await fill(page, 'User name', 'mo');
  await fill(page, 'Password', 'many warm heaps');
  await press(page, 'Create account');
  await fill(page, 'Name of the site', 'Hopyard Corner');
  await press(page, 'Go on');
  await waitText(page, 'main', /What do you make compost for/);
  await open(page, `${url}/open`);
  await press(page, 'Yes, adding is finished');
  await setTime(
    page,
    'When the last raw material went in',
    new Date(Date.now() - 26 * 3_600_000).toISOString().slice(0, 16),
  );
  await fill(page, 'Who', 'Mo');
  await press(page, 'Start Avocet');
  await waitText(page, '[data-testid=log]', /Finished adding/);
  const heap = page.url();
  const before = await textOf(page, '[data-testid=log]');
  expect(listensBeyondLoopback(Number(new URL(url).port))).toBe(false);
  expect(listensBeyondLoopback(pidOf('pg/port'))).toBe(false);

  for (const victim of ['pg/data/postmaster.pid', 'run/start.pid'])
    process.kill(pidOf(victim), 'SIGKILL');
  // Nobody does anything: both come up again by themselves, at the same address.
  await answersAgain(url);
  expect(alive(command!.pid!)).toBe(true);
  await open(page, heap);
  expect(await textOf(page, '[data-testid=log]')).toBe(before);
  await browser.close();

  const [server, database, shell] = [
    pidOf('run/start.pid'),
    pidOf('pg/data/postmaster.pid'),
    command!.pid!,
  ];
  process.kill(-shell, 'SIGINT'); // what a terminal's Ctrl-C does: to the whole group
  for (const pid of [shell, server, database]) {
    await gone(pid);
    expect([pid, alive(pid)]).toEqual([pid, false]);
  }
  command = null;
  expect(execFileSync(path.join(ROOT, 'zealous'), ['rebuild'], { env, encoding: 'utf8' })).toMatch(
    /The log of Hopyard Corner is whole: 2 entries\.\nFolded 1 batch anew\./,
  );
}, 120_000);

test('the service that is installed is a sound one, and reads the program without writing it', () => {
  const into = fs.mkdtempSync(path.join(os.tmpdir(), 'install-'));
  const installed = (name: string): string => path.join(into, 'etc', name);
  try {
    const install = (...args: string[]) =>
      execFileSync(path.join(ROOT, 'zealous'), ['install', ...args], { env, stdio: 'pipe' });
    install('compost.farm.example', '--into', into);
    const units = [
      'zealous-heap.service',
      'zealous-heap-backup.service',
      'zealous-heap-backup.timer',
    ];
    const files = units.map((unit) => installed(`systemd/system/${unit}`));
    const service = fs.readFileSync(files[0]!, 'utf8');
    expect(service).toMatch(/^User=zealous$/m);
    expect(service).toMatch(/^ProtectSystem=strict$/m);
    expect(service).toMatch(/ZEALOUS_HOSTS=compost\.farm\.example ZEALOUS_HTTPS=1/);
    const caddy = fs.readFileSync(installed('caddy/Caddyfile'), 'utf8');
    expect(caddy).toMatch(/https:\/\/compost\.farm\.example \{\n\ttls internal/);
    // Once more is no harm; a file of somebody else's stays.
    install('compost.farm.example', '--public', '--into', into);
    expect(fs.readFileSync(installed('caddy/Caddyfile'), 'utf8')).not.toContain('tls internal');
    fs.writeFileSync(installed('caddy/Caddyfile'), 'shop.example {\n}\n');
    expect(() => install('compost.farm.example', '--into', into)).toThrow(
      /was not written by this program/,
    );
    expect(() => install('not a name', '--into', into)).toThrow(/Say under which name/);
    if (!fs.existsSync('/usr/bin/systemd-analyze')) return;
    // The user is made when it is installed; here there is none of that name. What systemd does not know it says on stderr alone.
    for (const f of files)
      fs.writeFileSync(f, fs.readFileSync(f, 'utf8').replace('User=zealous', 'User=root'));
    const { status, stderr } = spawnSync('systemd-analyze', ['verify', ...files], {
      encoding: 'utf8',
    });
    expect([status, stderr.trim()]).toEqual([0, '']);
  } finally {
    fs.rmSync(into, { recursive: true, force: true });
  }
}, 60_000);
