import { sql } from 'kysely';
import { ACCESS_ROLES, may, type AccessRole } from '@/core/access/roles';
import { isToBeChecked, MEMBER_ROLES, type MemberRole } from '@/core/log/entered-by';
import { logRepo } from '@/db/repositories/log';
import { invitationRepo, type NewInvitation } from '@/db/repositories/invitations';
import { memberRepo } from '@/db/repositories/members';
import { ROUTES } from '@/entry/server/routes';
import { siteRepo, type Site } from '@/db/repositories/site';
import { sha256 } from '@/platform/hash';
import { newId } from '@/platform/ids';
import { makeInvitation, sendEntry } from '../support/people';
import { fillSite } from '../support/large-site';
import {
  axe,
  fill,
  joinBy,
  open,
  press,
  sleep,
  startSite,
  textOf,
  waitText,
  type App,
} from '../support/app';

/** Who may go where, who may log what, and how people and phones come in and go out. */
let app: App;
let siteId = '';
let batch = '';
const cookies: Partial<Record<AccessRole, string>> = {};

const invite = (role: MemberRole | null, name: string, more: Partial<NewInvitation> = {}) =>
  makeInvitation(app, siteId, role, name, more);

beforeAll(async () => {
  const started = await startSite();
  ({ app } = started);
  siteId = started.site.id;
  [batch = ''] = await fillSite(app.database.app, started.site, {
    ...{ batches: 2, rounds: 2, now: Date.now() },
  });
  cookies.manager = app.cookies();
  for (const role of MEMBER_ROLES.filter((r) => r !== 'manager'))
    cookies[role] = await joinBy(app.base, await invite(role, role), role);
}, 180_000);
afterAll(() => app?.stop());

/** An address that a route answers. */
const addressOf = (route: string): string =>
  route.replace('[id]', batch).replace(/\[\w+\]/g, () => 'x');

/** What became of a request: it passed, was sent to sign in, or was refused. Whatever a page makes of it once it is in has passed. */
const outcomeOf = ({ status, headers }: Response): 'passed' | 'sign-in' | 'refused' => {
  const to = headers.get('location') ?? '';
  if (status === 401 || (status === 303 && to.startsWith('/sign-in'))) return 'sign-in';
  return status === 403 || (status === 303 && ['/refused', '/share'].includes(to))
    ? 'refused'
    : 'passed';
};

const ROLES_AND_NOBODY: readonly (AccessRole | null)[] = [null, ...ACCESS_ROLES];
test.each(ROLES_AND_NOBODY)(
  'every door and page for somebody who is: %s',
  async (role) => {
    const cookie = (role && cookies[role]) ?? '';
    const found = [];
    for (const [route, action] of Object.entries(ROUTES)) {
      // They end the session that is asked with, or name a site that has its name.
      if (['/api/sign-out', '/site'].includes(route)) continue;
      const answer = await fetch(app.base + addressOf(route), {
        ...{ headers: { cookie }, redirect: 'manual' as const },
      });
      await answer.arrayBuffer();
      expect([route, answer.status < 500]).toEqual([route, true]);
      // An inspector has no account: to the server they are nobody.
      const isIn = role !== null && role !== 'inspector';
      // A calendar without a key is asked for one by the page itself.
      const isShut = route === '/calendar.ics' && !may(role, 'see-site');
      const wanted = isShut
        ? 'sign-in'
        : may(role, action)
          ? 'passed'
          : isIn
            ? 'refused'
            : 'sign-in';
      found.push({ route, got: outcomeOf(answer), wanted });
    }
    expect(found.filter((f) => f.got !== f.wanted)).toEqual([]);
    expect(found.length).toBeGreaterThan(75);
  },
  120_000,
);

test('nothing is asked or written by way of a page: all goes through doors that check and count', async () => {
  const page = await app.fetch('/more');
  const html = await page.text();
  expect(html).toContain('Signed in as Mo');
  const answer = await fetch(`${app.base}/sign-in`, {
    method: 'POST',
    headers: { 'next-action': '40'.padEnd(42, '0'), 'content-type': 'text/plain' },
    body: '[]',
  });
  expect(answer.status).toBe(400);
  expect(await answer.text()).toBe(
    'This server takes no such request. Reload the page and try again.\n',
  );
});

