import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import * as OTPAuth from 'otpauth';
import { sql } from 'kysely';
import type { Page } from 'puppeteer-core';
import { logRepo } from '@/db/repositories/log';
import { memberRepo } from '@/db/repositories/members';
import type { Site } from '@/db/repositories/site';
import { newId } from '@/platform/ids';
import {
  axe,
  fill,
  joinBy,
  MANAGER,
  open,
  press,
  startSite,
  textOf,
  waitText,
  type App,
} from '../support/app';
import { makeInvitation, sendEntry } from '../support/people';

/** What somebody does about their own account: one-time codes, a password that was forgotten, a PIN on a shared phone. */
let app: App;
let site: Site;
let mailbox: string;
const PHONE = { width: 390, height: 844, phone: true } as const;
const PASSWORD = 'many warm heaps';

beforeAll(async () => {
  mailbox = fs.mkdtempSync(path.join(os.tmpdir(), 'mailbox-'));
  ({ app, site } = await startSite({ ZEALOUS_MAILBOX: mailbox }));
}, 180_000);
afterAll(async () => {
  await app?.stop();
  fs.rmSync(mailbox, { recursive: true, force: true });
});

const join = async (name: string): Promise<string> =>
  joinBy(app.base, await makeInvitation(app, site.id, 'crew', name), name);
const idOf = async (name: string): Promise<string> =>
  (await memberRepo(app.database.app).members(site.id)).find((m) => m.name === name)?.person ?? '';
const cookiesOf = async (page: Page): Promise<string> =>
  (await page.browserContext().cookies()).map((c) => `${c.name}=${c.value}`).join('; ');

/** What an app for one-time codes makes of a key: RFC 6238, by a library of others. */
const codeOf = (key: string): OTPAuth.TOTP =>
  new OTPAuth.TOTP({ secret: OTPAuth.Secret.fromBase32(key.replace(/\s/g, '')) });
const STEP_MS = 30_000;

const SIGNED_IN = 'section[aria-label="Where you are signed in"]';
/** How many sign-ins the page lists. */
const signIns = async (page: Page): Promise<number> =>
  ((await textOf(page, SIGNED_IN)).match(/signed in /g) ?? []).length;

async function signIn(page: Page, username: string, base = app.base): Promise<void> {
  await open(page, `${base}/sign-in`);
  await fill(page, 'User name', username);
  await fill(page, 'Password', PASSWORD);
  await press(page, 'Sign in');
}
async function typeCode(page: Page, code: string): Promise<void> {
  await fill(page, 'Code', code);
  await press(page, 'Sign in');
}

