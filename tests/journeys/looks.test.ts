import type { Page } from 'puppeteer-core';
import { layUpDemo } from '../../demo/lay-up';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { siteRepo } from '@/db/repositories/site';
import { LANGUAGES } from '@/messages/languages';
import { faultsSeen, open, startApp, type App } from '../support/app';

/**
 * Every page in both themes, both sizes and all three languages: nothing that axe finds, nothing over the edge. Each page is seen
 * once in every language, in another light or size each time; AXE_ALL=1 sees all twelve ways.
 */
let app: App;
const paths: string[] = [];
beforeAll(async () => {
  app = await startApp();
  await layUpDemo(app.database.admin, Date.now());
  await app.signUp();
  const site = (await siteRepo(app.database.app).first())!;
  const board = await snapshotRepo(app.database.app).board(site, Date.now());
  const pathOf = (name: string): string => `/batch/${board.find((d) => d.name === name)!.id}`;
  const [batch, building] = [pathOf('Egret'), pathOf('Knot')];
  const store = await (await app.fetch(`${app.base}/store`)).text();
  paths.push(
    ...['/', '/round', '/bench', '/plan', '/store/loads', '/map', '/records'],
    ...['/instruments', '/rules', '/methods', '/crew', '/fire', '/entries', '/paper'],
    ...['/start', '/start/sample', '/help', '/help/yard', '/glossary', '/more', '/open'],
    ...['/bring', '/labels', '/waiting', '/nowhere', '/account', '/people', '/trust'],
    ...['', '/take-in', '/materials', '/gate', '/suppliers'].map((page) => `/store${page}`),
    ...['', '/paper', '/import', '/rules', '/record', '/places'].map((page) => `${batch}${page}`),
    ...['', '/build', '/sheet'].map((page) => `${building}${page}`),
    ...['Goshawk', 'Bittern'].map(pathOf), // hot, proven
    /\/store\/[0-9a-f-]{36}/.exec(store)![0], // a load
    `/bench?heap=${building.split('/')[2]}`,
    `/round#${batch.split('/')[2]}`,
  );
}, 120_000);
afterAll(() => app?.stop(), 60_000);

const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844, phone: true },
] as const;
const WAYS = LANGUAGES.flatMap((language) =>
  (['sun', 'shed'] as const).flatMap((light) => SIZES.map((size) => ({ language, light, size }))),
);
const ALL = process.env.AXE_ALL === '1';
/** Whether a page is seen in a way: in one of the four of each language, in others than its neighbours. */
const isSeen = (page: number, way: number): boolean =>
  ALL || (page + way + Math.floor(way / 4)) % 4 === 0;

const look = (page: Page, language: string, light: string): Promise<void> =>
  page
    .browserContext()
    .setCookie(
      { name: 'zh_language', value: language, domain: '127.0.0.1', path: '/' },
      { name: 'zh_light', value: light, domain: '127.0.0.1', path: '/' },
    );

test.each(
  WAYS.map((way, i) => [i, `${way.language} ${way.light} ${way.size.width}`, way] as const),
)(
  'way %i, %s: axe finds nothing',
  async (i, _name, { language, light, size }) => {
    const { page, close } = await app.page(size);
    await look(page, language, light);
    const found: string[] = [];
    for (const [n, path] of paths.entries()) {
      if (!isSeen(n, i)) continue;
      await open(page, `${app.base}${path}`);
      // Temperatures draws itself from what the device keeps.
      await page.waitForSelector('h1');
      found.push(...(await faultsSeen(page)).map((fault) => `${path}: ${fault}`));
    }
    expect(found).toEqual([]);
    await close();
  },
  240_000,
);