const entryOf = (kind: string, by: string, data: object, id = newId()) => ({
  ...{ id, batch, kind, at: null, by, data },
});
const send = (cookie: string, form: object) => sendEntry(app, cookie, form);
const heldOf = async (id: string) => (await logRepo(app.database.app).ofIds([id as never]))[0];

test('an entry says whose sign-in brought it; what a device claims of that is not believed', async () => {
  const form = entryOf('note', 'Crew', {
    words: 'steams',
    enteredBy: { person: 'x', name: 'Ada', role: 'manager' },
  });
  expect((await send(cookies.crew ?? '', { ...form, by: 'crew' })).ok).toBe(true);
  expect((await heldOf(form.id))?.data).toMatchObject({
    enteredBy: { name: 'crew', role: 'crew' },
  });
  // The answer was lost: the same again is done, whoever is in by then.
  expect(await send(cookies.manager ?? '', { ...form, by: 'crew' })).toEqual({
    ok: true,
    already: true,
  });
}, 60_000);

test('crew log in their own name; what another one typed waits on the device for that one', async () => {
  const form = entryOf('turn', 'recorder', { full: true });
  const answer = await send(cookies.crew ?? '', form);
  expect(answer).toMatchObject({ ok: false, again: true, problems: [{ path: 'by' }] });
  expect(answer.problems?.[0]?.message).toMatch(/logged by recorder, and crew is signed in/);
  expect((await send(cookies.recorder ?? '', form)).ok).toBe(true);
}, 60_000);

test('what a role does not log is refused with its reason; a recorder writes down what others did', async () => {
  const rule = entryOf('terms', 'crew', { rules: [], policy: {} });
  expect(await send(cookies.crew ?? '', rule)).toMatchObject({
    ok: false,
    problems: [{ path: 'role' }],
  });
  const note = entryOf('note', 'A neighbor', { words: 'brought leaves' });
  expect((await send(cookies.recorder ?? '', note)).ok).toBe(true);
  expect(await heldOf(note.id)).toMatchObject({
    by: 'A neighbor',
    data: { enteredBy: { role: 'recorder' } },
  });
}, 60_000);

test('crew correct their own entry on its day, and nobody else’s', async () => {
  const own = entryOf('note', 'crew', { words: 'slip' });
  const other = entryOf('note', 'recorder', { words: 'not theirs' });
  expect((await send(cookies.crew ?? '', own)).ok).toBe(true);
  expect((await send(cookies.recorder ?? '', other)).ok).toBe(true);
  const strike = (target: string) =>
    entryOf('correction', 'crew', { target, reason: 'wrong batch' });
  expect((await send(cookies.crew ?? '', strike(own.id))).ok).toBe(true);
  expect(await send(cookies.crew ?? '', strike(other.id))).toMatchObject({
    problems: [{ path: 'role' }],
  });
}, 60_000);

test('a role that was changed holds from the next request; a place that was ended is none', async () => {
  const cookie = await joinBy(app.base, await invite('recorder', 'Pip'), 'Pip');
  const pip = (await memberRepo(app.database.app).members(siteId)).find((m) => m.name === 'Pip');
  const act = (fields: Record<string, string>) =>
    app.fetch('/api/people', {
      method: 'POST',
      redirect: 'manual',
      body: new URLSearchParams(fields),
    });
  const bring = () => fetch(`${app.base}/bring`, { headers: { cookie }, redirect: 'manual' });
  expect((await bring()).status).toBe(200);
  await act({ act: 'role', person: pip?.person ?? '', role: 'crew' });
  expect((await bring()).headers.get('location')).toBe('/refused');
  await act({ act: 'end', person: pip?.person ?? '' });
  const ended = await fetch(app.base, { headers: { cookie }, redirect: 'manual' });
  expect([ended.status, ended.headers.get('location')]).toEqual([303, '/site']);
  // A manager does not shut themselves out.
  const self = (await memberRepo(app.database.app).members(siteId)).find((m) => m.name === 'Mo');
  await act({ act: 'end', person: self?.person ?? '' });
  expect((await app.fetch('/people')).status).toBe(200);
}, 60_000);

