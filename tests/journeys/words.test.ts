import type { Page } from 'puppeteer-core';
import { layUpDemo } from '../../demo/lay-up';
import { foldBatch } from '@/core/log/fold';
import { logRepo } from '@/db/repositories/log';
import { siteRepo, type Site } from '@/db/repositories/site';
import { localInput } from '@/core/quantity/calendar';
import { MS } from '@/core/quantity/instant';
import {
  axe,
  fill,
  open,
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
  site = (await siteRepo(app.database.app).only())!;
  for (const id of await logRepo(app.database.app).batchIds(site.id))
    batches[foldBatch(await logRepo(app.database.app).ofBatch(id)).opened.name!] = id;
}, 120_000);
afterAll(() => app?.stop(), 60_000);

const speak = (page: Page, language: string, unit: 'C' | 'F'): Promise<void> =>
  page
    .browserContext()
    .setCookie(
      { name: 'zh_language', value: language, domain: '127.0.0.1', path: '/' },
      { name: 'zh_unit', value: unit, domain: '127.0.0.1', path: '/' },
    );
/** Words of English that no screen of a crew that speaks Spanish may show; names of batches, people and rules are as they are. */
const ENGLISH = /\b(temperatures?|batch(es)?|turned|Save|Log|since|Nothing|the|and|with)\b/;

test('a crew member in Spanish with °F: the list, a batch, what the hand feels, and nothing in English on the way', async () => {
  const { page, errors, close } = await app.page({ width: 390, height: 844, phone: true });
  await speak(page, 'es', 'F');
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
  await open(page, app.base);
  await page.keyboard.press('/');
  await page.waitForSelector('input[type=search]');
  await page.type('input[type=search]', 'egret');
  await waitText(page, 'main', /Batches\s+Egret[^]*Log entries[^]*Egret: Started/);
  await open(page, `${app.base}/find?q=hen-house%20litter`);
  await waitText(page, 'main', /Materials\s+Hen-house litter/);
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
  await page.focus('[aria-label="Time, row 1"]');
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
