import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { layUpDemo } from '../../demo/lay-up';
import { startApp, type App } from '../support/app';

/**
 * Every page says the same of one batch: what each sentence states stands beside it in the page (`data-says`), and is read from
 * the pages as they are served, at several moments of the demo’s log, with a clock that stands still. STATUS_CRAWL=all goes
 * through every moment, language and batch; otherwise a part of them.
 */
const ROOT = path.resolve(__dirname, '../..');
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const isWhole = process.env.STATUS_CRAWL === 'all';
const LANGUAGES = ['en', 'en-GB', 'es'] as const;

/** A moment: how long before the end of the demo’s log it is looked at, and how much later. */
type Moment = { readonly name: string; readonly until: number; readonly later: number };
const MOMENTS: readonly Moment[] = [
  { name: 'as laid up', until: 0, later: 0 },
  { name: 'six hours later', until: 0, later: 6 * HOUR },
  { name: 'nobody came for a day and a half', until: 0, later: 37 * HOUR },
  { name: 'nobody came for forty days', until: 0, later: 40 * DAY },
  ...[1, 2, 4, 7, 11, 15, 20].map((days) => ({
    ...{ name: `the log of ${days} days ago`, until: days * DAY, later: 0 },
  })),
];
const CHOSEN = isWhole ? MOMENTS : [MOMENTS[0]!, MOMENTS[2]!, MOMENTS[6]!];

let folder: string;
let clock: string;
beforeAll(() => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'crawl-'));
  clock = path.join(folder, 'clock');
});
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

/** One fact as one page states it. */
type Stated = {
  readonly subject: string;
  readonly fact: string;
  readonly value: string;
  readonly page: string;
};

function statedOn(html: string, page: string): Stated[] {
  return [...html.matchAll(/data-says="([^"]*)"/g)]
    .flatMap(([, says]) => says!.replaceAll('&amp;', '&').split(';'))
    .map((text) => {
      const [subject = '', fact = '', value = ''] = text.split('|');
      return { subject, fact, value, page };
    });
}

/** Pages that a batch in danger may not be missing from. */
const SHOWS_DANGER = ['/', '/plan'];

async function pagesOf(app: App, cookie: string): Promise<Map<string, string>> {
  const read = async (at: string): Promise<string> =>
    (await app.fetch(at, { headers: { cookie } })).text();
  const home = await read('/');
  const records = await read('/records');
  const batches = [
    ...new Set([...`${home}${records}`.matchAll(/\/batch\/([0-9a-f-]{36})/g)].map((m) => m[1]!)),
  ];
  const of = isWhole ? batches : batches.slice(0, 8);
  const addresses = ['/plan', '/map', '/round', '/compare', '/fire', '/lots', '/?show=all&day=all'];
  const pages = new Map([
    ['/', home],
    ['/records', records],
  ]);
  for (const at of [...addresses, ...of.map((id) => `/batch/${id}`)]) pages.set(at, await read(at));
  return pages;
}

/** Facts that are stated with two values at one moment. */
function contradictions(stated: readonly Stated[]): string[] {
  const known = new Map<string, Stated>();
  const found: string[] = [];
  for (const s of stated) {
    const key = `${s.subject} ${s.fact}`;
    const first = known.get(key) ?? s;
    known.set(key, first);
    if (first.value !== s.value)
      found.push(`${key}: ${first.value} on ${first.page}, ${s.value} on ${s.page}`);
  }
  return found;
}

/** Pairs that no batch may state, as its page states them (docs/status.md). */
function impossiblePairs(stated: readonly Stated[]): string[] {
  const bySubject = new Map<string, Map<string, string>>();
  for (const { subject, fact, value } of stated)
    bySubject.set(subject, (bySubject.get(subject) ?? new Map<string, string>()).set(fact, value));
  return [...bySubject].flatMap(([subject, facts]) => {
    const danger = facts.get('danger');
    const isHot = danger === 'fire' || danger === 'high';
    const course = facts.get('course');
    const pairs: [string, boolean][] = [
      ['too hot, and nothing to do about it', isHot && !facts.has('act:hot')],
      ['too hot, and on course', isHot && course === 'on'],
      ['on course, and to be put right', course === 'on' && facts.has('act:mend')],
      [
        'on course, and not read',
        course === 'on' && facts.get('main')?.includes(' unread ') === true,
      ],
      [
        'stage not read, and on course',
        course === 'on' && facts.get('stage')?.includes('unread') === true,
      ],
    ];
    return pairs.filter(([, isSaid]) => isSaid).map(([name]) => `${subject}: ${name}`);
  });
}

test.each(CHOSEN)(
  '$name: no page contradicts another, and danger is on every page that shows its batch',
  async ({ until, later }) => {
    const end = Date.now() - until;
    fs.writeFileSync(clock, `=${end + later}`);
    const app = await startApp({
      ZEALOUS_SAYS: '1',
      SHIFT_CLOCK_FILE: clock,
      NODE_OPTIONS: `--require ${path.join(ROOT, 'tests/support/shift-clock.cjs')}`,
    });
    try {
      await layUpDemo(app.database.admin, Date.now(), end);
      await app.signUp(end + later);
      const stated: Stated[] = [];
      for (const language of isWhole ? LANGUAGES : LANGUAGES.slice(0, 1)) {
        const cookie = `${app.cookies()}; zh_language=${language}`;
        const pages = await pagesOf(app, cookie);
        for (const [page, html] of pages) stated.push(...statedOn(html, `${page} (${language})`));
        const burning = new Set(
          stated.filter((s) => s.fact === 'danger' && s.value === 'fire').map((s) => s.subject),
        );
        for (const page of SHOWS_DANGER)
          expect(
            statedOn(pages.get(page)!, page).filter(
              (s) => burning.has(s.subject) && s.fact === 'danger',
            ).length,
          ).toBeGreaterThanOrEqual(burning.size);
      }
      expect(stated.length).toBeGreaterThan(40);
      expect(contradictions(stated)).toEqual([]);
      expect(impossiblePairs(stated)).toEqual([]);
    } finally {
      await app.stop();
    }
  },
  isWhole ? 300_000 : 120_000,
);
