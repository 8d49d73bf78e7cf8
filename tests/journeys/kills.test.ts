import { sql } from 'kysely';
import { chainRepo } from '@/db/repositories/chain';
import { newId } from '@/platform/ids';
import { stamped, type OutboxItem } from '@/outbox/item';
import { drain, type DeviceClock, type OutboxStore, type ServerPort } from '@/outbox/send';
import { sleep } from '../support/app';
import { startDurableApp, type DurableApp } from '../support/durable-app';
import { randomOf } from '../../demo/heat';

/**
 * What was acknowledged is there, once, whatever dies on the way. `KILL_TRIALS=1000 DATABASE_KILL_TRIALS=200 LOSS_TRIALS=1000
 * ./zealous test tests/journeys/kills.test.ts` runs the full numbers; a few run with every test.
 */
const [KILLS, DATABASE_KILLS, LOSSES] = [
  Number(process.env.KILL_TRIALS ?? 5),
  Number(process.env.DATABASE_KILL_TRIALS ?? 3),
  Number(process.env.LOSS_TRIALS ?? 100),
];
const SEED = Number(process.env.KILL_SEED ?? 20_261_129);
const random = randomOf(SEED);
const between = (low: number, high: number): number => low + Math.floor(random() * (high - low));

let app: DurableApp;
beforeAll(async () => {
  app = await startDurableApp();
}, 120_000);
afterAll(() => app?.stop(), 60_000);

type Form = Parameters<ServerPort['log']>[1][number];
const noteOf = (): Form => ({
  ...{ id: newId(), batch: null, kind: 'ambient', at: null, by: 'Mo' },
  data: { value: between(-5, 30), unit: 'C' },
});

/** Each minute comes from another address, so that what holds back a flood does not hold back the trial. */
const addressNow = (): string => `203.0.113.${Math.floor(Date.now() / 60_000) % 250}`;
async function post(entries: readonly Form[], sentAt = Date.now()) {
  const answer = await fetch(`${app.base}/api/log`, {
    method: 'POST',
    headers: {
      ...{ 'content-type': 'application/json', cookie: app.cookie },
      'x-forwarded-for': addressNow(),
    },
    body: JSON.stringify({ sentAt, entries }),
    signal: AbortSignal.timeout(10_000),
  });
  if (!answer.ok) throw new Error(`answered ${answer.status}`);
  return (await answer.json()) as Awaited<ReturnType<ServerPort['log']>>;
}

/** Some who log at once, until they are told to stop. What is not acknowledged is sent again under its id. */
function startWriters(count: number) {
  const acknowledged = new Set<string>();
  const sent = new Set<string>();
  let isOver = false;
  const write = async (): Promise<void> => {
    let waiting: Form | null = null;
    while (!isOver || waiting !== null) {
      waiting ??= noteOf();
      sent.add(waiting.id);
      const { id } = waiting;
      const taken = await post([waiting]).then(
        ({ answers }) => answers[0]?.ok === true,
        () => false,
      );
      if (taken) {
        acknowledged.add(id);
        waiting = null;
      } else await sleep(20);
    }
  };
  const all = Promise.all(Array.from({ length: count }, write));
  return {
    acknowledged,
    sent,
    finish: async (): Promise<void> => {
      isOver = true;
      await all;
    },
  };
}

/** How often each of some entries stands in the log. */
async function countOf(ids: ReadonlySet<string>): Promise<Map<number, number>> {
  const { rows } = await sql<{ id: string; n: number }>`
    select id::text as id, count(*)::int as n from log_entry where id::text = any(${[...ids]}) group by id`.execute(
    app.admin,
  );
  const by = new Map(rows.map((r) => [r.id, r.n]));
  const counts = new Map<number, number>();
  for (const id of ids) {
    const n = by.get(id) ?? 0;
    counts.set(n, (counts.get(n) ?? 0) + 1);
  }
  return counts;
}
const chainFaults = async (): Promise<unknown> =>
  (await chainRepo(app.admin).checkChain(app.site.id)).faults;

/** So many entries are taken between two kills at least. */
const STREAM = 12;