test('a link lets in once; late and withdrawn ones say so', async () => {
  const token = await invite('crew', 'Once');
  await joinBy(app.base, token, 'Once');
  const { page, close } = await app.page(undefined, '');
  await open(page, `${app.base}/join/${token}`);
  await waitText(page, 'main', /used already/);
  const late = await invite('crew', 'Late', { expiresAt: Date.now() - 1 });
  for (const word of [late, newId()]) {
    await open(page, `${app.base}/join/${word}`);
    await waitText(page, 'main', /does not work any more/);
  }
  await expect(joinBy(app.base, late, 'Latecomer')).rejects.toThrow('no account was made');
  await close();
}, 60_000);

test('a manager invites somebody, who comes in by the link; both see what they may', async () => {
  const manager = await app.page();
  await open(manager.page, `${app.base}/people`);
  expect(await axe(manager.page)).toEqual([]);
  await fill(manager.page, 'Name', 'Wren Field');
  await press(manager.page, 'Make a link');
  await waitText(manager.page, '[data-testid=made-link]', /Wren Field, crew/);
  const address = await textOf(manager.page, '[data-testid=made-address]');
  const wren = await app.page({ width: 390, height: 844, phone: true }, '');
  await open(wren.page, address);
  expect(await axe(wren.page)).toEqual([]);
  await fill(wren.page, 'User name', 'mo');
  await fill(wren.page, 'Password', 'password1234');
  await press(wren.page, 'Create account');
  await waitText(wren.page, 'main', /among those that are tried first/);
  await fill(wren.page, 'Password', 'many warm heaps');
  await press(wren.page, 'Create account');
  await waitText(wren.page, 'main', /Somebody has this user name already/);
  await fill(wren.page, 'User name', 'wren');
  await fill(wren.page, 'Password', 'many warm heaps');
  await press(wren.page, 'Create account');
  await waitText(wren.page, 'main', /Batch/);
  await open(wren.page, `${app.base}/people`);
  await waitText(wren.page, 'main', /Your role here is crew/);
  await open(wren.page, `${app.base}/rules`);
  await waitText(wren.page, 'main', /Only a manager changes this/);
  await open(wren.page, `${app.base}/more`);
  await waitText(wren.page, '[data-testid=who]', /Signed in as Wren Field, crew/);
  await press(wren.page, 'Sign out');
  await waitText(wren.page, 'main', /You are signed out/);
  await open(wren.page, app.base);
  await fill(wren.page, 'User name', 'wren');
  await fill(wren.page, 'Password', 'wrong it is');
  await press(wren.page, 'Sign in');
  await waitText(wren.page, 'main', /user name or the password is wrong/);
  expect(await axe(wren.page)).toEqual([]);
  await fill(wren.page, 'Password', 'many warm heaps');
  await press(wren.page, 'Sign in');
  await waitText(wren.page, 'main', /Batch/);
  await open(manager.page, `${app.base}/people`);
  await waitText(manager.page, 'main', /Signs in as wren/);
  await wren.close();
  await manager.close();
}, 120_000);

/** In the page of people: none is listed any more. */
const noDevices = () => document.querySelector('[data-testid=device]') === null;

test('a shared phone is connected, logs in the names of the site’s people, and is shut out by one press', async () => {
  const phone = await app.page({ width: 390, height: 844, phone: true }, '');
  await open(phone.page, `${app.base}/join/${await invite(null, 'Barn phone')}`);
  await waitText(phone.page, 'main', /shared phone Barn phone/);
  await press(phone.page, 'Connect');
  await waitText(phone.page, 'main', /Who are you\?/);
  expect(await axe(phone.page)).toEqual([]);
  await press(phone.page, 'recorder');
  await waitText(phone.page, 'main', /Batch/);
  await open(phone.page, `${app.base}/more`);
  await waitText(
    phone.page,
    '[data-testid=who]',
    /Shared phone Barn phone, in the hand of recorder/,
  );
  const cookie = (await phone.page.browserContext().cookies())
    .map((c) => `${c.name}=${c.value}`)
    .join('; ');
  const nobody = await send(cookie, entryOf('note', 'Stranger', { words: 'x' }));
  expect(nobody.problems?.[0]?.message).toMatch(/Nobody called Stranger belongs to this site/);
  const note = entryOf('note', 'MO', { words: 'from the barn' });
  expect((await send(cookie, note)).ok).toBe(true);
  expect((await heldOf(note.id))?.data).toMatchObject({
    enteredBy: { name: 'Mo', role: 'crew', device: { name: 'Barn phone' } },
  });
  // Whoever it names, such a phone does no more than crew.
  expect(await send(cookie, entryOf('terms', 'Mo', { rules: [], policy: {} }))).toMatchObject({
    ok: false,
  });
  const manager = await app.page();
  await open(manager.page, `${app.base}/people`);
  await waitText(manager.page, '[data-testid=device]', /Barn phone/);
  await press(manager.page, 'Disconnect');
  await manager.page.waitForFunction(noDevices);
  await open(phone.page, `${app.base}/sign-in`);
  await waitText(phone.page, 'main', /This phone was disconnected/);
  const home = await fetch(app.base, { headers: { cookie }, redirect: 'manual' });
  expect(home.headers.get('location')).toBe('/sign-in');
  expect(
    (await fetch(`${app.base}/api/log`, { method: 'POST', headers: { cookie }, body: '{}' }))
      .status,
  ).toBe(401);
  await manager.close();
  await phone.close();
}, 120_000);