test('one-time codes: set up by an app, asked for at the next sign-in, each good once, and switched off', async () => {
  const own = await app.page(PHONE, await join('Siskin'));
  await open(own.page, `${app.base}/account`);
  await own.page.type('section[aria-label="One-time code"] input', 'not the password');
  await press(own.page, 'Set it up');
  await waitText(own.page, 'main', /The current password is wrong/);
  await own.page.type('section[aria-label="One-time code"] input', PASSWORD);
  await press(own.page, 'Set it up');
  await own.page.waitForSelector('[data-testid=code-key]');
  expect(await axe(own.page)).toEqual([]);
  const app2 = codeOf(await textOf(own.page, '[data-testid=code-key]'));
  const backup = (await textOf(own.page, '[data-testid=backup-codes]')).split('\n');
  expect(new Set(backup).size).toBe(10);
  await fill(own.page, 'Then type the code that the app shows', '000000');
  await press(own.page, 'Switch it on');
  await waitText(own.page, 'main', /This code is wrong/);
  await fill(own.page, 'Then type the code that the app shows', app2.generate());
  await press(own.page, 'Switch it on');
  await waitText(own.page, 'main', /From now on signing in asks for a code/);

  const other = await app.page(undefined, '');
  await signIn(other.page, 'siskin');
  await waitText(other.page, 'main', /Type the 6 digits/);
  expect(await axe(other.page)).toEqual([]);
  // The password alone opens nothing.
  const home = await fetch(app.base, {
    ...{ headers: { cookie: await cookiesOf(other.page) }, redirect: 'manual' as const },
  });
  expect(home.headers.get('location')).toBe('/sign-in');
  await typeCode(other.page, '123456');
  await waitText(other.page, 'main', /This code is wrong, late or used already/);
  const code = app2.generate({ timestamp: Date.now() + STEP_MS });
  await typeCode(other.page, code);
  await waitText(other.page, 'main', /No batch yet/);
  await other.close();

  const again = await app.page(undefined, '');
  await signIn(again.page, 'siskin');
  await waitText(again.page, 'main', /Type the 6 digits/);
  await typeCode(again.page, code);
  await waitText(again.page, 'main', /used already/);
  await open(again.page, `${app.base}/sign-in`);
  // The app is lost: a code that was written down, once.
  let newest = '';
  for (const [written, seen] of [
    [backup[0], /No batch yet/],
    [backup[0], /used already/],
  ] as const) {
    await again.page.browserContext().deleteMatchingCookies({ name: 'zh_session' });
    await signIn(again.page, 'siskin');
    await waitText(again.page, 'main', /Type the 6 digits/);
    await typeCode(again.page, written ?? '');
    await waitText(again.page, 'main', seen);
    newest ||= await cookiesOf(again.page);
  }
  await again.close();
  const isIn = async (cookie: string): Promise<boolean> =>
    (await fetch(`${app.base}/account`, { headers: { cookie }, redirect: 'manual' })).ok;
  expect(await isIn(newest)).toBe(true);

  await open(own.page, `${app.base}/account`);
  await waitText(own.page, SIGNED_IN, /this one, signed in[\s\S]*(signed in [\s\S]*){2}/);
  expect(await signIns(own.page)).toBe(3);
  await press(own.page, 'Sign out there');
  await waitText(own.page, 'main', /You are signed out there/);
  expect(await isIn(newest)).toBe(false);
  expect(await signIns(own.page)).toBe(2);
  await press(own.page, 'Sign out everywhere else');
  await waitText(own.page, 'main', /everywhere but here/);
  expect(await signIns(own.page)).toBe(1);
  await own.page.type('section[aria-label="One-time code"] input', PASSWORD);
  await press(own.page, 'Switch it off');
  await waitText(own.page, 'main', /asks for no code any more/);
  await own.close();
}, 180_000);

test('a forgotten password: a manager’s link gives a new one, once, ends every session and keeps who it is', async () => {
  const old = await join('Dunnock');
  const id = await idOf('Dunnock');
  const manager = await app.page();
  await open(manager.page, `${app.base}/people`);
  await manager.page.evaluate(() =>
    document
      .querySelectorAll<HTMLDetailsElement>('[data-testid=member] details')
      .forEach((d) => (d.open = d.closest('[data-testid=member]')!.textContent!.includes('Dunn'))),
  );
  expect(await axe(manager.page)).toEqual([]);
  await press(manager.page, 'Link for a new password');
  await waitText(manager.page, '[data-testid=made-link]', /new password for Dunnock/);
  const address = await textOf(manager.page, '[data-testid=made-address]');
  await manager.close();

  const { page, close } = await app.page(PHONE, '');
  await open(page, address);
  await waitText(page, 'main', /New password for Dunnock/);
  expect(await axe(page)).toEqual([]);
  await fill(page, 'New password', 'password1234');
  await press(page, 'Save and sign in');
  await waitText(page, 'main', /among those that are tried first/);
  await fill(page, 'New password', 'another dry summer');
  await press(page, 'Save and sign in');
  await waitText(page, 'main', /No batch yet/);
  const before = await fetch(app.base, { headers: { cookie: old }, redirect: 'manual' });
  expect(before.headers.get('location')).toBe('/sign-in');
  expect(await idOf('Dunnock')).toBe(id);
  await open(page, address);
  await waitText(page, 'main', /used already/);
  await close();
}, 120_000);

