import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import puppeteer, {
  type Browser,
  type CookieData,
  type ElementHandle,
  type Page,
} from 'puppeteer-core';
import type { Db } from '@/db/client';
import { invitationRepo } from '@/db/repositories/invitations';
import { siteRepo, type Site } from '@/db/repositories/site';
import { sha256 } from '@/platform/hash';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from './database';

const ROOT = path.resolve(__dirname, '../..');
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--disable-quic',
  '--no-first-run',
  '--no-default-browser-check',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-default-apps',
  '--disable-extensions',
  '--metrics-recording-only',
  '--mute-audio',
  '--hide-scrollbars',
  // What drops from the browser's own address bar, which nobody sees, would have a process for every page.
  '--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup',
  '--force-color-profile=srgb',
];

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = net.createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as net.AddressInfo;
      server.close(() => resolve(port));
    });
  });
export const sleep = (ms: number): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });

/** Waits for a server to answer. @throws Error after 15 s */
export async function answersAt(base: string): Promise<void> {
  for (let i = 0; i < 150; i += 1) {
    const isThere = await fetch(`${base}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (isThere) return;
    await sleep(100);
  }
  throw new Error(`${base} did not answer within 15 s`);
}

/** Ends a browser; one whose workers keep it busy is not waited for. */
export async function closed(browser: Browser): Promise<void> {
  await Promise.race([browser.close(), sleep(4000)]);
  browser.process()?.kill('SIGKILL');
}

export type App = Awaited<ReturnType<typeof startApp>>;

/** Opens a link for the first manager, as `./zealous start` prints it. @returns its word */
export async function firstLink(db: Db, at = Date.now()): Promise<string> {
  const token = newId();
  await invitationRepo(db).invite({
    ...{ tokenHash: sha256(token), site: null, letsIn: 'first', role: 'manager' },
    ...{ name: null, partner: null, madeBy: null },
    ...{ madeAt: at, expiresAt: at + 3_600_000 },
  });
  return token;
}

/** Cookies that an answer sets, as a request bears them. */
const cookiesOf = (answer: Response): string =>
  answer.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');

/** Makes an account behind a link, as the page does. @returns the cookies of whoever is in then */
export async function joinBy(
  base: string,
  token: string,
  name: string,
  username = name.toLowerCase(),
): Promise<string> {
  const answer = await fetch(`${base}/api/join`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ token, name, username, password: 'many warm heaps' }),
  });
  const cookies = cookiesOf(answer);
  if (cookies === '') throw new Error(`no account was made: ${answer.headers.get('location')}`);
  return cookies;
}

/** What sessions of all servers here are signed with: one that is started anew knows them. */
const SESSION_SECRET = 'sessions of the tests are signed with this';
/** What the manager of a site is called. */
export const MANAGER = 'Mo';

/** Cookies as a browser is given them. */
const browserCookies = (base: string, cookies: string): CookieData[] =>
  cookies
    .split('; ')
    .filter(Boolean)
    .map((pair) => {
      const [name = '', ...value] = pair.split('=');
      return { name, value: value.join('='), domain: new URL(base).hostname, path: '/' };
    });

/** The production build on a database of its own, and a browser. @param more what else the server is started with */
export async function startApp(more: Readonly<Record<string, string>> = {}) {
  const database = await freshDatabase();
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const serverEnv = {
    NODE_ENV: 'production' as const,
    HOSTNAME: '127.0.0.1',
    DATABASE_URL: database.appUrl,
    DATABASE_ACCOUNTS_URL: database.accountsUrl,
    ZEALOUS_SESSION_SECRET: SESSION_SECRET,
    ...more,
  };
  let server: ChildProcess;
  const start = async (): Promise<void> => {
    server = spawn(process.execPath, ['.next/standalone/server.js'], {
      cwd: ROOT,
      stdio: 'ignore',
      env: { ...process.env, ...serverEnv, PORT: String(port) },
    });
    await answersAt(base);
  };
  const gone = (): Promise<void> =>
    new Promise((resolve) => {
      if (server.exitCode !== null || server.signalCode !== null) resolve();
      else server.once('exit', () => resolve());
    });
  await start();
  const manager = { cookie: '' };
  const browser: Browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    headless: true,
    args: CHROMIUM_FLAGS,
  });
  return {
    database,
    base,
    port,
    browser,
    start,
    /** What a server of this database is started with. */
    serverEnv: (): NodeJS.ProcessEnv => serverEnv,
    /** Cookies of the manager, who has signed in on every page that is opened. */
    cookies: (): string => manager.cookie,
    /** Makes the first account. @param at what time it is for the server */
    signUp: async (at = Date.now()): Promise<void> => {
      manager.cookie = await joinBy(base, await firstLink(database.app, at), MANAGER);
    },
    /** Lets the manager in on a page of another browser. */
    signIn: (page: Page): Promise<void> =>
      page.browserContext().setCookie(...browserCookies(base, manager.cookie)),
    /** Asks the server as the manager's browser does; without a header of its own. */
    fetch: (path: string, init: RequestInit = {}): Promise<Response> =>
      fetch(path.startsWith('http') ? path : `${base}${path}`, {
        ...init,
        headers: { cookie: manager.cookie, ...(init.headers as Record<string, string>) },
      }),
    /** Memory that the server holds, MB. */
    memoryMb: (): number => {
      const pages = fs.readFileSync(`/proc/${server.pid}/statm`, 'utf8').split(' ')[1];
      return (Number(pages) * 4096) / 1e6;
    },
    kill: async (): Promise<void> => {
      server.kill('SIGKILL');
      await gone();
    },
    /** A page that remembers where it fetched from and what went wrong on it. */
    async page(
      size: { width: number; height: number; phone?: boolean } = { width: 1280, height: 800 },
      /** Of whoever opens it; else of the manager. */ cookies?: string,
    ) {
      const context = await browser.createBrowserContext();
      await context.setCookie(...browserCookies(base, cookies ?? manager.cookie));
      const page = await context.newPage();
      await page.setViewport({
        width: size.width,
        height: size.height,
        hasTouch: size.phone ?? false,
        isMobile: size.phone ?? false,
      });
      const hosts = new Set<string>();
      const errors: string[] = [];
      page.on('request', (r) => {
        const u = new URL(r.url());
        if (u.protocol.startsWith('http')) hosts.add(u.host);
      });
      page.on('pageerror', (e) => errors.push((e as Error).message));
      page.on('console', (m) => {
        if (m.type() === 'error') errors.push(m.text());
      });
      return { page, hosts, errors, close: () => context.close() };
    },
    async stop(): Promise<void> {
      await closed(browser);
      server.kill('SIGTERM');
      for (let i = 0; i < 50 && server.exitCode === null && server.signalCode === null; i += 1)
        await sleep(100);
      server.kill('SIGKILL');
      await database.drop();
    },
  };
}

/** The same with one site on it. */
export async function startSite(
  more: Readonly<Record<string, string>> = {},
): Promise<{ app: App; site: Site }> {
  const app = await startApp(more);
  await aSite(app.database.app);
  await app.signUp();
  return { app, site: (await siteRepo(app.database.app).first())! };
}

export const open = async (page: Page, url: string): Promise<void> => {
  await page.goto(url, { waitUntil: 'load' });
  await page.waitForSelector('main');
};
/** Opens a page whose keys are pressed next: a key that comes before the page's code listens is lost, on a busy machine for long. */
export async function openForKeys(page: Page, url: string): Promise<void> {
  await open(page, url);
  await page.waitForFunction(() => {
    const shortcuts = document.querySelector('button.soil-link');
    return shortcuts && Object.keys(shortcuts).some((key) => key.startsWith('__reactFiber'));
  });
  // Effects, which listen, run after the frame in which React took the page over.
  await page.evaluate(() => new Promise((done) => setTimeout(done, 100)));
}
/** The first that can be seen of what an XPath finds, however many stand there for another width of the screen. @throws Error after half a minute */
export async function seen(
  page: Page,
  xpath: string,
  forMs = 30_000,
): Promise<ElementHandle<HTMLElement>> {
  for (const end = Date.now() + forMs; Date.now() < end; await sleep(100)) {
    for (const handle of await page.$$(`::-p-xpath(${xpath})`).catch(() => []))
      if (await handle.isVisible().catch(() => false)) return handle as ElementHandle<HTMLElement>;
  }
  throw new Error(`nothing to be seen of ${xpath}`);
}
/** Clicks what a person would: the visible button or link with these words. */
export async function press(page: Page, words: string): Promise<void> {
  const handle = await seen(
    page,
    `//*[self::button or self::a or self::label or self::summary][contains(normalize-space(.), "${words}")]`,
  );
  // What it would do is said before it is kept; until then the form still grows.
  await page.waitForFunction(
    () =>
      !(document.querySelector<HTMLElement>('[role=dialog]')?.innerText ?? '').includes(
        'Working out what it does',
      ),
    { timeout: 10_000 },
  );
  // Not under the bar at a phone's foot.
  await handle.evaluate((el) => el.scrollIntoView({ block: 'center' }));
  await handle.click();
}
/** The same where there may be none: which batches are due, and so what is offered, depends on the hour. */
export async function pressIfThere(page: Page, words: string): Promise<void> {
  const found = await page.$(`::-p-xpath(//button[starts-with(normalize-space(.), "${words}")])`);
  if (found !== null) await press(page, words);
}
/** The visible field with this label. */
async function fieldOf(page: Page, label: string): Promise<ElementHandle<HTMLInputElement>> {
  const handle = await page.waitForFunction(
    (wanted: string) =>
      [...document.querySelectorAll<HTMLInputElement>('input, textarea')].find(
        (el) =>
          el.getClientRects().length > 0 &&
          (el.getAttribute('aria-label') ?? el.labels?.[0]?.innerText ?? '').trim() === wanted,
      ),
    {},
    label,
  );
  return handle as ElementHandle<HTMLInputElement>;
}
/** Types into the field with this label. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const handle = await fieldOf(page, label);
  await handle.evaluate((el) => el.scrollIntoView({ block: 'center' }));
  await handle.click({ count: 3 });
  await handle.type(text);
}
/** Sets a date and time field, which a browser does not take letter by letter. */
export async function setTime(page: Page, label: string, local: string): Promise<void> {
  const handle = await fieldOf(page, label);
  await handle.evaluate((el, value) => {
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(el, value);
    el.dispatchEvent(new Event('input', { bubbles: true }));
  }, local);
}
export const valueOf = async (page: Page, label: string): Promise<string> =>
  (await fieldOf(page, label)).evaluate((el) => el.value);
export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (el) => (el as HTMLElement).innerText);
/** Waits until an element's text matches, and gives it; else says what stood there. */
export async function waitText(page: Page, selector: string, pattern: RegExp): Promise<string> {
  for (let i = 0; i < 100; i += 1) {
    const text = await textOf(page, selector).catch(() => '');
    if (pattern.test(text)) return text;
    await sleep(100);
  }
  throw new Error(
    `${selector} never showed ${pattern}; it shows: ${(await textOf(page, selector).catch(() => '(not there)')).slice(0, 600)}`,
  );
}