test('a partner sees their own share alone', async () => {
  const cookie = await joinBy(
    app.base,
    await invite('partner', 'Pat', { partner: 'Canteen' }),
    'Pat',
  );
  const { page, close } = await app.page({ width: 390, height: 844, phone: true }, cookie);
  await open(page, `${app.base}/share`);
  await waitText(page, 'main', /Canteen[\s\S]*Nothing of yours is logged this year/);
  expect(await axe(page)).toEqual([]);
  // Wherever they go on the site, they are led to it.
  await open(page, app.base);
  await waitText(page, 'main', /Canteen/);
  await close();
}, 60_000);

test('passwords are kept as argon2id, tokens as their hash, and guessing is counted', async () => {
  const kept = await sql<{ password: string }>`select password from account`.execute(
    app.database.admin,
  );
  expect(kept.rows.length).toBeGreaterThan(4);
  for (const { password } of kept.rows)
    expect(password).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  const guess = () =>
    fetch(`${app.base}/api/sign-in`, {
      ...{
        method: 'POST',
        redirect: 'manual' as const,
        headers: { 'x-forwarded-for': '203.0.113.77' },
      },
      body: new URLSearchParams({ username: 'mo', password: 'guess' }),
    });
  const answers = [];
  // More than twice as many as one minute takes, wherever in it they begin.
  for (let i = 0; i < 21; i += 1) answers.push((await guess()).status);
  expect(answers).toContain(429);
}, 60_000);

test('guessing at a name shuts out neither its owner nor the device on which they signed in before; who guesses waits', async () => {
  await joinBy(app.base, await invite('crew', 'Smew'), 'Smew');
  const signIn = async (password: string, from: string, cookie = '') => {
    const answer = await fetch(`${app.base}/api/sign-in`, {
      ...{ method: 'POST', redirect: 'manual' as const },
      headers: { 'x-forwarded-for': from, cookie },
      body: new URLSearchParams({ username: 'smew', password }),
    });
    const known = answer.headers.getSetCookie().find((c) => c.startsWith('zh_known='));
    return { to: answer.headers.get('location') ?? '', known: known?.split(';')[0] ?? '' };
  };
  const right = 'many warm heaps';
  // One try from each of many places: the right password from another one is taken at once.
  for (let i = 1; i <= 24; i += 1)
    expect((await signIn('guess', `198.51.100.${i}`)).to).toMatch(/problem=wrong/);
  const { to, known } = await signIn(right, '198.51.100.200');
  expect(to).toBe('/');
  // Many from one place, which in IPv6 is 64 bits: soon each waits, and is told so.
  const tries = [];
  for (let i = 1; i <= 10; i += 1) tries.push((await signIn('guess', `2001:db8::${i}`)).to);
  expect(tries.slice(0, 9).every((t) => t.includes('problem=wrong'))).toBe(true);
  expect(tries[9]).toMatch(/problem=wait&wait=\d+/);
  const page = await app.fetch(tries[9] ?? '', { headers: { cookie: '' } });
  expect(await page.text()).toMatch(/many wrong tries at this name/);
  // As if each place had guessed all night: the device that signed in before need not wait, one that only says so must.
  await sql`update rate_count set n = 50 where door = 'user-name'`.execute(app.database.admin);
  expect((await signIn(right, '198.51.100.7')).to).toMatch(/problem=wait/);
  expect((await signIn(right, '198.51.100.7', `${known.slice(0, -3)}abc`)).to).toMatch(/wait/);
  expect((await signIn(right, '198.51.100.7', known)).to).toBe('/');
}, 60_000);

