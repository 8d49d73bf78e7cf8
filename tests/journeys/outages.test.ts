import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { CHROMIUM_FLAGS, closed, fill, open, press, sleep, waitText } from '../support/app';
import { answersAgain, createCommand, setUpSite } from '../support/command';

/**
 * What `./zealous start` and a phone do when the machine lets them down: the disk is full, the database is away, the clock is set
 * back. The phone says so, keeps what was logged, and it arrives by itself. `AWAY_S=300 ./zealous test
 * tests/journeys/outages.test.ts` has the database away for five minutes.
 */
const AWAY_S = Number(process.env.AWAY_S ?? 8);
const ROOT = path.resolve(__dirname, '../..');
const isRoot = process.getuid?.() === 0;
/** A small disk of its own is made by root alone; for somebody else the full disk is left out. */
const testAsRoot = isRoot ? test : test.skip;

let data: string;
let disk: string;
let shift: string;
let command: ReturnType<typeof createCommand>;
let browser: Browser;
let page: Page;
let url: string;

beforeAll(async () => {
  data = fs.mkdtempSync(path.join(os.tmpdir(), 'outage-'));
  fs.chmodSync(data, 0o755); // the database's user passes through
  disk = path.join(data, 'disk');
  fs.mkdirSync(disk);
  if (isRoot) execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=220m,mode=755', 'tmpfs', disk]);
  shift = path.join(data, 'shift');
  command = createCommand(disk, {
    PG_DIR: path.join(disk, 'pg'),
    SHIFT_CLOCK_FILE: shift,
    NODE_OPTIONS: `--require ${path.join(ROOT, 'tests/support/shift-clock.cjs')}`,
  });
  url = await command.start();
  browser = await puppeteer.launch({
    ...{ executablePath: '/usr/bin/chromium', headless: true, args: CHROMIUM_FLAGS },
  });
  page = await browser.newPage();
  await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
  await setUpSite(page, await command.firstLink());
}, 180_000);
afterAll(async () => {
  if (browser) await closed(browser);
  command.interrupt();
  command.run('stop');
  if (isRoot) execFileSync('umount', ['-l', disk]);
  fs.rmSync(data, { recursive: true, force: true });
}, 60_000);

/** Air temperatures that the log holds, as the export says. */
async function airLogged(): Promise<readonly number[]> {
  const rows = await page.evaluate(async () => {
    const answer = await fetch('/api/trail?as=json');
    return answer.ok ? answer.text() : '';
  });
  return [...rows.matchAll(/"value":\s*(-?\d+(?:\.\d+)?)/g)].map((m) => Number(m[1]));
}

async function logAir(value: string): Promise<void> {
  await fill(page, 'In the shade, °C', value);
  await press(page, 'Save the air temperature');
}

/** It is told on the phone while it lasts; afterwards it arrives with nobody doing anything, once. */
async function arrives(value: number): Promise<void> {
  await answersAgain(url);
  for (let i = 0; i < 120 && !(await airLogged()).includes(value); i += 1) await sleep(1000);
  expect((await airLogged()).filter((v) => v === value)).toEqual([value]);
}

const postgresProcesses = (): readonly string[] => {
  const pid = fs.readFileSync(path.join(disk, 'pg/data/postmaster.pid'), 'utf8').split('\n')[0];
  const children = execFileSync('ps', ['-o', 'pid=', '--ppid', pid ?? ''], { encoding: 'utf8' });
  return [pid ?? '', ...children.split(/\s+/).filter(Boolean)];
};

test(
  `the database does not answer for ${AWAY_S} s`,
  async () => {
    await open(page, `${url}/instruments`);
    const stopped = postgresProcesses();
    execFileSync('kill', ['-STOP', ...stopped]);
    try {
      await logAir('11.25');
      await waitText(page, '[data-testid=device-bar]', /1 entry is waiting to send/);
      await sleep(AWAY_S * 1000);
    } finally {
      execFileSync('kill', ['-CONT', ...stopped]);
    }
    await arrives(11.25);
    await waitText(page, '[data-testid=device-bar]', /^(?![\s\S]*waiting to send)/);
  },
  240_000 + AWAY_S * 1000,
);

test('the server’s clock is set back: nothing is written with a time before the last entry', async () => {
  await open(page, `${url}/instruments`);
  await logAir('12.25');
  await arrives(12.25);
  fs.writeFileSync(shift, String(-3_600_000));
  await open(page, `${url}/instruments`);
  await logAir('13.25');
  await waitText(page, '[data-testid=device-bar]', /1 entry is waiting to send/);
  await open(page, `${url}/waiting`);
  await waitText(page, 'main', /clock/i);
  expect(await airLogged()).not.toContain(13.25);
  fs.rmSync(shift);
  await arrives(13.25);
}, 240_000);

testAsRoot(
  'the disk is full: it is told, nothing is lost, and with room it goes on by itself',
  async () => {
    await open(page, `${url}/instruments`);
    const filler = path.join(disk, 'filler');
    try {
      await fillUp(filler);
      await logAir('14.25');
      await waitText(page, '[data-testid=device-bar]', /1 entry is waiting to send/);
    } finally {
      fs.rmSync(filler);
    }
    await arrives(14.25);
    expect(command.run('chain')).toMatch(/is whole/);
  },
  300_000,
);

/**
 * Takes all room from the database. Some is inside files that are there already, and a database that
 * starts over after its log was full finds room again: full is what takes no entry five times in a row.
 */
async function fillUp(filler: string): Promise<void> {
  let refused = 0;
  for (let i = 0; i < 400 && refused < 5; i += 1) {
    execFileSync('sh', ['-c', `cat /dev/zero >> ${filler} 2>/dev/null || true`]);
    refused = (await page.evaluate(logMany, i)) ? 0 : refused + 1;
    if (refused > 0) await sleep(500);
  }
  expect(refused).toBe(5);
}

/** In the page: logs a hundred long notes. @returns whether all were taken */
async function logMany(n: number): Promise<boolean> {
  const entries = Array.from({ length: 100 }, () => ({
    ...{ id: crypto.randomUUID(), batch: null, kind: 'ambient', at: null, by: 'Mo' },
    data: { value: n % 9, unit: 'C' },
  }));
  const answer = await fetch('/api/log', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ sentAt: Date.now(), entries }),
  }).catch(() => null);
  if (!answer?.ok) return false;
  const { answers } = (await answer.json()) as { answers: { ok: boolean }[] };
  return answers.every((a) => a.ok);
}
