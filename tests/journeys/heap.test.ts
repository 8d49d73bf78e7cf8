import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseBatchFile } from '@/core/formats/batch-file';
import { preparedOf, rulingsOf } from '@/core/formats/verify-call';
import { findRule } from '@/core/rules/library';
import {
  axe,
  fill,
  open,
  press,
  pressKey,
  setTime,
  startApp,
  textOf,
  valueOf,
  waitText,
  type App,
} from '../support/app';

/** A new user's way through the product, on the production build. */
const ROOT = path.resolve(__dirname, '../..');
let app: App;
let tmp: string;
beforeAll(async () => {
  app = await startApp();
  await app.signUp();
  tmp = fs.mkdtempSync(path.join(os.tmpdir(), 'journey-'));
}, 60_000);
afterAll(async () => {
  await app?.stop();
  if (tmp) fs.rmSync(tmp, { recursive: true, force: true });
}, 30_000);

const H = 3_600_000;
const localInput = (at: number): string => new Date(at).toISOString().slice(0, 16);
const drop = async (
  page: import('puppeteer-core').Page,
  name: string,
  text: string,
): Promise<void> => {
  const file = path.join(tmp, name);
  fs.writeFileSync(file, text);
  const input = await page.waitForSelector('input[type=file]');
  await (input as import('puppeteer-core').ElementHandle<HTMLInputElement>).uploadFile(file);
};
const statuses = (
  page: import('puppeteer-core').Page,
  list: string,
): Promise<Record<string, string>> =>
  page.$$eval(`${list} [data-rule]`, (els) =>
    Object.fromEntries(
      els.map((el) => [(el as HTMLElement).dataset.rule!, (el as HTMLElement).dataset.status!]),
    ),
  );

test('an empty site is named first, and says what to do', async () => {
  const { page, close } = await app.page();
  await open(page, app.base);
  expect(await textOf(page, 'h1')).toBe('Where is your compost?');
  await fill(page, 'Name of the site', ' ');
  await press(page, 'Go on');
  await waitText(page, 'main', /Give the site a name/);
  await fill(page, 'Name of the site', 'Hopyard Corner');
  await fill(page, 'Time zone', 'UTC');
  await press(page, 'Go on');
  await waitText(page, 'main', /What do you make compost for/);
  await open(page, app.base);
  await waitText(page, 'main', /No batch yet/);
  expect(await axe(page)).toEqual([]);
  await close();
}, 60_000);