test('of five who come in by one link at once, one has an account, and the names of the others are free', async () => {
  const token = await invite('crew', 'Whinchat');
  const join = (username: string): Promise<Response> =>
    fetch(`${app.base}/api/join`, {
      ...{ method: 'POST', redirect: 'manual' as const },
      body: new URLSearchParams({ token, name: 'Whinchat', username, password: 'many warm heaps' }),
    });
  const names = ['whina', 'whinb', 'whinc', 'whind', 'whine'];
  await Promise.all(names.map(join));
  const { rows } = await sql<{ username: string }>`
    select username from "user" where username like 'whin_'`.execute(app.database.admin);
  expect(rows).toHaveLength(1);
}, 60_000);

test('a session that ends while something is logged: it waits on the device, which says so, and goes after the next sign-in', async () => {
  const cookie = await joinBy(app.base, await invite('recorder', 'Linnet'), 'Linnet');
  const { page, close } = await app.page({ width: 390, height: 844, phone: true }, cookie);
  await open(page, `${app.base}/instruments`);
  await sql`delete from session where "userId" in (select id from "user" where username = 'linnet')`.execute(
    app.database.admin,
  );
  await fill(page, 'In the shade, °C', '7.25');
  await press(page, 'Save the air temperature');
  await waitText(
    page,
    '[data-testid=device-bar]',
    /Sign in first\. What waits on this device stays here/,
  );
  const logged = async () =>
    (await logRepo(app.database.app).ofSite(siteId)).filter(
      (e) => e.kind === 'ambient' && e.data.value === 7.25,
    );
  expect(await logged()).toEqual([]);
  await press(page, 'Sign in');
  await page.waitForSelector('input[type=password]');
  await fill(page, 'User name', 'linnet');
  await fill(page, 'Password', 'many warm heaps');
  await press(page, 'Sign in');
  await waitText(page, 'main', /Batch/);
  for (let i = 0; i < 100 && (await logged()).length === 0; i += 1) await sleep(100);
  expect((await logged()).map((e) => [e.by, e.data])).toEqual([
    [
      'Linnet',
      expect.objectContaining({ enteredBy: expect.objectContaining({ role: 'recorder' }) }),
    ],
  ]);
  await close();
}, 120_000);

test('somebody with a place at two sites sees one at a time, and what was typed at one is not taken at the other', async () => {
  const other: Site = {
    ...{ id: newId(), name: 'Weir Meadow', timeZone: 'Europe/London', unit: 'C', demoUntil: null },
  };
  const { admin } = app.database;
  await siteRepo(admin).create(other);
  const token = newId();
  await invitationRepo(admin).invite({
    ...{ tokenHash: sha256(token), site: other.id, letsIn: 'person', role: 'crew', name: 'Mo' },
    ...{ partner: null, madeBy: null, madeAt: Date.now(), expiresAt: Date.now() + 3_600_000 },
  });
  const { page, close } = await app.page();
  await open(page, `${app.base}/join/${token}`);
  await press(page, 'Join as Mo');
  await waitText(page, 'header', /Weir Meadow/);
  // Crew there, manager here: what one may do is that of the site that is shown.
  await open(page, `${app.base}/people`);
  await waitText(page, 'main', /Your role here is crew/);
  const there = await page.goto(`${app.base}/batch/${batch}`);
  expect(there?.status()).toBe(404);
  const cookie = (await page.browserContext().cookies())
    .map((c) => `${c.name}=${c.value}`)
    .join('; ');
  const device = { enteredAt: new Date().toISOString(), clockAheadMs: 0, site: siteId };
  const typedHere = { ...entryOf('ambient', 'Mo', { value: 3, unit: 'C', device }), batch: null };
  expect(await send(cookie, typedHere)).toMatchObject({
    ...{ ok: false, again: true, problems: [{ path: 'site' }] },
  });
  await open(page, `${app.base}/more`);
  await page.select('select[name=site]', siteId);
  await press(page, 'Go there');
  await waitText(page, 'header', /Hopyard Corner/);
  const back = (await page.browserContext().cookies())
    .map((c) => `${c.name}=${c.value}`)
    .join('; ');
  expect(await send(back, typedHere)).toMatchObject({ ok: true });
  await close();
}, 120_000);

