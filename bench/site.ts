import '../src/messages/all';
import { performance } from 'node:perf_hooks';
import { Kysely, PostgresDialect, sql } from 'kysely';
import pg from 'pg';
import { connect } from '@/db/client';
import { migrate } from '@/db/migrate';
import { memberRepo } from '@/db/repositories/members';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { siteRepo, type Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { batchId, entryId } from '../tests/support/ids';
import { fillSite, roundOfFive } from '../tests/support/large-site';

/** A yard of batches with hourly rounds, 30 of 500 unless told otherwise: how long the board takes, and a log entry, of a batch and of the air, until it is acknowledged. */
const [BATCHES, ROUNDS] = [
  Number(process.env.BENCH_BATCHES ?? 30),
  Number(process.env.BENCH_ROUNDS ?? 500),
];
const admin = process.env.BENCH_ADMIN_URL!;
const name = `bench_${Date.now()}`;
const root = new Kysely<unknown>({
  dialect: new PostgresDialect({ pool: new pg.Pool({ connectionString: admin, max: 1 }) }),
});
await sql`create database ${sql.id(name)}`.execute(root);
const db = connect(admin.replace(/\/[^/]*$/, `/${name}`));
await migrate(db);
const site: Site = {
  id: newId(),
  name: 'Bench',
  timeZone: 'Europe/London',
  unit: 'C',
  demoUntil: null,
};
await siteRepo(db).create(site);
// Whoever measures its pages signs in as the manager.
await memberRepo(db).createDemoPerson('demo-mo', 'Mo');
await memberRepo(db).setMember(
  { site: site.id, person: 'demo-mo', role: 'manager', partner: null },
  Date.now(),
);
const now = Date.now();
const ids = await fillSite(db, site, { batches: BATCHES, rounds: ROUNDS, now });
async function timed(
  n: number,
  work: (i: number) => Promise<unknown>,
): Promise<{ medianMs: number; p95Ms: number }> {
  const times: number[] = [];
  for (let i = 0; i < n; i += 1) {
    const t = performance.now();
    await work(i);
    times.push(performance.now() - t);
  }
  times.sort((a, b) => a - b);
  return { medianMs: +times[n >> 1]!.toFixed(1), p95Ms: +times[Math.floor(n * 0.95)]!.toFixed(1) };
}
const board = await timed(40, () => snapshotRepo(db).board(site, Date.now()));
const allDue = await timed(3, () => snapshotRepo(db).refresh(site, ids.map(batchId), Date.now()));
const entry = await timed(40, (i) =>
  writeEntries(db, site, [roundOfFive(ids[i % BATCHES]!, Date.now(), 58)], Date.now()),
);
const air = await timed(40, (i) =>
  writeEntries(
    db,
    site,
    [
      {
        id: entryId(newId()),
        batch: null,
        at: Date.now(),
        by: 'Mo',
        kind: 'ambient',
        data: { value: 10 + (i % 5), unit: 'C' },
      },
    ],
    Date.now(),
  ),
);
// An entry, and the board after it, which no memory holds.
const entryAndBoard = await timed(10, async (i) => {
  await writeEntries(db, site, [roundOfFive(ids[i % BATCHES]!, Date.now(), 58)], Date.now());
  await snapshotRepo(db).board(site, Date.now());
});
console.log(
  JSON.stringify({
    board,
    boardWhenEveryBatchIsDue: allDue,
    entryAcknowledged: entry,
    airAcknowledged: air,
    entryAndBoardAnew: entryAndBoard,
  }),
);
if (process.env.BENCH_KEEP) console.log(`kept as ${name}`);
await db.destroy();
if (!process.env.BENCH_KEEP) await sql`drop database ${sql.id(name)} with (force)`.execute(root);
await root.destroy();