test('a manager gives nobody a password who has a place where that manager is none', async () => {
  const elsewhere = newId();
  await app.database.admin
    .insertInto('site')
    .values({ id: elsewhere, name: 'Weir Meadow', time_zone: 'Europe/London', unit: 'C' })
    .execute();
  const old = await join('Twite');
  const person = await idOf('Twite');
  // A link of before that place ends with it.
  const manager = await idOf(MANAGER);
  const link = await makeInvitation(app, site.id, null, 'Twite', {
    ...{ letsIn: 'password', person, madeBy: manager },
  });
  await memberRepo(app.database.admin).setMember(
    { site: elsewhere, person, role: 'manager', partner: null },
    Date.now(),
  );
  const answer = await app.fetch('/api/people', {
    ...{ method: 'POST', redirect: 'manual' as const },
    body: new URLSearchParams({ act: 'renew', person }),
  });
  expect(answer.headers.get('location')).toBe('/people?problem=elsewhere');
  expect(answer.headers.getSetCookie()).toEqual([]);
  const used = await fetch(`${app.base}/api/join`, {
    ...{ method: 'POST', redirect: 'manual' as const },
    body: new URLSearchParams({ token: link, password: 'another dry summer' }),
  });
  expect(used.headers.getSetCookie()).toEqual([]);
  expect(await (await fetch(`${app.base}/join/${link}`)).text()).toMatch(/does not work any more/);
  // Whoever is signed in stays so, with the password they have.
  const home = await fetch(app.base, { headers: { cookie: old }, redirect: 'manual' });
  expect(home.headers.get('location')).not.toBe('/sign-in');
}, 60_000);

test('a name with a PIN is chosen by it on a shared phone; until then nothing goes in that name', async () => {
  const own = await app.page(PHONE, await join('Redpoll'));
  await open(own.page, `${app.base}/account`);
  await fill(own.page, 'PIN', '4711');
  await press(own.page, 'Save PIN');
  await waitText(own.page, 'main', /Your PIN is saved/);
  await own.close();

  const { page, close } = await app.page(PHONE, '');
  await open(page, `${app.base}/join/${await makeInvitation(app, site.id, null, 'Barn phone')}`);
  await press(page, 'Connect');
  await waitText(page, 'main', /Who are you\?/);
  const inNameOf = (by: string) => ({
    ...{ id: newId(), batch: null, kind: 'ambient', at: null, by },
    data: { value: 11, unit: 'C' },
  });
  const early = inNameOf('Redpoll');
  const cookie = await cookiesOf(page);
  expect(await sendEntry(app, cookie, early)).toMatchObject({
    ...{ ok: false, again: true, problems: [{ path: 'by' }] },
  });
  await press(page, 'Redpoll');
  await waitText(page, 'main', /Redpoll, type your PIN/);
  expect(await axe(page)).toEqual([]);
  await fill(page, 'PIN', '0000');
  await press(page, 'Go on');
  await waitText(page, 'main', /This is not the PIN of Redpoll/);
  await fill(page, 'PIN', '4711');
  await press(page, 'Go on');
  await waitText(page, 'main', /No batch yet/);
  // What waited goes now, and so does what is logged after somebody else has taken the phone.
  expect((await sendEntry(app, cookie, early)).ok).toBe(true);
  await open(page, `${app.base}/who`);
  await press(page, 'Mo');
  await waitText(page, 'main', /No batch yet/);
  expect((await sendEntry(app, cookie, inNameOf('Redpoll'))).ok).toBe(true);
  await close();
}, 120_000);

