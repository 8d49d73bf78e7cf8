import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { layUpDemo } from '../../demo/lay-up';
import { foldBatch } from '@/core/log/fold';
import { logRepo } from '@/db/repositories/log';
import { siteRepo, type Site } from '@/db/repositories/site';
import { localInput } from '@/core/quantity/calendar';
import { MS } from '@/core/quantity/instant';
import type { UnitSystem } from '@/core/units/units';
import {
  axe,
  fill,
  open,
  openForKeys,
  press,
  pressKey,
  startApp,
  textOf,
  waitText,
  type App,
} from '../support/app';
import { batchId } from '../support/ids';

/** In two languages and three regions; found by their words; and a week of paper typed in at the desk. */
let app: App;
let site: Site;
const batches: Record<string, string> = {};
beforeAll(async () => {
  app = await startApp();
  await layUpDemo(app.database.admin, Date.now());
  await app.signUp();
  site = (await siteRepo(app.database.app).first())!;
  for (const id of await logRepo(app.database.app).batchIds(site.id))
    batches[foldBatch(await logRepo(app.database.app).ofBatch(id)).opened.name!] = id;
}, 120_000);
afterAll(() => app?.stop(), 60_000);

const speak = (page: Page, language: string, units: UnitSystem): Promise<void> =>
  page
    .browserContext()
    .setCookie(
      { name: 'zh_language', value: language, domain: '127.0.0.1', path: '/' },
      { name: 'zh_units', value: units, domain: '127.0.0.1', path: '/' },
    );
/** Words of English that no screen of a crew that speaks Spanish may show; names of batches, people and rules are as they are. */
const ENGLISH = /\b(temperatures?|batch(es)?|turned|Save|Log|since|Nothing|the|and|with)\b/;

