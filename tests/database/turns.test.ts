import { sql } from 'kysely';
import { connect, type Db } from '@/db/client';
import { siteRepo } from '@/db/repositories/site';
import { inTurn } from '@/db/turns';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';

/** Turns at the logs of two sites: who waits, with what, and what others can do meanwhile. */
let t: Awaited<ReturnType<typeof freshDatabase>>;
let writer: Db;
const SITE = newId();
const OTHER = newId();
beforeAll(async () => {
  t = await freshDatabase();
  await aSite(t.app);
  writer = connect(t.appUrl, 4);
});
afterAll(async () => {
  await writer.destroy();
  await t.drop();
});

const sleep = (ms: number): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, ms);
  });
/** Another process that has the turn of a site, until it is told to give it back. */
async function hold(site: string): Promise<() => Promise<void>> {
  const away = connect(t.appUrl, 1);
  let give = (): void => undefined;
  const until = new Promise<void>((done) => {
    give = done;
  });
  let taken = (): void => undefined;
  const isTaken = new Promise<void>((done) => {
    taken = done;
  });
  // A process of its own has a line of its own: this asks PostgreSQL alone.
  const held = away.transaction().execute(async (trx) => {
    await sql`select pg_advisory_xact_lock(hashtextextended(${site}, 0))`.execute(trx);
    taken();
    await until;
  });
  await isTaken;
  return async () => {
    give();
    await held;
    await away.destroy();
  };
}
/** Connections that wait for a lock now. */
const waiting = async (): Promise<number> => {
  const { rows } = await sql<{ n: string }>`
    select count(*) as n from pg_locks where locktype = 'advisory' and not granted`.execute(
    t.admin,
  );
  return Number(rows[0]!.n);
};

test('work of one site is done one after the other, in the order in which it came', async () => {
  const seen: string[] = [];
  const work = (name: string) => async (): Promise<void> => {
    seen.push(`${name} begins`);
    await sleep(5);
    seen.push(`${name} ends`);
  };
  await Promise.all(['a', 'b', 'c'].map((name) => inTurn(writer, SITE, work(name))));
  expect(seen).toEqual(['a', 'b', 'c'].flatMap((n) => [`${n} begins`, `${n} ends`]));
});

test('work that fails gives the turn on, and what it wrote is gone', async () => {
  const failed = inTurn(writer, SITE, () => Promise.reject(new Error('no room')));
  const next = inTurn(writer, SITE, () => Promise.resolve('done'));
  await expect(failed).rejects.toThrow('no room');
  expect(await next).toBe('done');
});

test('of twenty who wait for one site, one waits at the database; another site goes on meanwhile', async () => {
  const give = await hold(SITE);
  const entries = Array.from({ length: 20 }, (_, i) =>
    inTurn(writer, SITE, () => Promise.resolve(i)),
  );
  await sleep(300);
  expect(await waiting()).toBe(1);
  const start = Date.now();
  expect(await inTurn(writer, OTHER, () => Promise.resolve('other'))).toBe('other');
  expect(await siteRepo(t.app).ids()).toHaveLength(1);
  expect(Date.now() - start).toBeLessThan(300);
  await give();
  expect(await Promise.all(entries)).toEqual(Array.from({ length: 20 }, (_, i) => i));
}, 20_000);

test('many busy sites hold half of the pool at most, and whoever waits for long stays first in line', async () => {
  const busy = Array.from({ length: 5 }, () => newId());
  const gives = await Promise.all(busy.map(hold));
  const seen: number[] = [];
  const all = busy.map((site) => inTurn(writer, site, () => Promise.resolve(site)));
  const second = inTurn(writer, busy[0]!, () => {
    seen.push(2);
    return Promise.resolve();
  });
  await sleep(500);
  expect(await waiting()).toBeLessThanOrEqual(2);
  // A free site is served although five wait.
  expect(await inTurn(writer, OTHER, () => Promise.resolve('free'))).toBe('free');
  // Longer than PostgreSQL is asked at once: the connection is given back and taken again.
  await sleep(2500);
  expect(await waiting()).toBeLessThanOrEqual(2);
  for (const give of gives) await give();
  expect(await Promise.all(all)).toEqual(busy);
  await second;
  expect(seen).toEqual([2]);
}, 30_000);

test('inside a turn nothing asks for another connection, and nobody waits for a second turn', async () => {
  await expect(
    inTurn(writer, SITE, () => sql`select 1`.execute(t.app).then(() => undefined)),
  ).rejects.toThrow(/reads and writes by its own transaction/);
  await expect(
    inTurn(writer, SITE, () => inTurn(writer, OTHER, () => Promise.resolve())),
  ).rejects.toThrow(/waits for none/);
});