test('two people of one name: refused where it is given, and on a phone nothing goes in the wrong one’s', async () => {
  await join('Wren');
  const asked = (path: string, fields: Record<string, string>, cookie = '') =>
    fetch(`${app.base}${path}`, {
      ...{ method: 'POST', redirect: 'manual' as const, headers: { cookie } },
      body: new URLSearchParams(fields),
    });
  // By the manager who invites, and by whoever comes in under it, in whatever capitals.
  const invited = await asked(
    '/api/people',
    { act: 'invite', name: ' wREN', role: 'crew' },
    app.cookies(),
  );
  expect(invited.headers.get('location')).toMatch(/^\/people\?.*problem=name-taken$/);
  const again = await app.fetch(invited.headers.get('location') ?? '');
  expect(await again.text()).toMatch(/this name already[\s\S]*value=" wREN"/);
  const token = await makeInvitation(app, site.id, 'crew', 'Wren');
  const { page, close } = await app.page(PHONE, '');
  await open(page, `${app.base}/join/${token}`);
  await fill(page, 'User name', 'wren2');
  await fill(page, 'Password', PASSWORD);
  await press(page, 'Create account');
  await waitText(page, 'main', /this name already\. Add an initial/);
  expect(await axe(page)).toEqual([]);
  await fill(page, 'Your name', 'Wren B');
  await fill(page, 'Password', PASSWORD);
  await press(page, 'Create account');
  await waitText(page, 'main', /No batch yet/);
  await close();

  // From before that was asked: the phone cannot tell them apart, so it keeps what it has.
  await app.database.admin
    .updateTable('user')
    .set({ name: 'Wren' })
    .where('username', '=', 'wren2')
    .execute();
  const phone = await asked('/api/join', {
    token: await makeInvitation(app, site.id, null, 'Shed phone'),
  });
  const cookie = phone.headers.getSetCookie()[0]?.split(';')[0] ?? '';
  const entry = { id: newId(), batch: null, kind: 'ambient', at: null, by: 'Wren' };
  const data = { value: 11, unit: 'C' };
  expect(await sendEntry(app, cookie, { ...entry, data })).toMatchObject({
    ...{ ok: false, again: true, problems: [{ path: 'by' }] },
  });
  await app.database.admin
    .updateTable('user')
    .set({ name: 'Wren B' })
    .where('username', '=', 'wren2')
    .execute();
  expect((await sendEntry(app, cookie, { ...entry, data })).ok).toBe(true);
}, 120_000);

test('a PIN is not found by trying: after ten tries the phone waits, even for the right one', async () => {
  const person = await idOf('Redpoll');
  const phone = await makeInvitation(app, site.id, null, 'Gate phone');
  const connected = await fetch(`${app.base}/api/join`, {
    ...{ method: 'POST', redirect: 'manual' as const },
    body: new URLSearchParams({ token: phone }),
  });
  const cookie = connected.headers.getSetCookie()[0]?.split(';')[0] ?? '';
  const choose = async (pin: string) =>
    (
      await fetch(`${app.base}/api/who`, {
        ...{ method: 'POST', redirect: 'manual' as const, headers: { cookie } },
        body: new URLSearchParams({ person, pin }),
      })
    ).headers.get('location');
  for (let i = 0; i < 10; i += 1) expect(await choose(`100${i}`)).toMatch(/problem=pin/);
  expect(await choose('4711')).toMatch(/problem=pin/);
}, 60_000);

test('whether entries of trainees count at once is laid down by a manager, stands in the log, and holds from then on', async () => {
  const cookie = await joinBy(
    app.base,
    await makeInvitation(app, site.id, 'trainee', 'Serin'),
    'Serin',
  );
  const log = async (): Promise<unknown> => {
    const entry = {
      ...{ id: newId(), batch: null, kind: 'ambient', at: null, by: 'Serin' },
      data: { value: 9, unit: 'C' },
    };
    expect((await sendEntry(app, cookie, entry)).ok).toBe(true);
    const [held] = await logRepo(app.database.app).ofIds([entry.id as never]);
    return (held?.data as { enteredBy?: { countsAtOnce?: unknown } }).enteredBy?.countsAtOnce;
  };
  expect(await log()).toBeUndefined();
  const { page, close } = await app.page();
  await open(page, `${app.base}/people`);
  await press(page, 'They count at once');
  await press(page, 'Save this');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[value=at-once]')?.defaultChecked === true,
  );
  expect(await log()).toBe(true);
  await open(page, `${app.base}/entries`);
  await waitText(page, 'main', /Entries of trainees count at once/);
  await close();
}, 60_000);

