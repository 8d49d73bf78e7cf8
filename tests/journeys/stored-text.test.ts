import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import extract from 'extract-zip';
import type { ElementHandle, Page } from 'puppeteer-core';
import { layUpDemo } from '../../demo/lay-up';
import { getKindDescription, type Entry, type NewEntry } from '@/core/log/entry';
import { logRepo } from '@/db/repositories/log';
import { siteRepo, type Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { freshDatabase } from '../support/database';
import { startApp, type App } from '../support/app';

/**
 * Every text of a whole site's log, wherever one can be typed, holds markup that would run if any page took it for its own. Text from
 * people is text everywhere: on pages, in the record that checks itself, in names of files.
 */
const ROOT = path.resolve(__dirname, '../..');
const MARKUP = ['"><img src=x onerror=hit()>', '<svg onload=hit()>', '<b onclick=x>'] as const;
const ISO = /^\d{4}-\d\d-\d\d/;
const isText = (s: string): boolean => /^[A-Z][a-z]|\s/.test(s) && !ISO.test(s);

/** Entries whose texts end in markup, where their kind lets them. The same text is the same everywhere, so that names still meet. */
function spoil(entries: readonly Entry[]): { entries: NewEntry[]; spoiled: Set<string> } {
  const known = new Map<string, string>();
  const spoiledKinds = new Set<string>();
  const fits = (kind: Entry['kind'], data: unknown): boolean =>
    getKindDescription(kind).schema.safeParse(data).success;
  const spoilData = (kind: Entry['kind'], data: unknown): unknown => {
    let whole = JSON.parse(JSON.stringify(data)) as unknown;
    for (const text of textsIn(whole)) {
      const tried = known.has(text) ? [known.get(text)!] : MARKUP.map((m) => `${text}${m}`);
      for (const spoiled of tried) {
        const other = replaceText(whole, text, spoiled);
        if (!fits(kind, other)) continue;
        known.set(text, spoiled);
        spoiledKinds.add(kind);
        whole = other;
        break;
      }
    }
    return whole;
  };
  const made = entries.map(({ id, batch, at, by, kind, data }) => ({
    ...{ id, batch, at, kind, by: `${by}${MARKUP[1]}` },
    data: spoilData(kind, data),
  }));
  return { entries: made as unknown as NewEntry[], spoiled: spoiledKinds };
}
const textsIn = (value: unknown): readonly string[] => {
  if (typeof value === 'string') return isText(value) ? [value] : [];
  if (value === null || typeof value !== 'object') return [];
  return [...new Set(Object.values(value).flatMap(textsIn))];
};
const replaceText = (value: unknown, text: string, by: string): unknown => {
  if (value === text) return by;
  if (Array.isArray(value)) return value.map((v) => replaceText(v, text, by));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, replaceText(v, text, by)]));
};

let app: App;
let site: Site;
let spoiledKinds: Set<string>;
let tmp: string;
beforeAll(async () => {
  tmp = fs.mkdtempSync(path.join(os.tmpdir(), 'stored-'));
  const demo = await freshDatabase();
  const laid = await layUpDemo(demo.admin, Date.now());
  // Pictures lie beside the log.
  const logged = await logRepo(demo.admin).latestBySeq(laid.id, Infinity, 10_000);
  const entries = logged.reverse().filter((e) => e.kind !== 'photo');
  await demo.drop();
  app = await startApp();
  site = { ...laid, id: newId(), name: `Hopyard${MARKUP[0]}`, demoUntil: null };
  await siteRepo(app.database.admin).create(site);
  const spoiled = spoil(entries);
  spoiledKinds = spoiled.spoiled;
  const loggedAt = new Map(entries.map((e) => [e.id, e.recordedAt]));
  const takenAt = (e: NewEntry): number => loggedAt.get(e.id) ?? Date.now();
  await writeEntries(app.database.admin, site, spoiled.entries, Date.now(), takenAt);
  await app.signUp();
}, 180_000);
afterAll(async () => {
  await app?.stop();
  fs.rmSync(tmp, { recursive: true, force: true });
}, 60_000);

/** What came in with a text and became a part of the page. */
const foundIn = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('*')]
      .filter(
        (e) =>
          [...e.attributes].some((a) => /^on|^srcdoc$/i.test(a.name)) ||
          e.getAttribute('src') === 'x' ||
          /^\s*javascript:/i.test(e.getAttribute('href') ?? ''),
      )
      .map((e) => e.outerHTML.slice(0, 200)),
  );
const SEEN = /<svg onload=hit\(\)>|<img src=x onerror=hit\(\)>|<b onclick=x>/;

