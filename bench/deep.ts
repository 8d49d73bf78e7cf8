import '../src/messages/all';
import { performance } from 'node:perf_hooks';
import { Kysely, PostgresDialect, sql } from 'kysely';
import pg from 'pg';
import type { NewEntry } from '@/core/log/entry';
import { connect } from '@/db/client';
import { migrate } from '@/db/migrate';
import { siteRepo, type Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { batchId, entryId } from '../tests/support/ids';

/** One more round on a batch of many readings (BENCH_READINGS, six points each minute), through the one door for what a person logs. */
const [READINGS, POINTS, MINUTE] = [Number(process.env.BENCH_READINGS ?? 5000), 6, 60_000];
const ROUNDS = Math.round(READINGS / POINTS);
const admin = process.env.BENCH_ADMIN_URL!;
const name = `bench_${Date.now()}`;
const root = new Kysely<unknown>({
  dialect: new PostgresDialect({ pool: new pg.Pool({ connectionString: admin, max: 1 }) }),
});
await sql`create database ${sql.id(name)}`.execute(root);
const url = admin.replace(/\/[^/]*$/, `/${name}`);
process.env.DATABASE_URL = url;
const db = connect(url);
await migrate(db);
const site: Site = {
  id: newId(),
  name: 'Bench',
  timeZone: 'Europe/London',
  unit: 'C',
  demoUntil: null,
};
await siteRepo(db).create(site);
const { ingestEntry } = await import('@/entry/server/ingest-entry');

const heap = newId();
const start = Date.now() - (ROUNDS + 30) * MINUTE;
const points = Array.from({ length: POINTS }, (_, i) => ({ id: `P${i + 1}` }));
const readingsAt = (round: string, at: number) =>
  points.map(({ id }, i) => ({
    id: `${round}.${id}`,
    at: new Date(at + i * 500).toISOString(),
    point: id,
    value: 58 + 5 * Math.sin((at - start) / MINUTE / 700) + i * 0.3,
    unit: 'C' as const,
    round,
  }));
const entries: NewEntry[] = [
  {
    id: entryId(heap),
    batch: batchId(heap),
    at: start,
    by: 'Mo',
    kind: 'opened',
    data: {
      code: 'D',
      method: 'turned',
      points,
      policy: {},
      rules: ['us-503-pfrp-turned', 'us-produce-turned', 'practice-weed-seed-week'],
      ownRules: [],
    },
  },
  { id: entryId(newId()), batch: batchId(heap), at: start, by: 'Mo', kind: 'built', data: {} },
  ...Array.from({ length: ROUNDS }, (_, r): NewEntry => {
    const [id, at] = [newId(), start + (r + 1) * MINUTE];
    return {
      id: entryId(id),
      batch: batchId(heap),
      at,
      by: 'Mo',
      kind: 'round',
      data: { source: 'device', readings: readingsAt(id, at) } as never,
    };
  }),
];
let t = performance.now();
await writeEntries(db, site, entries, Date.now(), (e) => e.at + 30_000);
console.log(
  `${READINGS} readings written and folded in ${((performance.now() - t) / 1000).toFixed(1)} s`,
);
entries.length = 0;

const times: number[] = [];
for (let i = 0; i < 20; i += 1) {
  const [id, at] = [newId(), Date.now()];
  t = performance.now();
  const result = await ingestEntry({
    id,
    batch: heap,
    kind: 'round',
    at: null,
    by: 'Mo',
    data: {
      source: 'hand',
      readings: readingsAt(id, at).map((r) => ({ ...r, at: new Date(at).toISOString() })),
    },
  });
  times.push(performance.now() - t);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  if (i === 0) console.log(`the first after a start: ${times[0]!.toFixed(0)} ms`);
  await new Promise((done) => {
    setTimeout(done, 30);
  });
}
const later = times.slice(1).sort((a, b) => a - b);
console.log(
  JSON.stringify({
    readings: READINGS,
    oneMoreRound: { medianMs: Math.round(later[9]!), p95Ms: Math.round(later[18]!) },
  }),
);
await db.destroy();
await (globalThis as unknown as { zealousDb?: { destroy(): Promise<void> } }).zealousDb?.destroy();
if (process.env.BENCH_KEEP) console.log(`kept as ${name}`);
else await sql`drop database ${sql.id(name)} with (force)`.execute(root);
await root.destroy();