const AXE = fs.readFileSync(path.join(ROOT, 'node_modules/axe-core/axe.min.js'), 'utf8');
/** Violations that an axe run finds, each as its rule and the first place. */
export async function axe(page: Page): Promise<string[]> {
  // A page that is made anew after an entry is for a moment without its title.
  await page.waitForFunction(() => document.title !== '', { timeout: 10_000 });
  await page.evaluate(AXE);
  return page.evaluate(async () => {
    const run = (
      window as unknown as {
        axe: {
          run: (options: object) => Promise<{
            violations: { id: string; nodes: { html: string; failureSummary?: string }[] }[];
          }>;
        };
      }
    ).axe.run;
    // What is right is not written out: that takes longer than finding what is wrong.
    return (await run({ resultTypes: ['violations'] })).violations.map(
      (v) =>
        `${v.id}: ${v.nodes[0]!.html.slice(0, 160)} — ${v.nodes[0]!.failureSummary ?? ''} (${v.nodes.length})`,
    );
  });
}

/** What is wrong with how a page looks: what axe finds, and how far it goes over the edge. */
export async function faultsSeen(page: Page): Promise<string[]> {
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  return [...(wide > 0 ? [`${wide} px too wide`] : []), ...(await axe(page))];
}

/** Presses the key button of a form: the one that saves it. */
export const pressKey = async (page: Page, within: string): Promise<void> => {
  const b = await page.waitForSelector(`${within} .btn.key:not([disabled])`, { visible: true });
  await b!.click();
};

/** Chooses the units of this device; the page is shown anew in them. */
export async function chooseUnits(page: Page, system: 'metric' | 'us' | 'uk'): Promise<void> {
  const select = await page.waitForSelector('select[aria-label=Units]');
  await Promise.all([page.waitForNavigation(), select!.select(system)]);
  await page.waitForSelector('select[aria-label=Units]');
}
