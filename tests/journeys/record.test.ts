import { spawnSync } from 'node:child_process';
import extract from 'extract-zip';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'kysely';
import type { ElementHandle, Page } from 'puppeteer-core';
import { layUpDemo } from '../../demo/lay-up';
import { siteRepo } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import {
  axe,
  fill,
  open,
  press,
  setTime,
  startApp,
  textOf,
  waitText,
  type App,
} from '../support/app';
import { sha256 } from '../support/sha256';

/** Rules, versions, records and the page that checks them, on the production build with the demo's heaps. */
const ROOT = path.resolve(__dirname, '../..');
let app: App;
let tmp: string;
const ids: Record<string, string> = {};
beforeAll(async () => {
  app = await startApp();
  await layUpDemo(app.database.admin, Date.now());
  await app.signUp();
  tmp = fs.mkdtempSync(path.join(os.tmpdir(), 'record-'));
  const rows = await app.database.app
    .selectFrom('batch_snapshot')
    .select(['batch', 'digest'])
    .execute();
  for (const { batch, digest: snapshot } of rows) ids[snapshot.code] = batch;
}, 90_000);
afterAll(async () => {
  await app?.stop();
  if (tmp) fs.rmSync(tmp, { recursive: true, force: true });
}, 30_000);

const give = async (page: Page, name: string, text: string): Promise<void> => {
  fs.writeFileSync(path.join(tmp, name), text);
  await (
    (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>
  ).uploadFile(path.join(tmp, name));
};
const bytesOf = async (url: string): Promise<{ response: Response; bytes: Buffer }> => {
  const response = await app.fetch(url);
  return { response, bytes: Buffer.from(await response.arrayBuffer()) };
};

test('a rule of one’s own: what it would have said is shown before it is kept; a change is its next version', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/rules`);
  expect(await axe(page)).toEqual([]);
  await press(page, 'Write a rule');
  await fill(page, 'Title', 'Two days for the orchard');
  await fill(page, 'For, days', '2');
  await fill(page, 'At or above, °C', '131');
  await waitText(
    page,
    'main',
    /131 °C is outside 20 °C to 90 °C\. Was it typed in the other unit\?/,
  );
  await fill(page, 'At or above, °C', '58');
  const past = await waitText(page, '[data-testid=past]', /2 days in a row at 58 °C or more/);
  expect(past).toMatch(/B Bittern\s*Met/);
  expect(past).toMatch(/J Jackdaw\s*Nothing counts yet/);
  await fill(page, 'Who', 'Mo');
  await press(page, 'Save this rule');
  await waitText(page, 'main', /Two days for the orchard: 2 days in a row at 58 °C or more\./);
  await waitText(page, 'main', /site-two-days-for-the-orchard\. Version 1: /);

  await fill(page, 'Longest time between checks, h', '20');
  await waitText(page, 'aside', /Must not be longer than the longest time between checks/);
  await fill(page, 'Time to reheat after a full turn, h', '20');
  await waitText(page, 'aside', /gaps up to 20 h, 20 h to reheat/);
  await fill(page, 'Who', 'Mo');
  await press(page, 'Save rules and policy as version 3');
  await waitText(page, 'aside', /Versions so far: 3/);
  expect(errors).toEqual([]);
  await close();
}, 90_000);

test('another policy for a proven heap: the proof stands under its version, the new one is seen beside it', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/batch/${ids.B}/rules`);
  expect(await axe(page)).toEqual([]);
  await press(page, 'Change the rules or the policy of Bittern');
  await fill(page, 'Safety margin, °C', '8');
  await fill(page, 'Who', 'Mo');
  await press(page, 'Save as version 2 for Bittern');
  await waitText(page, 'table', /Version 2, in force/);
  await waitText(page, 'table', /This stands: the rule was met before the change\./);
  await open(page, `${app.base}/batch/${ids.B}`);
  await waitText(page, '[data-testid=verdict]', /Met/);
  await waitText(
    page,
    'main',
    /Met under version 1 of this batch’s rules and policy, and it stands; under version 2, in force now, it would be/,
  );

  // The record gives the kept proof again, out of the file of its version.
  await open(page, `${app.base}/batch/${ids.B}/record`);
  const text = await waitText(
    page,
    'article',
    /A rule was met under version 1 of this batch’s rules and policy/,
  );
  const href = await page.$$eval('a.btn', (all) =>
    all.map((a) => (a as HTMLAnchorElement).href).find((l) => l.includes('version=1'))!,
  );
  const file = (await bytesOf(href)).bytes.toString('utf8');
  expect(text).toContain(sha256(file));
  fs.writeFileSync(path.join(tmp, 'B-v1.zealous-heap.json'), file);
  const command = /verify B-v1\.zealous-heap\.json (.+?--as-of \S+)/.exec(text)![1]!;
  expect(
    spawnSync(
      path.join(ROOT, 'zealous'),
      ['verify', path.join(tmp, 'B-v1.zealous-heap.json'), ...command.split(' ')],
      { encoding: 'utf8' },
    ),
  ).toMatchObject({ status: 0, stderr: '' });
  expect((await bytesOf(`${app.base}/batch/${ids.B}/file?version=9`)).response.status).toBe(404);
  expect(errors).toEqual([]);
  await close();
}, 60_000);