/** Kills something again and again while some write, and brings it up again. */
async function killWhileWriting(trials: number, killAndStart: () => Promise<void>): Promise<void> {
  const writers = startWriters(4);
  let before = 0;
  for (let i = 0; i < trials; i += 1) {
    await sleep(between(20, 250));
    await killAndStart();
    // A kill that meets nothing is no trial: the stream runs again before the next one.
    for (let n = 0; n < 800 && writers.acknowledged.size < before + STREAM; n += 1) await sleep(10);
    expect(writers.acknowledged.size).toBeGreaterThanOrEqual(before + STREAM);
    before = writers.acknowledged.size;
  }
  await writers.finish();
  const all = await countOf(writers.sent);
  expect([...all]).toEqual([[1, writers.sent.size]]);
  expect(writers.acknowledged.size).toBe(writers.sent.size);
  expect(await chainFaults()).toEqual([]);
  process.stdout.write(`${trials} kills (seed ${SEED}): ${writers.sent.size} entries, each once\n`);
}

test(
  `${KILLS} kills of the server in a stream of writes: no entry that was acknowledged is lost or doubled`,
  () =>
    killWhileWriting(KILLS, async () => {
      await app.kill();
      await app.start();
    }),
  60_000 + KILLS * 20_000,
);

test(
  `${DATABASE_KILLS} kills of the database: the same, and the server goes on by itself`,
  () =>
    killWhileWriting(DATABASE_KILLS, async () => {
      await app.killDatabase();
      app.startDatabase();
    }),
  60_000 + DATABASE_KILLS * 30_000,
);

/** A phone: what waits on it lies in a store that outlives it, its clock is wrong, and the road loses what it likes. */
function createPhone(state: { lost: number; wanted: number }) {
  const held = new Map<string, OutboxItem>();
  let skewMs = 0;
  let aheadMs = 0;
  let order = 0;
  const box: OutboxStore = {
    waiting: async () =>
      [...held.values()].filter((i) => i.state === 'waiting').sort((a, b) => a.order - b.order),
    put: async (item) => {
      held.set(item.id, structuredClone(item));
    },
    remove: async (id) => {
      held.delete(id);
    },
  };
  const clock: DeviceClock = {
    now: () => Date.now() + skewMs,
    ahead: () => aheadMs,
    learn: async (ms) => {
      aheadMs = ms;
    },
  };
  const server: ServerPort = {
    async log(sentAt, entries) {
      const road = state.lost < state.wanted ? between(0, 3) : 0;
      if (road === 1) {
        state.lost += 1;
        throw new Error('nothing got through');
      }
      const answer = await post(entries, sentAt);
      if (road === 2) {
        state.lost += 1;
        throw new Error('the answer was lost');
      }
      return answer;
    },
    photo: () => Promise.reject(new Error('there is none')),
  };
  return {
    held,
    log(form: Form): void {
      order += 1;
      const item = { id: form.id, order, what: 'Air', state: 'waiting' as const, problems: [] };
      held.set(form.id, { ...item, form: stamped(form, Date.now() + skewMs - aheadMs, aheadMs) });
    },
    /** It is closed and opened again, its clock set to something else in between. */
    reopen(): void {
      skewMs = between(-3, 4) * 3_600_000 + between(-90, 90) * 1000;
    },
    send: () => drain(box, server, clock),
  };
}

test(
  `${LOSSES} losses on the way of phones whose clocks are wrong: each entry arrives, once`,
  async () => {
    const state = { lost: 0, wanted: LOSSES };
    const phones = [createPhone(state), createPhone(state), createPhone(state)];
    const all = new Set<string>();
    while (state.lost < LOSSES) {
      const phone = phones[between(0, phones.length)]!;
      if (random() < 0.4) phone.reopen();
      for (let n = between(0, 4); n > 0; n -= 1) {
        const form = noteOf();
        all.add(form.id);
        phone.log(form);
      }
      await phone.send();
    }
    for (let i = 0; i < 20 && phones.some((p) => p.held.size > 0); i += 1)
      for (const phone of phones) await phone.send();
    expect(phones.map((p) => [...p.held.values()].map((i) => [i.state, i.problems]))).toEqual([
      ...phones.map(() => []),
    ]);
    expect([...(await countOf(all))]).toEqual([[1, all.size]]);
    expect(await chainFaults()).toEqual([]);
    process.stdout.write(`${state.lost} losses (seed ${SEED}): ${all.size} entries, each once\n`);
  },
  60_000 + LOSSES * 1000,
);