test('open a heap, log a round, a turning, water, an addition, what it is like, and put a slip right', async () => {
  const { page, errors, hosts, close } = await app.page();
  await open(page, `${app.base}/open`);
  expect(await valueOf(page, 'Code')).toBe('A');
  await press(page, 'Yes, adding is finished');
  const built = Math.floor(Date.now() / 60_000) * 60_000 - 50 * H;
  await setTime(page, 'When the last raw material went in', localInput(built));
  await fill(page, 'Who', 'Mo');
  // Nothing tells the country here, so no rule on germs is proposed: it is chosen.
  await page.$$eval('fieldset details', (all) =>
    all.forEach((d) => {
      (d as HTMLDetailsElement).open = true;
    }),
  );
  await (await page.waitForSelector(
    '::-p-xpath(//label[contains(., "PFRP, turned windrow")]/input)',
  ))!.click();
  await page.select('#lead', 'us-503-pfrp-turned');
  await press(page, 'Start Avocet');
  await waitText(page, 'main', /No temperatures since its clock started\. It needs 15 days/);
  const url = page.url();

  // Two rounds, the first of them a day ago, so that a day is earned.
  for (const hoursAgo of [26, 2]) {
    await press(page, 'Log temperatures');
    await waitText(page, 'main', /What this check will do/);
    for (const [i, value] of ['63.4', '62', '61.5', '58.2', '59'].entries())
      await fill(
        page,
        `${['P1 core, top', 'P2 middle, left', 'P3 middle, right', 'P4 edge, front', 'P5 edge, back'][i]}, now, °C`,
        value,
      );
    await setTime(page, 'When', localInput(Date.now() - hoursAgo * H));
    await waitText(page, 'aside', /58\.2 °C at P4 edge, front/);
    await press(page, 'Save these temperatures (5)');
    await page.waitForFunction((u) => location.href === u, {}, url);
    await waitText(page, '[data-testid=log]', /Temperature check of 5/);
  }
  await waitText(
    page,
    '[data-testid=verdict]',
    /Still needed: 14 d 0 h more at 55 °C at its coldest point, and 5 more turnings/,
  );

  await page.keyboard.press('t');
  await waitText(
    page,
    '[role=dialog]',
    /Take temperatures the same afternoon and again the next day/,
  );
  expect(await axe(page)).toEqual([]);
  // One answer says whether it was a full turn; without it nothing is saved.
  await press(page, 'Full turn');
  await press(page, 'Save this turning');
  await waitText(page, '[data-testid=log]', /Full turn/);
  await waitText(page, 'aside', /Turned today\. Temperatures this afternoon/);

  await press(page, 'Watered');
  await press(page, 'Clean');
  await fill(page, 'How much, L', '120');
  await press(page, 'Save this watering');
  await waitText(page, '[data-testid=log]', /Watered 120 L, clean/);

  await press(page, 'Added');
  await fill(page, 'What went in', 'hen-house litter');
  await press(page, 'Raw, or I don’t know');
  await waitText(
    page,
    '[data-testid=effects]',
    /This costs counted time or a met rule:[^]*1 d 0 h would be lost[^]*clock starts over/,
  );
  await page.keyboard.press('Escape');
  await page.waitForSelector('[role=dialog]', { hidden: true });
  await press(page, 'Added');
  await fill(page, 'What went in', 'chip');
  await press(page, 'Clean');
  await waitText(page, '[data-testid=effects]', /No verdict changes/);
  await press(page, 'Save this addition');
  await waitText(page, '[data-testid=log]', /Clean addition chip/);

  await press(page, 'Moisture and smell');
  await press(page, 'A drop or two');
  await press(page, 'Earthy');
  await press(page, 'Save');
  await waitText(page, '[data-testid=log]', /squeeze test: a drop or two: right, smell: earthy/);

  await (await page.waitForSelector(
    '::-p-xpath(//button[starts-with(@aria-label, "Correct: Temperature check of 5")])',
  ))!.click();
  await page.select(
    '#which',
    await page.$eval(
      '#which',
      (el) => [...(el as HTMLSelectElement).options].find((o) => o.text.startsWith('P4'))!.value,
    ),
  );
  await fill(page, 'Right value, °C', '48.2');
  await fill(page, 'Why', 'read the wrong line');
  await waitText(page, '[data-testid=effects]', /would be lost/);
  await press(page, 'Correct it');
  const log = await waitText(page, '[data-testid=log]', /superseded: read the wrong line/);
  expect(log).toMatch(/58\.2 °C/);
  expect(log).toMatch(/Correction now 48\.2 °C, read the wrong line/);
  await waitText(page, '[data-testid=verdict]', /Starts over: The check of .* came to 48 °C/);

  expect([...hosts]).toEqual([new URL(app.base).host]);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('what was acknowledged is there after the server was killed', async () => {
  const { page, close } = await app.page();
  await open(page, app.base);
  const href = await page.$eval('ul a[href^="/batch/"]', (a) => (a as HTMLAnchorElement).href);
  await open(page, href);
  const before = await textOf(page, '[data-testid=log]');
  await app.kill();
  await app.start();
  await open(page, href);
  expect(await textOf(page, '[data-testid=log]')).toBe(before);
  await close();
}, 60_000);

const readings = (days: number): { time: string; point: string; value: string }[] =>
  Array.from({ length: days + 1 }, (_, d) =>
    ['P1', 'P2', 'P3'].map((point, i) => ({
      time: `2026-05-${String(d + 2).padStart(2, '0')} 08:0${i}`,
      point,
      value: String(60 + i),
    })),
  ).flat();

test('a table is read after another page’s worker was kept on the device, and that page works on', async () => {
  const { page, errors, close } = await app.page();
  const openBench = async (): Promise<void> => {
    await open(page, `${app.base}/bench`);
    await waitText(page, '[data-testid=says]', /It is empty/);
  };
  await openBench();
  await page.waitForFunction(async () => {
    await navigator.serviceWorker.ready;
    return navigator.serviceWorker.controller !== null;
  });
  await openBench();
  await page.waitForFunction(async () =>
    (await (await caches.open('static')).keys()).some((r) => r.url.includes('worker')),
  );
  await open(page, `${app.base}/bring`);
  const rows = readings(4).map((r) => `${r.time},${r.point},${r.value}`);
  await drop(page, 'kept.csv', ['time,point,value', ...rows].join('\n'));
  await setTime(page, 'When the last raw material went in', '2026-05-01T12:00');
  await press(page, 'Static');
  await waitText(page, '[data-testid=preview-verdicts]', /Met/);
  await openBench();
  await press(page, 'Another material');
  await fill(page, 'Find a material', 'hen-house');
  await press(page, 'Chicken litter');
  await fill(page, 'Chicken litter, how much', '8');
  await press(page, 'Another material');
  await fill(page, 'Find a material', 'horse');
  await press(page, 'Horse manure');
  await press(page, 'Solve…');
  await pressKey(page, '[role=dialog]');
  await waitText(page, '[data-testid=solved]', /This reaches the goal|This comes closest/);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('a table with bad rows is refused by line, mended it is brought in, and taken out it says the same', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/bring`);
  const rows = readings(4).map((r) => `${r.time},${r.point},${r.value}`);
  await drop(
    page,
    'bad.csv',
    ['time,point,value', ...rows, '2026-05-07 08:00,P1,warm', 'soon,P2,60'].join('\n'),
  );
  await setTime(page, 'When the last raw material went in', '2026-05-01T12:00');
  await press(page, 'Static');
  await waitText(
    page,
    '[data-testid=bad-rows]',
    /Nothing was imported: 2 places are wrong\.[^]*Line 17: 'warm' is not a temperature\.[^]*Line 18: 'soon' is not a time/,
  );
  await drop(page, 'good.csv', ['time,point,value', ...rows].join('\n'));
  await waitText(page, '[data-testid=preview-verdicts]', /Met/);
  expect(await statuses(page, '[data-testid=preview-verdicts]')).toMatchObject({
    'us-503-pfrp-static': 'proven',
    'uk-pas100-default': 'broken',
  });
  expect(await axe(page)).toEqual([]);
  await fill(page, 'Who imports it', 'Mo');
  await press(page, 'Import it');
  await page.waitForFunction(() => location.pathname.startsWith('/batch/'));
  await waitText(page, 'main', /readings imported/);
  const shown = await statuses(page, 'main');

  const taken = await page.evaluate(async () => (await fetch(`${location.pathname}/file`)).text());
  const file = path.join(tmp, 'taken.json');
  fs.writeFileSync(file, taken);
  const parsed = parseBatchFile(JSON.parse(taken));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  for (const [rule, status] of Object.entries(shown))
    expect([
      rule,
      rulingsOf(preparedOf(parsed.file, Date.now()), [findRule(rule)!])[0]!.assessment.verdict
        .status,
    ]).toEqual([rule, status]);
  // The same from the terminal, with no server and no database.
  const out = JSON.parse(
    execFileSync(
      path.join(ROOT, 'zealous'),
      ['verify', file, '--rule', 'us-503-pfrp-static', '--json'],
      {
        encoding: 'utf8',
        env: { PATH: process.env.PATH, HOME: process.env.HOME } as unknown as NodeJS.ProcessEnv,
      },
    ),
  ) as { verdicts: { status: string; provenAt: string }[] };
  expect(out.verdicts[0]).toMatchObject({ status: 'proven', provenAt: '2026-05-05T08:02:00.000Z' });

  await open(page, `${app.base}/bring`);
  await drop(page, 'again.json', taken);
  await waitText(page, '[data-testid=preview-verdicts]', /Met/);
  await fill(page, 'Who imports it', 'Mo');
  await press(page, 'Import it');
  await page.waitForFunction(() => location.pathname.startsWith('/batch/'));
  await waitText(page, '[data-testid=log]', /readings imported/);
  expect(await statuses(page, 'main')).toEqual(shown);
  const again = parseBatchFile(
    JSON.parse(await page.evaluate(async () => (await fetch(`${location.pathname}/file`)).text())),
  );
  if (!again.ok) throw new Error('refused');
  const rules = Object.keys(shown).map((id) => findRule(id)!);
  expect(rulingsOf(preparedOf(again.file), rules).map((r) => r.assessment.verdict)).toEqual(
    rulingsOf(preparedOf(parsed.file), rules).map((r) => r.assessment.verdict),
  );
  const csv = await page.evaluate(async () =>
    (await fetch(`${location.pathname}/readings`)).text(),
  );
  expect(csv.split('\n')[0]).toBe(
    'local time,time,point,value,unit,high,marks,probe,flag,reason,round,id',
  );
  expect(csv.trim().split('\n')).toHaveLength(16);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('a file that is none is refused with what to do', async () => {
  const { page, close } = await app.page();
  await open(page, `${app.base}/bring`);
  await drop(
    page,
    'odd.json',
    '{"format":"zealous-heap/batch","version":1,"points":[{"id":"a"}],"readings":[{"id":"r","at":"2026-05-01T00:00Z","point":"z","value":"hot","unit":"C"}],"site":{"name":"x","timeZone":"UTC"},"batch":{"code":"x","method":"static","builtAt":"2026-05-01T00:00Z"}}',
  );
  await waitText(
    page,
    '[data-testid=bad-rows]',
    /readings\[0\]\.value: must be a number, not "hot"/,
  );
  const answer = await page.evaluate(async () => {
    const r = await fetch('/api/bring', { method: 'POST', body: '{}' });
    return [r.status, ((await r.json()) as { ok: boolean }).ok];
  });
  expect(answer).toEqual([400, false]);
  await close();
}, 60_000);