test('a crew member in Spanish with US units: the list, a batch, what the hand feels, and nothing in English on the way', async () => {
  const { page, errors, close } = await app.page({ width: 390, height: 844, phone: true });
  await speak(page, 'es', 'us');
  await open(page, app.base);
  await waitText(page, 'main', /Voltear ahora[^]*Tomar temperaturas/);
  expect(await page.$eval('html', (html) => html.lang)).toBe('es');
  expect(await textOf(page, 'nav')).toMatch(/Lotes\s+Temperaturas\s+Recetas\s+Plan/);
  expect(await axe(page)).toEqual([]);

  await open(page, `${app.base}/batch/${batches.Egret}`);
  await waitText(page, '[data-testid=verdict]', /Falta: .* a 131 °F en su punto más frío/);
  await press(page, 'Más…');
  await press(page, 'Humedad y olor');
  await press(page, 'Se desmorona');
  await fill(page, 'Quién', 'Inés');
  await pressKey(page, '[role=dialog]');
  await waitText(page, '[data-testid=log]', /prueba del puño: se desmorona: demasiado seco/);
  expect(await axe(page)).toEqual([]);
  const words = await textOf(page, '[data-testid=log]');
  expect(words).not.toMatch(ENGLISH);

  // The record of the site stays in the language of the site.
  const pdf = await page.evaluate(
    async (href) => (await fetch(href)).headers.get('content-type'),
    `/batch/${batches.Egret}/record.pdf`,
  );
  expect(pdf).toBe('application/pdf');
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('a grower in British English with metric units: heaps, litres, days before months, on a laptop', async () => {
  const { page, errors, close } = await app.page();
  await speak(page, 'en-GB', 'uk');
  await open(page, `${app.base}/batch/${batches.Egret}`);
  const head = await textOf(page, 'main');
  expect(head).toMatch(/\d(\.\d)? m³/);
  expect(head).toMatch(/\d{1,2} [A-Z][a-z]{2,3}\b/);
  expect(head).not.toMatch(/yd³|°F|\bgal\b/);
  await press(page, 'Watered');
  await press(page, 'Clean');
  await fill(page, 'How much, L', '120');
  await fill(page, 'Who', 'Robin');
  await pressKey(page, '[role=dialog]');
  await waitText(page, '[data-testid=log]', /120 L/);
  // The same entry for somebody who measures in gallons.
  const us = await app.page();
  await speak(us.page, 'en', 'us');
  await open(us.page, `${app.base}/batch/${batches.Egret}`);
  await waitText(us.page, '[data-testid=log]', /32 gal/);
  await us.close();
  expect(await axe(page)).toEqual([]);
  expect(errors).toEqual([]);
  await close();
}, 90_000);

test('a language is chosen on the device, and holds on every page', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/batch/${batches.Heron}`);
  expect(await textOf(page, 'main')).toMatch(/turned pile/);
  await Promise.all([
    page.waitForNavigation(),
    page.select('select[aria-label="Language"]', 'en-GB'),
  ]);
  await waitText(page, 'main', /turned heap/);
  await open(page, `${app.base}/store`);
  expect(await page.$eval('html', (html) => html.lang)).toBe('en-GB');
  await Promise.all([page.waitForNavigation(), page.select('select[aria-label="Language"]', 'es')]);
  await waitText(page, 'main', /Materiales en existencia/);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('a batch, a load and a note are found by their words, in either spelling', async () => {
  const { page, errors, close } = await app.page();
  await openForKeys(page, app.base);
  await page.keyboard.press('/');
  await page.waitForSelector('input[type=search]');
  await page.type('input[type=search]', 'egret');
  await waitText(page, 'main', /Batches\s+Egret[^]*Log entries[^]*Egret: Started/);
  await open(page, `${app.base}/find?q=hen-house%20litter`);
  await waitText(page, 'main', /Materials\s+Chicken litter/);
  await open(page, `${app.base}/find?q=xyzzy`);
  await waitText(page, 'main', /Nothing found for ‘xyzzy’/);
  expect(await axe(page)).toEqual([]);
  expect(errors).toEqual([]);
  await close();
}, 60_000);

test('a week of paper: thirty-five readings by the keyboard alone, one asked about, saved in one act', async () => {
  const { page, errors, close } = await app.page();
  const before = foldBatch(await logRepo(app.database.app).ofBatch(batchId(batches.Ibis!)));
  await open(page, `${app.base}/batch/${batches.Ibis}/paper`);
  await waitText(page, 'main', /Paper sheet: Ibis/);
  await fill(page, 'Who', 'Jo');
  await page.focus('[aria-label="Ibis: time, row 1"]');
  const points = before.plan.length;
  for (let day = 7; day >= 1; day -= 1) {
    const [date, clock] = localInput(site.timeZone, Date.now() - day * MS.day).split('T') as [
      string,
      string,
    ];
    await page.keyboard.type(`${date} ${clock}`);
    await page.keyboard.press('Enter');
    for (let p = 0; p < points; p += 1) {
      // The third value of the first day was read off the wrong scale.
      await page.keyboard.type(day === 7 && p === 2 ? '144' : String(60 + p));
      await page.keyboard.press('Enter');
    }
  }
  await waitText(page, '[data-testid=questions]', /That reads 144 °C/);
  await waitText(page, '[data-testid=missing]', /Answer or correct what is marked first/);
  await press(page, 'It was 144 °F');
  await press(page, `Save ${7 * points} readings`);
  await waitText(page, '[data-testid=log]', /Temperature check of 5[^]*Jo/);
  const after = foldBatch(await logRepo(app.database.app).ofBatch(batchId(batches.Ibis!)));
  expect(after.readings.length - before.readings.length).toBe(7 * points);
  expect(after.readings.filter((r) => r.unit === 'F')).toHaveLength(1);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('the clipboard of the whole site: batch after batch by the keyboard, saved in one act', async () => {
  const { page, errors, close } = await app.page();
  const names = ['Curlew', 'Finch'] as const;
  const count = async (name: string): Promise<number> =>
    foldBatch(await logRepo(app.database.app).ofBatch(batchId(batches[name]!))).readings.length;
  const before = await Promise.all(names.map(count));
  await open(page, `${app.base}/paper`);
  await waitText(page, 'main', /Paper sheet of the whole site[^]*Curlew/);
  await fill(page, 'Who', 'Jo');
  const [day, clock] = localInput(site.timeZone, Date.now() - MS.hour).split('T');
  for (const name of names) {
    await page.focus(`[aria-label="${name}: time, row 1"]`);
    await page.keyboard.type(`${day} ${clock}`);
    for (const c of ['60', '58', '59']) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(c);
    }
  }
  for (;;) {
    // What a value is asked about is answered as it was read.
    const asked = await page.$$('[data-testid=questions] button');
    if (asked.length === 0) break;
    await asked[0]!.click();
    await page.waitForFunction(
      (n: number) => document.querySelectorAll('[data-testid=questions] button').length < n,
      {},
      asked.length,
    );
  }
  expect(await axe(page)).toEqual([]);
  await press(page, 'Save 6 readings');
  await page.waitForFunction(() => location.pathname === '/');
  expect(await Promise.all(names.map(count))).toEqual(before.map((n) => n + 3));
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('a logger’s table goes into a batch; sent again it is answered as done, and its columns are remembered', async () => {
  const { page, errors, close } = await app.page();
  const state = async () =>
    foldBatch(await logRepo(app.database.app).ofBatch(batchId(batches.Curlew!)));
  const before = (await state()).readings.length;
  const file = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'logger-')), 'logger.csv');
  const at = (h: number): string => localInput(site.timeZone, Date.now() - h * MS.hour);
  const rows = [9, 8, 7].map((h) => `${at(h).replace('T', ' ')},61.5,57.25,3.6`);
  fs.writeFileSync(file, ['time,Sensor A,Sensor B,Battery', ...rows].join('\n'));
  const choose = async (): Promise<void> => {
    const input = (await page.waitForSelector(
      'input[type=file]',
    )) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(file);
    await waitText(page, 'main', /Which point is which/);
  };
  const points = (await state()).plan;
  const pick = (name: string, point: string): Promise<string[]> =>
    page
      .waitForSelector(`xpath///label[starts-with(normalize-space(.), "${name}")]//select`)
      .then((select) => (select as ElementHandle<HTMLSelectElement>).select(point));
  await open(page, `${app.base}/batch/${batches.Curlew}/import`);
  await choose();
  await waitText(page, '[data-testid=missing]', /Say which point of the batch each column is/);
  await pick('Sensor A', points[0]!.id);
  await pick('Sensor B', points[1]!.id);
  await fill(page, 'Who imports it', 'Jo');
  expect(await axe(page)).toEqual([]);
  await press(page, 'Import 6 readings');
  await waitText(page, 'main', /Added 6 readings\. None of them was there before/);
  expect((await state()).readings.length).toBe(before + 6);

  await open(page, `${app.base}/batch/${batches.Curlew}/import`);
  await choose();
  await press(page, 'Import 6 readings');
  await waitText(page, 'main', /Added 0 readings\. 6 were there already/);
  expect((await state()).readings.length).toBe(before + 6);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('the palette goes to a batch by a few letters of its name, and finds what it does not know', async () => {
  const { page, errors, close } = await app.page();
  await openForKeys(page, app.base);
  await page.keyboard.down('Control');
  await page.keyboard.press('k');
  await page.keyboard.up('Control');
  await page.waitForSelector('[cmdk-input]');
  await waitText(page, '[cmdk-list]', /Egret/);
  expect(await axe(page)).toEqual([]);
  await page.keyboard.type('egr');
  await waitText(page, '[cmdk-item][data-selected=true]', /egr|Egret/);
  await page.click(`[cmdk-item][data-value^="Egret"]`);
  await waitText(page, 'h1', /Egret/);
  expect(errors).toEqual([]);
  await close();
}, 60_000);

test('batches are filtered; it sticks on the device, and its address shows the same to others', async () => {
  const { page, errors, close } = await app.page();
  await open(page, app.base);
  await page.waitForSelector('form[aria-label="Which batches"]');
  await page.select('form[aria-label="Which batches"] select', 'met');
  await waitText(page, 'main', /\d+ of \d+ shown\./);
  expect(page.url()).toMatch(/show=met/);
  const shown = await textOf(page, 'section ul');
  expect(shown).toMatch(/Bittern/);
  expect(shown).not.toMatch(/Heron/);
  // One in danger stays in sight.
  expect(shown).toMatch(/Goshawk/);
  expect(await axe(page)).toEqual([]);
  await open(page, app.base);
  await waitText(page, 'main', /\d+ of \d+ shown\./);
  await press(page, 'Show all');
  await page.waitForFunction(() => /Heron/.test(document.querySelector('main')?.textContent ?? ''));
  const other = await app.page();
  await open(other.page, `${app.base}/?show=met`);
  await waitText(other.page, 'main', /\d+ of \d+ shown\./);
  expect(errors).toEqual([]);
  await other.close();
  await close();
}, 90_000);