test('a calendar is let in by a link of its own, reads what is to be done, and is shut out by one press', async () => {
  const { page, close } = await app.page();
  await open(page, `${app.base}/calendar`);
  await press(page, 'Make calendar links');
  await waitText(page, 'main', /shown this once/);
  expect(await axe(page)).toEqual([]);
  const path = await page.$eval('main code', (el) => /\/calendar\.ics\S*/.exec(el.innerText)?.[0]);
  const feed = () => fetch(`${app.base}${path}`);
  expect(await (await feed()).text()).toMatch(/^BEGIN:VCALENDAR/);
  expect((await fetch(`${app.base}/calendar.ics`)).status).toBe(401);
  // The key opens nothing else.
  const key = new URL(`${app.base}${path}`).searchParams.get('key') ?? '';
  const asPhone = await fetch(app.base, {
    ...{ headers: { cookie: `zh_device=${key}` }, redirect: 'manual' as const },
  });
  expect(asPhone.headers.get('location')).toBe('/sign-in');
  await open(page, `${app.base}/people`);
  await waitText(page, 'main', /Calendar of Mo/);
  await press(page, 'Disconnect');
  await page.waitForFunction(noDevices);
  expect((await feed()).status).toBe(401);
  await close();
}, 60_000);

test('what happened at the door stands where a manager looks for it', async () => {
  await (await app.fetch(`/batch/${batch}/readings`)).arrayBuffer();
  await send(cookies.crew ?? '', entryOf('terms', 'crew', { rules: [], policy: {} }));
  const { page, close } = await app.page();
  await open(page, `${app.base}/people`);
  await press(page, 'Sign-ins, links and changes');
  await waitText(page, 'main', /Mo exported data/);
  await waitText(page, 'main', /an entry of crew was refused/);
  await waitText(page, 'main', /a sign-in as Mo was refused/);
  await close();
}, 60_000);

test('what a trainee logged is told in the log, and counts once somebody else has checked it', async () => {
  const note = entryOf('note', 'trainee', { words: 'smells of the forest' });
  expect((await send(cookies.trainee ?? '', note)).ok).toBe(true);
  // A trainee checks nothing, their own least of all.
  expect(
    await send(cookies.trainee ?? '', entryOf('entry-check', 'trainee', { target: note.id })),
  ).toMatchObject({
    problems: [{ path: 'role' }],
  });
  const own = await app.page({ width: 390, height: 844, phone: true }, cookies.trainee);
  await open(own.page, `${app.base}/batch/${batch}`);
  await waitText(own.page, '[data-testid=log]', /smells of the forest[\s\S]*To be checked/);
  expect(await textOf(own.page, '[data-testid=log]')).not.toContain('I have checked it');
  await own.close();
  const { page, close } = await app.page();
  await open(page, `${app.base}/batch/${batch}`);
  await waitText(page, '[data-testid=log]', /To be checked/);
  await press(page, 'I have checked it: it is right');
  await waitText(page, '[data-testid=log]', /Checked an entry/);
  for (
    let i = 0;
    i < 50 && (await textOf(page, '[data-testid=log]')).includes('To be checked');
    i += 1
  )
    await sleep(100);
  expect(await textOf(page, '[data-testid=log]')).not.toContain('To be checked');
  await close();
}, 60_000);

