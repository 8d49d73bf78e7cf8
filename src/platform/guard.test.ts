import fs from 'node:fs';
import path from 'node:path';
import { refusalOf } from './guard';

const ROOT = path.resolve(__dirname, '../..');
/** Every route of the application, as a path that a request may name. */
function routes(dir = path.join(ROOT, 'src/app')): string[] {
  return fs.readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    const here = path.join(dir, entry.name);
    if (entry.isDirectory()) return routes(here);
    return /^(route|page)\.tsx?$/.test(entry.name)
      ? [
          `/${path
            .relative(path.join(ROOT, 'src/app'), dir)
            .replaceAll(path.sep, '/')
            .replace(/\[\w+\]/g, 'x')}`,
        ]
      : [];
  });
}
const ask = (url: string, method: string, headers: Record<string, string>, hosts: string[] = []) =>
  refusalOf(
    {
      method,
      url: `http://127.0.0.1:4173${url}`,
      headers: new Headers({ host: '127.0.0.1:4173', ...headers }),
    },
    hosts,
  )?.status ?? null;

test('what is no method of the application, or goes past its doors, is refused', () => {
  for (const method of ['TRACE', 'X-TRACE', 'PROPFIND', 'CONNECT', 'get'])
    expect(ask('/', method, {})).toBe(405);
  for (const method of ['GET', 'POST']) expect(ask('/', method, { 'next-action': '40' })).toBe(400);
});

test('the guard has no matcher, so that no route is left out', () => {
  const proxy = fs.readFileSync(path.join(ROOT, 'src/proxy.ts'), 'utf8');
  expect(proxy).not.toMatch(/export const config|matcher:/);
  expect(routes().length).toBeGreaterThan(35);
});

describe.each(routes())('%s', (route) => {
  test('another site’s page cannot write, by whatever it says of itself or leaves out', () => {
    expect(ask(route, 'POST', { 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(
      ask(route, 'POST', { 'sec-fetch-site': 'same-site', origin: 'http://127.0.0.1:9999' }),
    ).toBe(403);
    expect(ask(route, 'POST', { origin: 'http://127.0.0.1:9999' })).toBe(403);
    expect(ask(route, 'POST', { origin: 'https://elsewhere.example' })).toBe(403);
    expect(ask(route, 'POST', { origin: 'null' })).toBe(403);
  });
  test('a name that was rebound to this machine gets no answer, to read or to write', () => {
    for (const method of ['GET', 'POST'])
      expect(
        ask(route, method, {
          host: 'rebound.example:4173',
          'sec-fetch-site': 'same-origin',
          origin: 'http://rebound.example:4173',
        }),
      ).toBe(421);
    expect(ask(route, 'GET', { host: '' })).toBe(421);
  });
  test('its own pages, and a script on this machine, pass', () => {
    expect(ask(route, 'GET', {})).toBeNull();
    expect(
      ask(route, 'POST', { 'sec-fetch-site': 'same-origin', origin: 'http://127.0.0.1:4173' }),
    ).toBeNull();
    expect(ask(route, 'POST', {})).toBeNull();
  });
});

test('a name that the site gave is answered, with the origin of the web server before it', () => {
  const hosts = ['heap.example'];
  expect(ask('/', 'GET', { host: 'heap.example' }, hosts)).toBeNull();
  expect(
    ask('/api/log', 'POST', { host: '127.0.0.1:4174', origin: 'https://heap.example' }, hosts),
  ).toBeNull();
  expect(
    ask('/api/log', 'POST', { host: 'heap.example', origin: 'https://other.example' }, hosts),
  ).toBe(403);
});
test('a broken per cent sign is refused in a sentence', () =>
  expect(ask('/batch/%E0%A4%A', 'GET', {})).toBe(400));
