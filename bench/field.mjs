// The round on a phone with its CPU slowed four times: bytes of JavaScript, time until it can be tapped on the first visit and from the
// cache, with and without a hub, and taps of a round of five places. node bench/field.mjs BASE
import { signIn } from './sign-in.mjs';
import puppeteer from 'puppeteer-core';

const base = process.argv[2] ?? 'http://127.0.0.1:4173';
const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-extensions',
  '--mute-audio',
];
const session = await signIn(base);
const [RUNS, SLOWED] = [9, 4];
const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const sleep = (ms) => new Promise((r) => setTimeout(r, ms));

/** Milliseconds from the start of the navigation until the button that starts a round is there: it is drawn by the script that answers it. */
const ready = (page) =>
  page
    .waitForFunction(
      () =>
        [...document.querySelectorAll('button')].some((b) =>
          /^(Start with|Go on with|Say who)/.test(b.textContent),
        ) && performance.now(),
      { polling: 'raf', timeout: 30_000 },
    )
    .then((h) => h.jsonValue());

async function phone(browser) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({
    width: 390,
    height: 844,
    isMobile: true,
    hasTouch: true,
    deviceScaleFactor: 2,
  });
  const [name, ...value] = session.split('=');
  await page.setCookie({ name, value: value.join('='), url: base });
  await page.setCookie({ name: 'zh_by', value: 'Mo', url: base });
  await page.emulateCPUThrottling(SLOWED);
  return { context, page };
}

/** Bytes on the wire by kind, for one visit. */
async function bytesOf(page, visit) {
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  const kinds = new Map();
  const bytes = { script: 0, style: 0, font: 0, document: 0 };
  session.on('Network.responseReceived', (e) => kinds.set(e.requestId, e.type));
  session.on('Network.loadingFinished', (e) => {
    const kind = { Script: 'script', Stylesheet: 'style', Font: 'font', Document: 'document' }[
      kinds.get(e.requestId)
    ];
    if (kind) bytes[kind] += e.encodedDataLength;
  });
  await visit();
  await sleep(300);
  await session.detach();
  return bytes;
}

const browser = await puppeteer.launch({
  executablePath: '/usr/bin/chromium',
  headless: true,
  args: FLAGS,
});
const [first, again, off] = [[], [], []];
let bytes;
for (let i = 0; i < RUNS; i += 1) {
  const { context, page } = await phone(browser);
  bytes = await bytesOf(page, async () => {
    await page
      .goto(`${base}/round`, { waitUntil: 'commit' })
      .catch(() => page.goto(`${base}/round`));
    first.push(await ready(page));
  });
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    for (let n = 0; n < 300 && !(await caches.match('/round', { ignoreVary: true })); n += 1)
      await new Promise((r) => setTimeout(r, 100));
  });
  await sleep(6000); // until the worker has put the other pages away too
  await page.goto(`${base}/round`);
  again.push(await ready(page));
  // With no hub: the page's and the worker's requests fail alike.
  const worker = await (
    await browser
      .waitForTarget((t) => t.type() === 'service_worker' && t.browserContext() === context, {
        timeout: 5000,
      })
      .catch(() => null)
  )?.createCDPSession();
  await worker?.send('Network.enable');
  await worker?.send('Network.emulateNetworkConditions', {
    offline: true,
    latency: 0,
    downloadThroughput: 0,
    uploadThroughput: 0,
  });
  await page.setOfflineMode(true);
  await page.goto(`${base}/round`);
  off.push(await ready(page));
  await context.close();
}

/** A round of five places with squeeze and smell, counted as a person taps it. */
const { context, page } = await phone(browser);
let [taps, digits] = [0, 0];
const tap = async (words) => {
  const b = await page.waitForSelector(
    `::-p-xpath(//button[contains(normalize-space(.), "${words}") and not(@disabled)])`,
    { visible: true },
  );
  await b.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  await b.tap();
  taps += 1;
};
const type = async (value) => {
  for (const k of value) {
    await (
      await page.waitForSelector(
        `[data-testid=pad] button[aria-label="${k === '.' ? 'Point' : k}"]`,
      )
    ).tap();
    digits += 1;
  }
};
await page.goto(`${base}/round`);
await ready(page);
await tap('All (');
taps = 0;
await tap('Start with');
await tap('Skip air');
await page.waitForSelector('[data-testid=pad]');
const last = await page.evaluate(() => /([\d.]+) °C last time/.exec(document.body.innerText)?.[1]);
const values = [0, 1, 2, 3, 4].map((i) => (Number(last ?? 58) - i * 0.3).toFixed(1));
for (const [i, v] of values.entries()) {
  await type(v);
  await tap(i < 4 ? `Keep ${v}, go to` : `Keep ${v}, then feel`);
}
await tap('Holds');
await tap('Earthy');
await tap('Done');
await context.close();
await browser.close();
const kB = (n) => Math.round(n / 1000);
console.log(
  JSON.stringify({
    slowed: SLOWED,
    scriptKB: kB(bytes.script),
    styleKB: kB(bytes.style),
    fontKB: kB(bytes.font),
    documentKB: kB(bytes.document),
    firstVisitMs: Math.round(median(first)),
    fromCacheMs: Math.round(median(again)),
    withNoHubMs: Math.round(median(off)),
    taps,
    digits,
  }),
);