test('what a trainee logged with no signal does not go out under the next person’s sign-in; handed over it stays a trainee’s', async () => {
  const { page, close } = await app.page({ width: 390, height: 844, phone: true }, cookies.trainee);
  await open(page, `${app.base}/instruments`);
  await page.setOfflineMode(true);
  await fill(page, 'In the shade, °C', '8.25');
  await press(page, 'Save the air temperature');
  await waitText(page, '[data-testid=device-bar]', /waiting to send/);
  // The trainee's session ends; the next one signs in on the same phone and does nothing.
  await page.browserContext().deleteCookie(...(await page.browserContext().cookies()));
  await page.setOfflineMode(false);
  await open(page, `${app.base}/sign-in`);
  await waitText(
    page,
    '[data-testid=waiting-here]',
    /One entry of trainee waits on this device\. It is sent when trainee signs in here/,
  );
  await fill(page, 'User name', 'recorder');
  await fill(page, 'Password', 'many warm heaps');
  await Promise.all([page.waitForNavigation(), press(page, 'Sign in')]);
  await open(page, `${app.base}/waiting`);
  await waitText(page, '[data-testid=for-other]', /trainee logged this\. It waits on this device/);
  // Nothing on the page says that it goes by itself.
  expect(await textOf(page, 'main')).not.toMatch(/sent by themselves|Send now/);
  await waitText(page, '[data-testid=device-bar]', /1 entry is waiting to send\./);
  const logged = async () =>
    (await logRepo(app.database.app).ofSite(siteId)).filter(
      (e) => e.kind === 'ambient' && e.data.value === 8.25,
    );
  await sleep(1500);
  expect(await logged()).toEqual([]);
  await press(page, 'Send it as recorder');
  await press(page, 'Send: logged by trainee, sent by recorder');
  await waitText(page, 'main', /Nothing is waiting/);
  expect(await logged()).toMatchObject([
    {
      by: 'trainee',
      data: {
        enteredBy: {
          name: 'recorder',
          role: 'recorder',
          loggedBy: { name: 'trainee', role: 'trainee' },
        },
      },
    },
  ]);
  expect(isToBeChecked((await logged())[0]!.data)).toBe(true);
  await close();
}, 60_000);

test('nobody escapes the check of their work by naming another hand on the device', async () => {
  const members = await memberRepo(app.database.app).members(siteId);
  const idOf = (name: string): string => members.find((m) => m.name === name)!.person;
  const typed = (by: string, typist: string) =>
    entryOf('note', typist, {
      words: `typed by ${typist}, sent by ${by}`,
      device: {
        ...{ enteredAt: new Date().toISOString(), clockAheadMs: 0 },
        ...{ person: { id: idOf(typist), name: typist }, handedTo: idOf(by) },
      },
    });
  for (const role of ['trainee', 'crew'] as const)
    expect(await send(cookies[role] ?? '', typed(role, 'Mo'))).toMatchObject({
      ...{ ok: false, problems: [{ path: 'person' }] },
    });
  // Whoever logs for others may say whose hand it was, and a trainee's is looked over.
  const handed = typed('recorder', 'trainee');
  expect(await send(cookies.recorder ?? '', handed)).toEqual({ ok: true, already: false });
  expect(isToBeChecked((await heldOf(handed.id))!.data)).toBe(true);
});

test('of the links that were printed for the first manager one lets in, and with it the others end', async () => {
  const first = { site: null, letsIn: 'first', role: 'manager' } as const;
  const [one, two] = [await invite('manager', '', first), await invite('manager', '', first)];
  await joinBy(app.base, one, 'Bess');
  const { page, close } = await app.page(undefined, '');
  await open(page, `${app.base}/join/${two}`);
  await waitText(page, 'main', /does not work any more/);
  await close();
}, 60_000);

test('whoever has no place any more is told so, and can sign out', async () => {
  const cookie = await joinBy(app.base, await invite('crew', 'Gone'), 'Gone');
  const members = await memberRepo(app.database.app).members(siteId);
  const gone = members.find((m) => m.name === 'Gone')?.person ?? '';
  await memberRepo(app.database.app).endMembership(siteId, gone, Date.now());
  const { page, close } = await app.page(undefined, cookie);
  await open(page, app.base);
  await waitText(page, 'main', /You have no place at a site here now/);
  expect(await axe(page)).toEqual([]);
  await press(page, 'Sign out');
  await waitText(page, 'main', /You are signed out/);
  await close();
}, 60_000);

test('a form that is sent after the session has ended leads to signing in, not to a line for programs', async () => {
  const answer = await fetch(`${app.base}/api/people`, {
    ...{ method: 'POST', redirect: 'manual' as const },
    body: new URLSearchParams({ act: 'invite', name: 'Wren', role: 'crew' }),
  });
  expect([answer.status, answer.headers.get('location')]).toEqual([303, '/sign-in']);
}, 60_000);
