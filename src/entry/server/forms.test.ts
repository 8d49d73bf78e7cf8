import fc from 'fast-check';
import { cookieOf, fieldsOf, flashCookie, openCookieOf, safePath, sendBack, sendOn } from './forms';

/** Where forms lead, and what they bear: never to another server, and nothing of somebody else's. */
const BASE = 'https://compost.farm.example';
const leadsTo = (next: string | undefined): URL => new URL(safePath(next), `${BASE}/sign-in`);
const evil = fc.constantFrom(
  ...['//evil.example', '/\\evil.example', 'https://evil.example/', 'javascript:alert(1)'],
  ...[
    '/\t/evil.example',
    '\\\\evil.example',
    ' //evil.example',
    '/ /evil.example',
    '///evil.example',
  ],
  ...[
    '/%0d%0aset-cookie:x=1',
    '/\r\nlocation: //evil.example',
    '/.//evil.example',
    '/..//evil.example',
  ],
);
/** Whatever somebody types, in any writing. */
const TYPED = fc.string({ unit: 'grapheme' });
/** Addresses, and bits of them put together as nobody would. */
const addresses = fc.oneof(
  evil,
  fc.webUrl(),
  fc.string(),
  fc
    .array(
      fc.constantFrom('/', '\\', '.', '@', ':', '%2f', '%5c', '\t', '\n', 'evil.example', '?', '#'),
    )
    .map((bits) => bits.join('')),
);

test('wherever a form is asked to go on to, it stays on this server', () =>
  fc.assert(
    fc.property(addresses, (next) => {
      expect(leadsTo(next).origin).toBe(BASE);
      expect(leadsTo(`/${next}`).origin).toBe(BASE);
      expect(leadsTo(next).pathname.startsWith('/api/')).toBe(false);
    }),
    { numRuns: 3000, seed: 20261130 },
  ));

test.each(['/', '/batch/0190/record', '/plan?day=2026-05-21#today', '/entries?by=Zo%C3%AB'])(
  'a path of this server stands: %s',
  (path) => expect(safePath(path)).toBe(path),
);
test('doors that do something are no place to go on to, and nor is nothing', () => {
  expect(safePath('/api/sign-out')).toBe('/');
  expect(safePath(undefined)).toBe('/');
  expect(safePath('')).toBe('/');
});

test('what was typed comes back as it was, and in no header of its own', () =>
  fc.assert(
    fc.property(TYPED, TYPED, (name, username) => {
      const answer = sendBack('/join/token', { name, username, problem: 'taken' });
      const back = new URL(answer.headers.get('location') ?? '', BASE);
      expect([back.pathname, answer.status]).toEqual(['/join/token', 303]);
      expect(back.searchParams.get('name')).toBe(name);
      expect(back.searchParams.get('username')).toBe(username);
      expect(answer.headers.getSetCookie()).toEqual([]);
    }),
    { numRuns: 500, seed: 20261130 },
  ));

describe('cookies', () => {
  afterEach(() => {
    delete process.env.ZEALOUS_HTTPS;
  });
  test('whatever they bear, it is one cookie with one value', () =>
    fc.assert(
      fc.property(TYPED, (value) => {
        const [pair = '', ...attributes] = openCookieOf('zh_by', value, 60).split('; ');
        expect(decodeURIComponent(pair.slice('zh_by='.length))).toBe(value);
        expect(attributes).toEqual(['Path=/', 'Max-Age=60', 'SameSite=Lax']);
      }),
      { numRuns: 500, seed: 20261130 },
    ));
  test('those that no script reads say so; behind https they are sent by it alone', () => {
    expect(cookieOf('zh_site', 'x', 60)).toMatch(/; HttpOnly$/);
    expect(cookieOf('zh_site', 'x', 60)).not.toMatch(/Secure/);
    process.env.ZEALOUS_HTTPS = '1';
    expect(cookieOf('zh_site', 'x', 60)).toMatch(/; Secure; HttpOnly$/);
    expect(openCookieOf('zh_by', 'x', 60)).toMatch(/; Secure$/);
  });
  test('what was just made goes to the one page that shows it, for five minutes', () =>
    expect(flashCookie('zh_new', 'x', '/people')).toBe(
      'zh_new=x; Path=/people; Max-Age=300; SameSite=Lax; HttpOnly',
    ));
  test('several are set side by side', () =>
    expect(sendOn('/', ['a=1', 'b=2']).headers.getSetCookie()).toEqual(['a=1', 'b=2']));
});

test('the fields of a form are its texts: a file among them, or what is no form, is none', async () => {
  const form = new FormData();
  form.set('name', 'Jo');
  form.set('picture', new Blob(['x']), 'x.png');
  const url = `${BASE}/api/join`;
  expect(await fieldsOf(new Request(url, { method: 'POST', body: form }))).toEqual({ name: 'Jo' });
  expect(await fieldsOf(new Request(url, { method: 'POST', body: '{"name":"Jo"}' }))).toEqual({});
  expect(await fieldsOf(new Request(url))).toEqual({});
});
