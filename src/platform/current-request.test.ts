import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as wait } from 'node:timers/promises';
import {
  currentAddress,
  currentCookie,
  currentCookies,
  currentHeaders,
  currentSiteId,
  followRequests,
  inSite,
  isFromThisMachine,
  onceForRequest,
  setCurrentSite,
} from './current-request';

/** What the server knows of the request that it answers, through a server that answers several at once. */
let server: http.Server;
let base: string;
let lookUps = 0;
beforeAll(async () => {
  followRequests();
  server = http.createServer((request, response) => {
    void answer(request.url ?? '').then((body) => response.end(JSON.stringify(body)));
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => server.close());

async function answer(url: string): Promise<object> {
  const site = url.slice(1);
  setCurrentSite(site);
  // Others are answered in between.
  await wait(Math.random() * 20);
  const find = async (): Promise<number> => {
    await wait(5);
    lookUps += 1;
    return lookUps;
  };
  const [first, second] = await Promise.all([
    onceForRequest('who', find),
    onceForRequest('who', find),
  ]);
  return {
    ...{ address: currentAddress(), isHere: isFromThisMachine(), cookies: currentCookies() },
    ...{ name: currentCookie('zh_by'), site: currentSiteId(), isOnce: first === second },
    elsewhere: inSite('another', () => currentSiteId()),
    browser: currentHeaders().get('user-agent'),
  };
}
type Known = Readonly<Record<string, unknown>>;
/** `fetch` sets some headers itself; this sends what it is given. */
const ask = (headers: http.OutgoingHttpHeaders, site = ''): Promise<Known> =>
  new Promise((resolve, reject) => {
    http
      .get(`${base}/${site}`, { headers }, (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => {
          text += chunk.toString();
        });
        response.on('end', () => resolve(JSON.parse(text) as Known));
      })
      .on('error', reject);
  });

test('outside of a request nothing is known, and nobody is from here', () => {
  expect([currentAddress(), currentCookies(), currentCookie('zh_by'), currentSiteId()]).toEqual([
    ...['', '', null, ''],
  ]);
  expect(isFromThisMachine()).toBe(false);
  expect(inSite('one', () => currentSiteId())).toBe('one');
});

test.each<[string, http.OutgoingHttpHeaders, string, boolean]>([
  ['this machine', {}, '127.0.0.1', true],
  ['this machine, by its name', { host: 'localhost:4174' }, '127.0.0.1', true],
  [
    'this machine, by a name that somebody bent to it',
    { host: 'evil.example' },
    '127.0.0.1',
    false,
  ],
  ['a name that only begins like ours', { host: 'localhost.evil.example' }, '127.0.0.1', false],
  ['somebody in the network', { 'x-forwarded-for': '192.0.2.7' }, '192.0.2.7', false],
  // Only the last was written by the web server beside us.
  ['somebody who claims more', { 'x-forwarded-for': '127.0.0.1, 192.0.2.7' }, '192.0.2.7', false],
])('%s', async (_who, headers, address, isHere) => {
  expect(await ask(headers)).toMatchObject({ address, isHere });
});

test('cookies and browser are those that it bears', async () => {
  const cookie = 'zh_by=Zo%C3%AB; zh_session=a=b';
  expect(await ask({ cookie, 'user-agent': 'a browser' })).toMatchObject({
    ...{ cookies: cookie, name: 'Zo%C3%AB', browser: 'a browser' },
  });
  expect(await ask({ cookie: 'xzh_by=Mo' })).toMatchObject({ name: null });
});

test('fifty at once: each knows its own, and finds a thing out once', async () => {
  const before = lookUps;
  const names = Array.from({ length: 50 }, (_, i) => `site-${i}`);
  const answers = await Promise.all(names.map((site) => ask({ cookie: `zh_by=${site}` }, site)));
  for (const [i, site] of names.entries())
    expect(answers[i]).toMatchObject({
      ...{ site, name: site, isOnce: true, elsewhere: 'another' },
    });
  expect(lookUps - before).toBe(50);
});
