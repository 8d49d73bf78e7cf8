import { execFileSync, spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import puppeteer from 'puppeteer-core';
import { answersAgain, createCommand, isAlive, setUpSite } from '../support/command';
import { fill, open, press, setTime, sleep, textOf, waitText } from '../support/app';

/** `./zealous start` as a person runs it, in a folder of its own: set-up, kill, start again, Ctrl-C. */
const ROOT = path.resolve(__dirname, '../..');
let data: string;
let command: ReturnType<typeof createCommand>;

beforeAll(() => {
  data = fs.mkdtempSync(path.join(os.tmpdir(), 'zealous-'));
  fs.chmodSync(data, 0o755); // the database's user passes through
  command = createCommand(data);
});
afterAll(() => {
  command.interrupt();
  command.run('stop');
  fs.rmSync(data, { recursive: true, force: true });
}, 30_000);

const pidOf = (name: string): number =>
  Number(fs.readFileSync(path.join(data, name), 'utf8').split('\n')[0]);
const gone = async (pid: number): Promise<void> => {
  for (let i = 0; i < 100 && isAlive(pid); i += 1) await sleep(100);
};

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
  const url = await command.start();
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
  await setUpSite(page, await command.firstLink());
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
  await sleep(500);
  await answersAgain(url);
  expect(isAlive(command.pid())).toBe(true);
  await open(page, heap);
  expect(await textOf(page, '[data-testid=log]')).toBe(before);
  await browser.close();

  const [server, database, shell] = [
    pidOf('run/start.pid'),
    pidOf('pg/data/postmaster.pid'),
    command.pid(),
  ];
  command.interrupt();
  for (const pid of [shell, server, database]) {
    await gone(pid);
    expect([pid, isAlive(pid)]).toEqual([pid, false]);
  }
  expect(command.run('rebuild')).toMatch(
    /The log of Hopyard Corner is whole: 2 entries\.\nFolded 1 batch anew\./,
  );
}, 120_000);

test('the service that is installed is a sound one, and reads the program without writing it', () => {
  const into = fs.mkdtempSync(path.join(os.tmpdir(), 'install-'));
  const installed = (name: string): string => path.join(into, 'etc', name);
  try {
    const install = (...args: string[]) =>
      execFileSync(path.join(ROOT, 'zealous'), ['install', ...args], {
        env: command.env,
        stdio: 'pipe',
      });
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