test('late hay starts the clock of seeds and leaves that of germs, and says so before it is kept', async () => {
  const { page, close } = await app.page();
  await open(page, `${app.base}/batch/${ids.C}`);
  await press(page, 'Added');
  await fill(page, 'What went in', 'late hay');
  await press(page, 'Clean');
  await press(page, 'Yes');
  const effects = await waitText(
    page,
    '[data-testid=effects]',
    /Weed-seed week.*no longer meets it: the clock starts over/s,
  );
  expect(effects).toMatch(/PFRP windrow: nothing changes/);
  await page.keyboard.press('Escape');
  await press(page, 'Move, join, split');
  await press(page, 'Joined');
  await page.select('[role=dialog] select', 'foreign');
  await press(page, 'No, or I don’t know');
  await press(page, 'No');
  await waitText(page, '[data-testid=effects]', /This costs counted time or a met rule/);
  await close();
}, 60_000);

test('grade, strictness and what lies beyond the rule stand on the batch’s page', async () => {
  const { page, close } = await app.page();
  await open(page, `${app.base}/batch/${ids.E}`);
  await page.$$eval('details', (all) =>
    all.forEach((d) => {
      (d as HTMLDetailsElement).open = true;
    }),
  );
  await waitText(page, 'main', /Framed: the policy in force/);
  await waitText(page, 'main', /Information only/);
  const text = await textOf(page, 'main');
  for (const words of [
    /Data quality: (thin|fair|good|strong)/,
    /Framed: the policy in force/,
    /Information only/,
    /Hot part of the pile: (cannot tell|[^.]*\d+ %[^.]* of its volume at 55 °C or more)/,
    /was never in the hot part|One more point at about/,
  ])
    expect(text).toMatch(words);
  expect(await axe(page)).toEqual([]);
  await close();
}, 60_000);

test('the record: page, PDF, batch file; its command gives the same again', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/batch/${ids.E}/record`);
  expect(await axe(page)).toEqual([]);
  const text = await textOf(page, 'article');
  const links = await page.$$eval('a.btn', (all) => all.map((a) => (a as HTMLAnchorElement).href));
  const [pdf, file] = [
    links.find((l) => l.includes('record.pdf?paper=a4'))!,
    links.find((l) => l.includes('/file?as-of='))!,
  ];
  const printed = await bytesOf(pdf);
  expect([
    printed.response.status,
    printed.response.headers.get('content-type'),
    printed.bytes.subarray(0, 5).toString(),
  ]).toEqual([200, 'application/pdf', '%PDF-']);
  const batch = (await bytesOf(file)).bytes.toString('utf8');
  const digest = sha256(batch);
  expect(text).toContain(digest);
  fs.writeFileSync(path.join(tmp, 'E.zealous-heap.json'), batch);
  const command = /\.\/zealous verify \S+ (.+?--as-of \S+)/.exec(text)![1]!;
  const answer = spawnSync(
    path.join(ROOT, 'zealous'),
    ['verify', path.join(tmp, 'E.zealous-heap.json'), ...command.split(' ')],
    { encoding: 'utf8' },
  );
  expect(answer.stdout).toContain(digest);
  expect(answer.stdout).toMatch(/their chain checked/);
  for (const [, word] of text.matchAll(/five turnings: (\w+)/g))
    expect(answer.stdout).toContain(`us-503-pfrp-turned  ${word}`);
  expect((await bytesOf(`${app.base}/batch/${ids.E}/record.pdf?as-of=noon`)).response.status).toBe(
    400,
  );
  expect((await bytesOf(`${app.base}/batch/${ids.K}/file`)).response.status).toBe(409);
  expect(errors).toEqual([]);

  // The record that checks itself: no server, no network.
  const checker = await app.page();
  await checker.page.goto(`file://${path.join(ROOT, 'public/check-a-record.html')}`);
  await give(checker.page, 'good.json', batch);
  await waitText(checker.page, '[data-testid=chain]', /The chain of log entries is intact/);
  await fill(checker.page, 'SHA-256 printed on the record', digest);
  await waitText(
    checker.page,
    '[data-testid=chain]',
    /The same: the record was made from exactly this file/,
  );
  await waitText(
    checker.page,
    'article',
    /PFRP, turned windrow \(40 CFR 503\): 55 °C for 15 days, 5 turnings: counting/,
  );
  expect(await checker.page.$('article svg')).not.toBeNull();
  expect(await axe(checker.page)).toEqual([]);
  await give(checker.page, 'bad.json', batch.replace('"laid into the middle"', '"clean straw"'));
  await waitText(
    checker.page,
    '[role=alert]',
    /cannot be trusted as it is.*(does not match its hash|something else)/s,
  );
  fs.writeFileSync(path.join(tmp, 'record.pdf'), printed.bytes);
  await (
    (await checker.page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>
  ).uploadFile(path.join(tmp, 'record.pdf'));
  await waitText(
    checker.page,
    '[role=alert]',
    /record\.pdf cannot be read as a batch file.*ends with \.zealous-heap\.json/s,
  );
  expect([...checker.hosts]).toEqual([]);
  expect(checker.errors).toEqual([]);
  await checker.close();
  await close();
}, 90_000);

