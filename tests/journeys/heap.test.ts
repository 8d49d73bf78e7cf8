import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { layUpDemo } from '../../demo/lay-up';
import { parseBatchFile } from '@/core/formats/batch-file';
import { preparedOf, rulingsOf } from '@/core/formats/verify-call';
import { findRule } from '@/core/rules/library';
import {
  axe,
  fill,
  open,
  press,
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
  await press(page, 'Go to the yard');
  await waitText(page, 'main', /Give the site a name/);
  await fill(page, 'Name of the site', 'Hopyard Corner');
  await fill(page, 'Time zone', 'UTC');
  await press(page, 'Go to the yard');
  await waitText(page, 'main', /No heap yet/);
  expect(await axe(page)).toEqual([]);
  await close();
}, 60_000);

test('open a heap, log a round, a turning, water, an addition, what it is like, and put a slip right', async () => {
  const { page, errors, hosts, close } = await app.page();
  await open(page, `${app.base}/open`);
  expect(await valueOf(page, 'Code')).toBe('A');
  await press(page, 'Yes, it is closed');
  const built = Math.floor(Date.now() / 60_000) * 60_000 - 50 * H;
  await setTime(page, 'When the last raw load went in', localInput(built));
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
  await press(page, 'Open Avocet');
  await waitText(page, 'main', /Not read since its clock started\. It needs 15 days/);
  const url = page.url();

  // Two rounds, the first of them a day ago, so that a day is earned.
  for (const hoursAgo of [26, 2]) {
    await press(page, 'Log a round');
    await waitText(page, 'main', /What this round will do/);
    for (const [i, value] of ['63.4', '62', '61.5', '58.2', '59'].entries())
      await fill(
        page,
        `${['P1 core, crown', 'P2 middle, left', 'P3 middle, right', 'P4 toe, front', 'P5 toe, back'][i]}, now, °C`,
        value,
      );
    await setTime(page, 'When', localInput(Date.now() - hoursAgo * H));
    await waitText(page, 'aside', /58\.2 °C at P4 toe, front/);
    await press(page, 'Keep this round of 5');
    await page.waitForFunction((u) => location.href === u, {}, url);
    await waitText(page, '[data-testid=log]', /Round of 5/);
  }
  await waitText(
    page,
    '[data-testid=verdict]',
    /Needs 14 d 0 h more at 55 °C in its coldest point, and 5 more turnings/,
  );

  await page.keyboard.press('t');
  await waitText(page, '[role=dialog]', /Read it the same afternoon and again the next day/);
  expect(await axe(page)).toEqual([]);
  await press(page, 'Keep this turning');
  await waitText(page, '[data-testid=log]', /Turned/);
  await waitText(page, 'aside', /Turned today\. A reading this afternoon/);

  await press(page, 'Watered');
  await press(page, 'Clean');
  await fill(page, 'How much, litres', '120');
  await press(page, 'Keep this watering');
  await waitText(page, '[data-testid=log]', /Watered 120 L, clean/);

  await press(page, 'Added');
  await fill(page, 'What went in', 'hen-house litter');
  await press(page, 'Raw, or I don’t know');
  await waitText(
    page,
    '[data-testid=effects]',
    /This costs counted time or a proof:[^]*1 d 0 h would be lost[^]*clock starts again/,
  );
  await page.keyboard.press('Escape');
  await page.waitForSelector('[role=dialog]', { hidden: true });
  await press(page, 'Added');
  await fill(page, 'What went in', 'chip');
  await press(page, 'Clean');
  await waitText(page, '[data-testid=effects]', /It changes no verdict/);
  await press(page, 'Keep this addition');
  await waitText(page, '[data-testid=log]', /Clean addition chip/);

  await press(page, 'Felt, smelled');
  await press(page, 'A drop or two');
  await press(page, 'Earthy');
  await press(page, 'Keep what I saw');
  await waitText(page, '[data-testid=log]', /squeezed: a drop or two: right, smell: earthy/);

  await (await page.waitForSelector(
    '::-p-xpath(//button[starts-with(@aria-label, "Correct: Round of 5")])',
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
  await waitText(page, '[data-testid=verdict]', /Starts again: The round of .* came to 48 °C/);

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

test('a table with bad rows is refused by line, mended it is brought in, and taken out it says the same', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/bring`);
  const rows = readings(4).map((r) => `${r.time},${r.point},${r.value}`);
  await drop(
    page,
    'bad.csv',
    ['time,point,value', ...rows, '2026-05-07 08:00,P1,warm', 'soon,P2,60'].join('\n'),
  );
  await setTime(page, 'When the last raw load went in', '2026-05-01T12:00');
  await press(page, 'Static');
  await waitText(
    page,
    '[data-testid=bad-rows]',
    /Nothing is brought in: 2 places are wrong\.[^]*Line 17: 'warm' is not a temperature\.[^]*Line 18: 'soon' is not a time/,
  );
  await drop(page, 'good.csv', ['time,point,value', ...rows].join('\n'));
  await waitText(page, '[data-testid=preview-verdicts]', /Proven/);
  expect(await statuses(page, '[data-testid=preview-verdicts]')).toMatchObject({
    'us-503-pfrp-static': 'proven',
    'uk-pas100-default': 'broken',
  });
  expect(await axe(page)).toEqual([]);
  await fill(page, 'Who brings it in', 'Mo');
  await press(page, 'Bring it in');
  await page.waitForFunction(() => location.pathname.startsWith('/batch/'));
  await waitText(page, 'main', /readings brought in/);
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
  await waitText(page, '[data-testid=preview-verdicts]', /Proven/);
  await fill(page, 'Who brings it in', 'Mo');
  await press(page, 'Bring it in');
  await page.waitForFunction(() => location.pathname.startsWith('/batch/'));
  await waitText(page, '[data-testid=log]', /readings brought in/);
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
  expect(csv.split('\n')[0]).toBe('time,point,value,unit,probe,round,flag,reason,id,high,marks');
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

/** The page of a heap of the demo with a proof under way, from the yard. */
async function openEgret(page: import('puppeteer-core').Page): Promise<void> {
  await open(page, app.base);
  await press(page, 'Egret');
  await waitText(page, 'h1', /Egret/);
}

describe('the demo', () => {
  beforeAll(async () => {
    await layUpDemo(app.database.admin, Date.now());
  }, 60_000);

  test('twelve heaps; the verdict on the screen is the core’s; units and light stick', async () => {
    const { page, errors, close } = await app.page();
    await open(page, app.base);
    expect(await page.$$eval('main ul > li', (els) => els.length)).toBe(11);
    // The twelfth has gone out: its bay is free, and it is found under Records.
    await press(page, 'One finished batch: under Records');
    await waitText(page, 'main', /Finished batches[^]*L Lapwing/);
    await openEgret(page);
    const file = parseBatchFile(
      JSON.parse(
        await page.evaluate(async () => (await fetch(`${location.pathname}/file`)).text()),
      ),
    );
    if (!file.ok) throw new Error('refused');
    for (const [rule, status] of Object.entries(await statuses(page, 'main')))
      expect([
        rule,
        rulingsOf(preparedOf(file.file, Date.now()), [findRule(rule)!])[0]!.assessment.verdict
          .status,
      ]).toEqual([rule, status]);
    await press(page, '°F');
    await waitText(page, '[data-testid=verdict]', /131 °F/);
    await press(page, 'Shed');
    await page.reload();
    expect(await page.$eval('html', (el) => (el as HTMLElement).dataset.light)).toBe('shed');
    expect(await textOf(page, '[data-testid=verdict]')).toMatch(/131 °F/);
    expect(errors).toEqual([]);
    await close();
  }, 60_000);

  test.each(['sun', 'shed'])(
    'axe finds nothing on any screen in the %s',
    async (light) => {
      // Both at once: half of the time a page only waits. The shed changes colours alone: there the laptop shows them.
      const found = await Promise.all(
        [
          { width: 1280, height: 800 },
          { width: 390, height: 844, phone: true },
        ]
          .slice(0, light === 'sun' ? 2 : 1)
          .map(async (size): Promise<string[]> => {
            const { page, close } = await app.page(size);
            await page.setCookie({ name: 'zh_light', value: light, url: app.base });
            await open(page, app.base);
            const batches = await page.$$eval('main ul > li h2 a', (els) =>
              els.map((el) => (el as HTMLAnchorElement).pathname),
            );
            const building = batches.at(-1)!; // Knot is still going up
            await open(page, `${app.base}/store`);
            const load = await page.$eval(
              'main li a[href^="/store/"]',
              (el) => (el as HTMLAnchorElement).pathname,
            );
            const wrong: string[] = [];
            for (const at of [
              '/',
              ...batches,
              `/round${batches[4]!.replace('/batch/', '#')}`,
              '/round',
              `${batches[4]}/places`,
              '/open',
              '/bring',
              '/instruments',
              '/labels',
              '/waiting',
              '/more',
              '/nowhere',
              '/bench',
              `/bench?heap=${building.split('/')[2]}`,
              '/store',
              load,
              '/store/take-in',
              '/store/materials',
              '/store/gate',
              '/store/suppliers',
              '/map',
              `${building}/build`,
              `${building}/sheet`,
            ]) {
              await open(page, app.base + at);
              const wide = await page.evaluate(
                () => document.documentElement.scrollWidth - window.innerWidth,
              );
              if (wide > 0) wrong.push(`${at} at ${size.width}: ${wide} px too wide`);
              wrong.push(...(await axe(page)).map((v) => `${at} at ${size.width}: ${v}`));
            }
            await close();
            return wrong;
          }),
      );
      expect(found.flat()).toEqual([]);
    },
    240_000,
  );

  test('a round on a phone, by the pad', async () => {
    const { page, close } = await app.page({ width: 390, height: 844, phone: true });
    await open(page, app.base);
    const path = await page.$$eval(
      'main ul > li h2 a',
      (els) => (els[8] as HTMLAnchorElement).pathname,
    );
    await open(page, `${app.base}${path}/round`);
    for (const [i, value] of ['63.4', '62', '61.5', '58.2', '59'].entries()) {
      for (const key of value)
        await (await page.waitForSelector(
          `[data-testid=pad] button[aria-label="${key === '.' ? 'Point' : key}"]`,
        ))!.tap();
      await press(page, i < 4 ? `Keep ${value}, go to` : `Keep ${value}, then feel`);
    }
    await fill(page, 'Who', 'Zoë 100%');
    await press(page, 'Keep this round');
    await page.waitForFunction((p) => location.pathname === p, {}, path);
    await waitText(page, '[data-testid=log]', /Round of 5 58–63 °C/);
    await open(page, `${app.base}/round`);
    expect(await valueOf(page, 'Who reads')).toBe('Zoë 100%'); // the name is remembered on this device
    await close();
  }, 60_000);

  test('the keyboard alone goes from the yard to a heap, its readings, another unit and back; it can be switched off', async () => {
    const { page, close } = await app.page();
    await open(page, app.base);
    await page.keyboard.press('5');
    await waitText(page, 'h1', /Egret/);
    await page.keyboard.press('d');
    await page.waitForSelector('[data-testid=data-table][open]');
    await page.keyboard.press('u');
    await waitText(page, '[data-testid=verdict]', /131 °F/);
    await page.keyboard.press('g');
    await page.keyboard.press('y');
    await waitText(page, 'main', /can’t wait/);
    await page.keyboard.press('?');
    await waitText(page, '[role=dialog]', /the heap in that bay/);
    expect(await axe(page)).toEqual([]);
    await press(page, 'Single keys do something');
    await page.keyboard.press('Escape');
    await page.waitForSelector('[role=dialog]', { hidden: true });
    await page.keyboard.press('5');
    await new Promise((r) => {
      setTimeout(r, 600);
    });
    expect(new URL(page.url()).pathname).toBe('/');
    await close();
  }, 60_000);

  test('what was typed is offered again after Esc and a reload; a lit choice stays; what is missing is said', async () => {
    const { page, close } = await app.page();
    await openEgret(page);
    await press(page, 'Added');
    await waitText(page, '[role=dialog] [data-testid=missing]', /Choose whether it is raw\./);
    await fill(page, 'What went in', 'chip, two barrows');
    await press(page, 'Clean');
    await press(page, 'Clean');
    expect(
      await page.$$eval('[role=dialog] [aria-checked=true]', (all) =>
        all.map((el) => (el as HTMLElement).innerText),
      ),
    ).toEqual([expect.stringMatching(/^Clean/)]);
    await waitText(page, '[role=dialog] [data-testid=missing]', /Say who did it\./);
    await page.keyboard.press('Escape');
    await page.waitForSelector('[role=dialog]', { hidden: true });
    await page.reload();
    await waitText(page, 'h1', /Egret/);
    await press(page, 'Added');
    await waitText(page, '[role=dialog]', /This was typed .* and not saved\./);
    expect(await valueOf(page, 'What went in')).toBe('chip, two barrows');
    await press(page, 'Start afresh');
    expect(await valueOf(page, 'What went in')).toBe('');
    await close();
  }, 60_000);

  test('on a phone danger stands before the drawing, and logging within reach of a thumb', async () => {
    const { page, close } = await app.page({ width: 390, height: 844, phone: true });
    await open(page, app.base);
    const path = await page.$$eval(
      'main a[href^="/batch/"]',
      (all) =>
        (all.find((a) => a.textContent?.startsWith('Goshawk')) as HTMLAnchorElement).pathname,
    );
    await open(page, `${app.base}${path}`);
    await waitText(page, '[data-testid=danger]', /Goshawk: cool it/);
    const tops = await page.evaluate(() =>
      ['[data-testid=danger]', 'h1', '[data-testid=thumb-bar]'].map(
        (q) => document.querySelector(q)!.getBoundingClientRect().top,
      ),
    );
    expect(tops[0]).toBeLessThan(tops[1]!);
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    const bar = await page.$eval(
      '[data-testid=thumb-bar]',
      (el) => el.getBoundingClientRect().toJSON() as { top: number; bottom: number },
    );
    expect(bar.top).toBeGreaterThan(500);
    expect(bar.bottom).toBeLessThanOrEqual(844);
    expect(await axe(page)).toEqual([]);
    await press(page, 'More…');
    await waitText(page, '[role=dialog]', /Added[^]*Felt, smelled[^]*Split/);
    await close();
  }, 60_000);

  test('a turning is put right in its kind, with what it does said first', async () => {
    const { page, close } = await app.page();
    await openEgret(page);
    await (await page.waitForSelector(
      '::-p-xpath(//button[starts-with(@aria-label, "Correct: Turned")])',
    ))!.click();
    await press(page, 'Only stirred');
    await fill(page, 'Why', 'the rim stayed out');
    await fill(page, 'Who', 'Mo');
    await waitText(page, '[data-testid=effects]', /PFRP windrow: 2 turnings count instead of 3/);
    await press(page, 'Correct it');
    await waitText(page, '[data-testid=log]', /the rim stayed out/);
    await waitText(page, '[data-testid=verdict]', /3 more turnings/);
    await close();
  }, 60_000);

  test('what an addition costs is said before anybody has typed a name', async () => {
    const { page, close } = await app.page();
    await openEgret(page);
    await press(page, 'Added');
    await press(page, 'Raw, or I don’t know');
    await waitText(
      page,
      '[data-testid=effects]',
      /This costs counted time or a proof:[^]*PFRP windrow: 1[0-9] d \d+ h would be lost[^]*proof is lost/,
    );
    await press(page, 'Log it, and start the clock again');
    await waitText(page, '[role=dialog]', /Say who did it/);
    await close();
  }, 60_000);

  test('a value that cannot be is asked about, and kept as it was typed', async () => {
    const { page, close } = await app.page();
    await open(page, app.base);
    const path = await page.$$eval(
      'main ul > li h2 a',
      (els) => (els[8] as HTMLAnchorElement).pathname,
    );
    await open(page, `${app.base}${path}/round`);
    await fill(page, 'P1 core, crown, now, °C', '572');
    await page.keyboard.press('Enter');
    await waitText(
      page,
      'table',
      /That reads 572 °C \(1062 °F\)\. Wrong unit, faulty thermometer, or an emergency\?[^]*What you typed is kept/,
    );
    expect(await valueOf(page, 'P1 core, crown, now, °C')).toBe('572');
    await press(page, 'Thermometer is faulty');
    await fill(page, 'P2 middle, west, now, °C', '55-59');
    await page.keyboard.press('Enter');
    await waitText(page, 'aside', /55\.0–59\.0 °C at P2 middle, west is the coldest so far/);
    await fill(page, 'Who', 'Mo');
    await press(page, 'Keep this round of 1');
    await waitText(
      page,
      '[data-testid=log]',
      /P1 core, crown 572\.0 °C rejected: The thermometer was faulty, said at entry\./,
    );
    await close();
  }, 60_000);
});