test('a link goes by e-mail too, where somebody has one; the address is kept nowhere', async () => {
  const manager = await app.page();
  await open(manager.page, `${app.base}/people`);
  await fill(manager.page, 'Name', 'Whin Chat');
  await manager.page.type(
    'section[aria-label="Invite somebody"] input[type=email]',
    'whin@farm.example',
  );
  await press(manager.page, 'Make a link');
  await waitText(manager.page, '[data-testid=made-link]', /It was also sent by e-mail/);
  await manager.close();
  const [name = ''] = fs.readdirSync(mailbox);
  const mail = fs.readFileSync(path.join(mailbox, name), 'utf8').replace(/=\r\n/g, '');
  expect(mail).toMatch(/^To: whin@farm\.example\r$/m);
  const link = /http\S+\/join\/\S+/.exec(mail)?.[0] ?? '';
  const { page, close } = await app.page(PHONE, '');
  await open(page, link);
  await waitText(page, 'main', /Join Hopyard Corner/);
  await close();
  const { rows } = await sql<{ n: string }>`
    select count(*) as n from invitation i where i::text like '%whin@farm%'`.execute(
    app.database.admin,
  );
  expect(rows[0]?.n).toBe('0');
}, 60_000);

test('a passkey: added with the password, signs in without it, is bound to this name, and is removed', async () => {
  await join('Wagtail');
  // A browser has passkeys for names, not for numbers.
  const base = app.base.replace('127.0.0.1', 'localhost');
  const { page, close } = await app.page(undefined, '');
  const device = await page.createCDPSession();
  await device.send('WebAuthn.enable');
  await device.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      ...{ protocol: 'ctap2', transport: 'internal', hasResidentKey: true },
      ...{ hasUserVerification: true, isUserVerified: true, automaticPresenceSimulation: true },
    },
  });
  await signIn(page, 'wagtail', base);
  await waitText(page, 'main', /No batch yet/);
  await open(page, `${base}/account`);
  const passkeys = 'section[aria-label=Passkeys]';
  await page.waitForSelector(`${passkeys} input[name=current]`);
  await fill(page, 'What to call it', 'Blue laptop');
  await page.type(`${passkeys} input[name=current]`, 'not the password');
  await press(page, 'Add a passkey');
  await waitText(page, passkeys, /The current password is wrong/);
  await page.$eval(`${passkeys} input[name=current]`, (el) => (el.value = ''));
  await page.type(`${passkeys} input[name=current]`, PASSWORD);
  await press(page, 'Add a passkey');
  await waitText(page, 'main', /The passkey is added[\s\S]*Blue laptop/);
  expect(await axe(page)).toEqual([]);
  await press(page, 'Sign out everywhere else');
  await waitText(page, 'main', /everywhere but here/);
  expect(await signIns(page)).toBe(1);
  await press(page, 'Sign out');
  await waitText(page, 'main', /Forgot it\?/);
  await press(page, 'Sign in with a passkey');
  await waitText(page, 'main', /No batch yet/);
  // What was asked once cannot be answered again, nor by somebody who made it up.
  const forged = await fetch(`${base}/api/sign-in/passkey`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ step: 'bring', response: { id: 'x' } }),
  });
  expect(await forged.json()).toMatchObject({ ok: false });
  expect(forged.headers.getSetCookie()).toEqual([]);
  await open(page, `${base}/account`);
  await press(page, 'Remove');
  await waitText(page, 'main', /The passkey is removed/);
  await press(page, 'Sign out');
  await waitText(page, 'main', /Forgot it\?/);
  await press(page, 'Sign in with a passkey');
  await waitText(page, 'main', /This passkey is not known here any more/);
  await close();
}, 120_000);