test('texts of most kinds of entry were spoiled: else this looks at nothing', () => {
  expect(spoiledKinds.size).toBeGreaterThan(25);
  expect([...spoiledKinds]).toEqual(
    expect.arrayContaining(['opened', 'load', 'recipe', 'rule', 'lot', 'lot-out', 'fire-card']),
  );
});

test('no page takes a stored text for its own', async () => {
  const board = await snapshotRepo(app.database.app).board(site, Date.now());
  const lots = /\/lots\/[0-9a-f-]{36}/g;
  const inside = async (at: string, pattern: RegExp): Promise<string[]> => [
    ...new Set((await (await app.fetch(at)).text()).match(pattern) ?? []),
  ];
  const heaps = board.slice(0, 2).map((d) => `/batch/${d.id}`);
  const paths = [
    ...['/', '/round', '/bench', '/plan', '/map', '/compare', '/records', '/instruments', '/rules'],
    ...['/methods', '/crew', '/fire', '/entries', '/paper', '/labels', '/calendar', '/people'],
    ...['/find?q=onload', '/log-check', '/bring', '/site', '/account', '/lots'],
    ...['/lots/season', '/lots/trace', '/lots/uses', '/store', '/store/loads', '/store/gate'],
    ...['/store/suppliers', '/store/materials', '/store/take-in'],
    ...(await inside('/lots', lots)).slice(0, 1),
    ...(await inside('/store', /\/store\/[0-9a-f-]{36}/g)).slice(0, 1),
    ...heaps.flatMap((heap) => [heap, `${heap}/record`, `${heap}/places`]),
    ...['/rules', '/import'].map((page) => `${heaps[0]}${page}`),
  ];
  const { page, close } = await app.page();
  const [found, seen, failed]: [string[], string[], string[]] = [[], [], []];
  await page.exposeFunction('hit', () => found.push(`${page.url()}: a stored text ran`));
  await page.setContent('<main><p onclick="x">as if a page took it for its own</p></main>');
  expect(await foundIn(page)).toHaveLength(1);
  for (const at of paths) {
    const answer = await page.goto(`${app.base}${at}`, { waitUntil: 'load' });
    if ((answer?.status() ?? 500) >= 400) failed.push(`${at}: ${answer?.status()}`);
    await page.waitForSelector('main');
    found.push(...(await foundIn(page)).map((html) => `${at}: ${html}`));
    if (SEEN.test(await page.$eval('body', (body) => body.innerText))) seen.push(at);
  }
  expect(found).toEqual([]);
  expect(failed).toEqual([]);
  // They are read there, letter by letter.
  expect(seen.length).toBeGreaterThan(paths.length / 2);
  await close();
}, 240_000);

test('what leaves the site: names of files are names, the record that checks itself shows texts', async () => {
  const board = await snapshotRepo(app.database.app).board(site, Date.now());
  const chosen = board.slice(0, 4).map((d) => `batch=${d.id}`);
  const zip = await app.fetch(`/records/zip?${chosen.join('&')}`);
  expect(zip.headers.get('content-disposition')).toMatch(/filename="[\w .-]+\.zip"/);
  fs.writeFileSync(path.join(tmp, 'records.zip'), Buffer.from(await zip.arrayBuffer()));
  await extract(path.join(tmp, 'records.zip'), { dir: path.join(tmp, 'zip') });
  const names = fs.readdirSync(path.join(tmp, 'zip'), { recursive: true }).map(String);
  expect(names.length).toBeGreaterThan(3);
  expect(names.filter((name) => /[<>"'&\\]|\.\.|^\//.test(name))).toEqual([]);

  const proven = board.find((d) => d.name?.startsWith('Bittern'))!;
  for (const at of [
    `/labels.pdf?sheet=a4-4&base=${encodeURIComponent(app.base)}&heaps=${proven.id}&skip=0`,
    `/batch/${proven.id}/record.pdf?paper=a4`,
  ]) {
    const answer = await app.fetch(at);
    expect([at, answer.status, answer.headers.get('content-type')]).toEqual([
      ...[at, 200, 'application/pdf'],
    ]);
  }
  const file = path.join(tmp, 'spoiled.zealous-heap.json');
  const asked = await app.fetch(`/batch/${proven.id}/file`);
  expect(asked.headers.get('content-disposition')).toMatch(/filename="[^"<>]+"/);
  fs.writeFileSync(file, await asked.text());
  const { page, close } = await app.page();
  await page.goto(`file://${path.join(ROOT, 'public/check-a-record.html')}`);
  const field = (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
  await field.uploadFile(file);
  await page.waitForSelector('article');
  expect(await foundIn(page)).toEqual([]);
  expect(await page.$eval('body', (body) => body.innerText)).toMatch(SEEN);
  await close();
}, 120_000);