test('ten records for an inspection as one ZIP, with the digests that sha256sum checks', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/records`);
  expect(await axe(page)).toEqual([]);
  await fill(page, 'Filter by any word', 'Met ');
  await page.click('input[aria-label="Tick all that are shown"]');
  const many = /Download (\d+) records as a ZIP/.exec(
    await waitText(page, 'main', /Download \d+ records as a ZIP/),
  )![1]!;
  await press(page, `Download ${many} records`);
  // On a busy machine ten PDFs take longer than a text is waited for.
  await page.waitForFunction(
    () => document.querySelector('main')?.innerText.includes('Done: saved by the browser'),
    { timeout: 40_000 },
  );
  const ten = Object.entries(ids)
    .filter(([code]) => code !== 'K')
    .slice(0, 10)
    .map(([, id]) => `batch=${id}`)
    .join('&');
  const { response, bytes } = await bytesOf(`${app.base}/records/zip?paper=letter&${ten}`);
  expect([response.status, response.headers.get('x-records')]).toEqual([200, '10']);
  fs.writeFileSync(path.join(tmp, 'records.zip'), bytes);
  await extract(path.join(tmp, 'records.zip'), { dir: path.join(tmp, 'zip') });
  const sums = spawnSync('sha256sum', ['-c', 'digests.txt'], {
    cwd: path.join(tmp, 'zip'),
    encoding: 'utf8',
  });
  expect([sums.status, sums.stdout.trim().split('\n').length]).toEqual([0, 13]); // Bittern's kept proof brings the file of its version; two were cured and bring their lots
  expect(
    fs
      .readdirSync(path.join(tmp, 'zip'), { recursive: true })
      .filter((f) => String(f).endsWith('-record.pdf')),
  ).toHaveLength(10);
  expect((await bytesOf(`${app.base}/records/zip`)).response.status).toBe(400);
  expect(errors).toEqual([]);
  await close();
}, 120_000);

test('the batches of some days: only those that were built then are shown, ticked and downloaded', async () => {
  const rows = await app.database.app
    .selectFrom('batch_snapshot as s')
    .innerJoin('site', 'site.id', 's.site')
    .select(['s.digest', 'site.time_zone as zone'])
    .where('site.name', '=', 'Hopyard Corner')
    .execute();
  // The Swedish form of a date is that of ISO 8601.
  const dayOf = (zone: string, at: number): string =>
    new Date(at).toLocaleDateString('sv', { timeZone: zone });
  const built = rows
    .map(({ digest: d, zone }) => ({ code: d.code, day: dayOf(zone, d.builtAt ?? d.openedAt) }))
    .toSorted((a, b) => a.day.localeCompare(b.day));
  const [first, last] = [built.at(3)!.day, built.at(-3)!.day];
  const expected = built.filter(({ day }) => day >= first && day <= last).map((b) => b.code);
  const { page, close } = await app.page();
  await open(page, `${app.base}/records`);
  await setTime(page, 'Built from', first);
  await setTime(page, 'Built to', last);
  await waitText(page, 'main', new RegExp(`${expected.length} of ${built.length} rows`));
  const shown = await page.$$eval('[data-testid=table-row] a', (all) =>
    all.map((a) => a.innerText.split(' ')[0]),
  );
  expect(shown.toSorted()).toEqual(expected.toSorted());
  await setTime(page, 'Built to', '2000-01-01');
  await waitText(page, 'main', new RegExp(`0 of ${built.length} rows`));
  await close();
}, 60_000);

test('an inspector opens a link with no account: standards first, who, with what, how checked, what is missing; the second visit says what was added', async () => {
  const { page, errors, close } = await app.page();
  await open(page, `${app.base}/records`);
  await fill(page, 'Filter by any word', 'Curlew');
  await page.click('input[aria-label="Tick all that are shown"]');
  await press(page, 'Inspector’s link');
  await waitText(page, 'main', /Curlew[\s\S]*without signing in/);
  const until = new Date(Date.now() + 20 * 86_400_000).toISOString().slice(0, 10);
  await page.$eval(
    'input[type=date]',
    (el, value) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      set.call(el, value);
      el.dispatchEvent(new Event('input', { bubbles: true }));
    },
    until,
  );
  await fill(page, 'Who', 'Mo');
  await press(page, 'Make the link');
  const made = await waitText(page, '[data-testid=made-link]', /\/inspect\/[0-9a-f]{64}/);
  const address = app.base + /\/inspect\/[0-9a-f]{64}/.exec(made)![0];
  expect(await axe(page)).toEqual([]);

  const phone = await app.page({ width: 390, height: 844, phone: true });
  await open(phone.page, address);
  await waitText(
    phone.page,
    '[data-testid=inspected]',
    /PFRP[\s\S]*Who measured[\s\S]*temperature checks[\s\S]*With what[\s\S]*How that was checked[\s\S]*What is missing/,
  );
  await waitText(phone.page, '[data-testid=since-visit]', /This is the first visit/);
  expect(await axe(phone.page)).toEqual([]);
  const file = await fetch(`${address}/file/${ids.C}`);
  expect(file.status).toBe(200);
  expect(await file.json()).toMatchObject({ format: 'zealous-heap/batch' });
  // A batch that is not in the link is not to be had by it.
  expect((await fetch(`${address}/file/${ids.A}`)).status).toBe(404);
  await open(phone.page, address);
  await waitText(phone.page, '[data-testid=since-visit]', /Curlew: nothing was added/);
  const site = (await siteRepo(app.database.app).first())!;
  const note = { id: newId(), batch: ids.C, at: Date.now(), by: 'Jo', kind: 'note' };
  await writeEntries(
    app.database.app,
    site,
    [{ ...note, data: { words: 'after the visit' } } as never],
    Date.now(),
  );
  await open(phone.page, address);
  await waitText(
    phone.page,
    '[data-testid=since-visit]',
    /Curlew: 1 entry was added; nothing before was changed/,
  );
  // Another link is made and closed before its day.
  await open(page, `${app.base}/records/inspect/${ids.C}`);
  await waitText(page, '[data-testid=open-link]', /Curlew, until .*, made by Mo/);
  // Somebody with the database changes what the inspector has seen.
  await sql`alter table log_entry disable trigger user`.execute(app.database.admin);
  await sql`update log_entry set hash = repeat('0', 64) where seq = (select max(seq) from log_entry where batch = ${ids.C})`.execute(
    app.database.admin,
  );
  await open(phone.page, address);
  await waitText(phone.page, '[data-testid=since-visit]', /was changed or is gone/);
  await page.click('[data-testid=open-link] summary');
  await fill(page, 'Why it is closed', 'the visit is over');
  await fill(page, 'Who', 'Mo');
  await press(page, 'Close this link');
  await waitText(page, 'main', /^((?!Open links)[\s\S])*$/);
  await open(phone.page, address);
  await waitText(phone.page, 'main', /This link is closed/);
  await open(phone.page, `${app.base}/inspect/${'0'.repeat(64)}`);
  await waitText(phone.page, 'main', /This link is closed, or was never made/);
  expect(phone.errors).toEqual([]);
  expect(errors).toEqual([]);
  await phone.close();
  await close();
}, 120_000);
