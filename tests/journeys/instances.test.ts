import { spawn, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { logRepo } from '@/db/repositories/log';
import { newId } from '@/platform/ids';
import { fillSite } from '../support/large-site';
import { answersAt, freePort, sleep, startSite, type App } from '../support/app';

/** Two servers of one database are one: what one takes the other knows, and what one counts the other counts on. */
const ROOT = path.resolve(__dirname, '../..');
let app: App;
let second: ChildProcess;
let bases: readonly string[] = [];
let batch = '';
let siteId = '';

beforeAll(async () => {
  const started = await startSite();
  ({ app } = started);
  siteId = started.site.id;
  [batch = ''] = await fillSite(app.database.app, started.site, {
    ...{ batches: 1, rounds: 2, now: Date.now() },
  });
  const port = await freePort();
  second = spawn(process.execPath, ['.next/standalone/server.js'], {
    cwd: ROOT,
    stdio: 'ignore',
    env: { ...process.env, ...app.serverEnv(), PORT: String(port) },
  });
  bases = [app.base, `http://127.0.0.1:${port}`];
  await answersAt(bases[1] ?? '');
}, 120_000);
afterAll(async () => {
  second.kill('SIGKILL');
  await app.stop();
});

const send = (
  base: string,
  entries: readonly object[],
): Promise<{ ok: boolean; already?: boolean }[]> =>
  fetch(`${base}/api/log`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie: app.cookies() },
    body: JSON.stringify({ sentAt: Date.now(), entries }),
  })
    .then((r) => r.json())
    .then((answer) => (answer as { answers: { ok: boolean; already?: boolean }[] }).answers);
const noteOf = (words: string) => ({
  ...{ id: newId(), batch, kind: 'note', at: null, by: 'Mo', data: { words } },
});
const at = (n: number): string => bases[n % 2] ?? '';

/** Sends an entry until it is taken, as a phone does that is told to come again. */
async function deliver(note: object, n: number): Promise<{ ok: boolean; already?: boolean }> {
  for (let tries = 0; tries < 50; tries += 1) {
    const [answer] = await send(at(n), [note]).catch(() => []);
    if (answer?.ok) return answer;
    await sleep(200 + 50 * tries);
  }
  throw new Error('an entry was not taken in fifty tries');
}

test('a session made by one is good at the other, and ends at both', async () => {
  for (const base of bases)
    expect((await fetch(base, { headers: { cookie: app.cookies() } })).status).toBe(200);
  const own = await fetch(`${at(0)}/api/sign-in`, {
    ...{ method: 'POST', redirect: 'manual' as const },
    body: new URLSearchParams({ username: 'mo', password: 'many warm heaps' }),
  });
  const cookie = own.headers.getSetCookie()[0]?.split(';')[0] ?? '';
  const inside = (base: string) => fetch(base, { headers: { cookie }, redirect: 'manual' });
  expect((await inside(at(1))).status).toBe(200);
  await fetch(`${at(1)}/api/sign-out`, { method: 'POST', headers: { cookie }, redirect: 'manual' });
  expect((await inside(at(0))).headers.get('location')).toBe('/sign-in');
}, 60_000);

test('two hundred entries sent to both at once: each is there once, in one chain', async () => {
  const notes = Array.from({ length: 200 }, (_, i) => noteOf(`note ${i}`));
  // Each goes to both, as from a phone that lost the answer of the first.
  const answers = [];
  // Twenty phones at a time.
  for (let i = 0; i < notes.length; i += 20)
    answers.push(
      ...(await Promise.all(
        notes.slice(i, i + 20).flatMap((note, n) => [deliver(note, n), deliver(note, n + 1)]),
      )),
    );
  expect(answers.filter((a) => a.already === false)).toHaveLength(200);
  expect(answers.filter((a) => a.already === true)).toHaveLength(200);
  const held = await logRepo(app.database.app).ofIds(notes.map((n) => n.id as never));
  expect(held).toHaveLength(200);
  const { chainRepo } = await import('@/db/repositories/chain');
  expect(
    (await chainRepo(app.database.app).checkChain(siteId)).faults.map((f) => f.code),
  ).not.toContain('CHANGED');
}, 120_000);

test('what one logs the other shows at once', async () => {
  for (const n of [0, 1]) {
    const words = `seen by the other ${newId()}`;
    await deliver(noteOf(words), n);
    const page = await fetch(`${at(n + 1)}/batch/${batch}`, { headers: { cookie: app.cookies() } });
    expect(await page.text()).toContain(words);
  }
}, 60_000);

test('uses of a door are counted for both together', async () => {
  if (Date.now() % 60_000 > 50_000) await sleep(60_000 - (Date.now() % 60_000) + 100);
  const guess = (n: number) =>
    fetch(`${at(n)}/api/sign-in`, {
      ...{ method: 'POST', redirect: 'manual' as const },
      headers: { 'x-forwarded-for': '203.0.113.88' },
      body: new URLSearchParams({ username: 'nobody', password: 'guess' }),
    });
  const statuses = [];
  for (let n = 0; n < 11; n += 1) statuses.push((await guess(n)).status);
  expect(statuses.filter((s) => s === 303)).toHaveLength(10);
  expect(statuses.at(-1)).toBe(429);
}, 120_000);
