import http from 'node:http';
import zlib from 'node:zlib';
import { fillSite } from '../support/large-site';
import { open, startSite, waitText, type App } from '../support/app';

/**
 * What a page of a site with two hundred batches may weigh on the wire, in kB, and its JavaScript. No timings: those are in bench/. The texts of a language
 * come beside, in a file of their own that a device takes once: see WORDS.
 */
const BUDGET = [
  { page: '/', document: 60, javaScript: 200 },
  { page: 'a batch', document: 80, javaScript: 250 },
  { page: '/plan', document: 90, javaScript: 215 },
  { page: '/compare', document: 40, javaScript: 215 },
  { page: '/round', document: 40, javaScript: 217 },
  { page: '/map', document: 50, javaScript: 268 },
  { page: '/records', document: 40, javaScript: 210 },
  { page: '/instruments', document: 30, javaScript: 221 },
  { page: '/fire', document: 30, javaScript: 200 },
  { page: '/offline', document: 20, javaScript: 222 },
  { page: '/bench', document: 50, javaScript: 297 },
] as const;
/** The texts of one language, for all pages, kB. */
const WORDS = 55;
/** Pages and data that a fresh phone keeps: under a megabyte in all. */
const KEPT = [
  '/',
  '/round',
  '/store',
  '/store/take-in',
  '/instruments',
  '/fire',
  '/more',
  '/waiting',
  '/offline',
  '/api/offline',
];

let app: App;
let heap = '';
beforeAll(async () => {
  const started = await startSite();
  ({ app } = started);
  const ids = await fillSite(app.database.app, started.site, {
    batches: 200,
    rounds: 12,
    now: Date.now(),
  });
  heap = `/batch/${ids[100]}`;
}, 180_000);
afterAll(() => app.stop());

type Answer = { readonly kB: number; readonly body: string };
/** An answer as it crosses the wire to a browser that takes gzip. */
const get = (path: string): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const headers = { 'accept-encoding': 'gzip', accept: 'text/html', cookie: app.cookies() };
    const ask = { headers };
    http
      .get(app.base + path, ask, (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => {
          const sent = Buffer.concat(parts);
          const packed = response.headers['content-encoding'] === 'gzip';
          resolve({
            kB: sent.length / 1000,
            body: (packed ? zlib.gunzipSync(sent) : sent).toString(),
          });
        });
      })
      .on('error', reject);
  });

/** Scripts that a browser of today loads with a page. */
const scriptsOf = (body: string): string[] => [
  ...new Set(
    [...body.matchAll(/<script[^>]*>/g)]
      .filter(([tag]) => !/noModule/i.test(tag))
      .flatMap(([tag]) => /src="([^"]+\.js)/.exec(tag)?.[1] ?? []),
  ),
];

test.each(BUDGET)(
  '$page weighs no more than it may',
  async ({ page, document, javaScript }) => {
    const { kB, body } = await get(page === 'a batch' ? heap : page);
    expect(body).toContain('</html>');
    expect(kB).toBeLessThan(document);
    let scripts = 0;
    for (const script of scriptsOf(body)) scripts += (await get(script)).kB;
    expect(scripts).toBeGreaterThan(100);
    expect(scripts).toBeLessThan(javaScript);
  },
  60_000,
);

test('the texts of a language come once, in a file that a device keeps', async () => {
  const { body } = await get('/');
  const file = /\/_next\/static\/words\/en\.[0-9a-f]+\.js/.exec(body)?.[0];
  const { kB, body: script } = await get(file!);
  expect(script).toContain('Log temperatures');
  expect(kB).toBeLessThan(WORDS);
});

test('a fresh phone keeps all heaps in well under a megabyte', async () => {
  let all = 0;
  for (const path of KEPT) all += (await get(path)).kB;
  expect(all).toBeLessThan(300);
}, 60_000);

test('two hundred heaps are all in the yard: the near ones drawn, the others as rows', async () => {
  const { page, errors, close } = await app.page();
  await page.goto(`${app.base}/`, { waitUntil: 'networkidle0' });
  const heaps = await page.$$eval('main h2 a[href^="/batch/"], #others ~ ul a', (all) =>
    all.map((a) => a.getAttribute('href')),
  );
  expect(new Set(heaps).size).toBe(200);
  expect(errors).toEqual([]);
  await close();
}, 60_000);

test('of two hundred batches one is found by its name, and those not read for a day by one choice', async () => {
  const { page, errors, close } = await app.page();
  await open(page, app.base);
  await page.waitForSelector('form[aria-label="Which batches"]');
  await page.select('form[aria-label="Which batches"] select', 'unread');
  const [, shown, of] = /(\d+) of (\d+) shown/.exec(
    await waitText(page, 'main', /\d+ of \d+ shown/),
  )!;
  expect(Number(of)).toBeGreaterThan(150);
  expect(Number(shown)).toBeLessThanOrEqual(Number(of));
  await page.keyboard.down('Control');
  await page.keyboard.press('k');
  await page.keyboard.up('Control');
  await page.waitForSelector('[cmdk-input]');
  await page.waitForFunction(() => document.querySelectorAll('[cmdk-item]').length > 150);
  const name = await page.$eval('[cmdk-item] b', (el) => el.textContent!);
  await page.keyboard.type(name);
  await page.click('[cmdk-item]:has(b)');
  await waitText(page, 'h1', new RegExp(name.replace(/[^\w ]/g, '.')));
  expect(errors).toEqual([]);
  await close();
}, 120_000);
