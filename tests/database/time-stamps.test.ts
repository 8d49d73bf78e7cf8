import { sql } from 'kysely';
import type { Site } from '@/db/repositories/site';
import { timeStampRepo } from '@/db/repositories/time-stamps';
import { differingStamps, stampLogEnd } from '@/db/stamp-log';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';
import { entryId } from '../support/ids';
import { startTimeStampService, type TimeStampService } from '../support/time-stamp-service';

/** The end of the log, vouched for by a service of RFC 3161 (OpenSSL's own stands in). */
let t: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let service: TimeStampService;

beforeAll(async () => {
  service = await startTimeStampService();
  process.env.ZEALOUS_TIMESTAMPS = service.url;
}, 30_000);
afterAll(() => {
  delete process.env.ZEALOUS_TIMESTAMPS;
  service.close();
});
beforeEach(async () => {
  t = await freshDatabase();
  site = await aSite(t.app);
  await logAir(5);
}, 60_000);
afterEach(() => t.drop());

const logAir = (value: number): Promise<unknown> =>
  writeEntries(
    t.app,
    site,
    [
      {
        ...{ id: entryId(newId()), batch: null, at: Date.now(), by: 'Mo', kind: 'ambient' },
        data: { value, unit: 'C' },
      },
    ],
    Date.now(),
  );

test('an end is vouched for once; a log that has grown is vouched for again, and all of it is borne out', async () => {
  expect(await stampLogEnd(t.app, site.id)).toBe(true);
  expect(await stampLogEnd(t.app, site.id)).toBe(false);
  await logAir(6);
  expect(await stampLogEnd(t.app, site.id)).toBe(true);
  const stamps = await timeStampRepo(t.app).all(site.id);
  expect(stamps.map((s) => [s.service, s.token.length > 100])).toEqual([
    [service.url, true],
    [service.url, true],
  ]);
  expect(await differingStamps(t.app, site.id)).toEqual([]);
});

test('a log whose hashes were all made anew is not what was stamped, and neither is one that was cut', async () => {
  await stampLogEnd(t.app, site.id);
  const [stamp] = await timeStampRepo(t.app).all(site.id);
  await sql`alter table log_entry disable trigger all`.execute(t.admin);
  await sql`update log_entry set hash = ${'0'.repeat(64)} where seq = ${stamp?.seq}`.execute(
    t.admin,
  );
  expect((await differingStamps(t.app, site.id)).map((s) => s.seq)).toEqual([stamp?.seq]);
  await sql`delete from log_entry`.execute(t.admin);
  expect((await differingStamps(t.app, site.id)).map((s) => s.seq)).toEqual([stamp?.seq]);
});

test('a stamp cannot be changed by the application’s role, nor its hash made to fit another entry', async () => {
  await stampLogEnd(t.app, site.id);
  await expect(sql`update time_stamp set hash = 'x'`.execute(t.app)).rejects.toThrow(
    /permission denied/,
  );
  // Whoever owns the table may; then the token itself says something else.
  await logAir(7);
  await sql`update time_stamp set seq = seq + 1, hash = (select hash from log_entry where seq = time_stamp.seq + 1)`.execute(
    t.admin,
  );
  expect(await differingStamps(t.app, site.id)).toHaveLength(1);
});

test('with no service named none is asked; one that is away is told, and nothing is kept', async () => {
  delete process.env.ZEALOUS_TIMESTAMPS;
  expect(await stampLogEnd(t.app, site.id)).toBe(false);
  process.env.ZEALOUS_TIMESTAMPS = service.url;
  service.answers = 'error';
  await expect(stampLogEnd(t.app, site.id)).rejects.toThrow(/answered 500/);
  service.answers = 'truth';
  expect(await timeStampRepo(t.app).all(site.id)).toEqual([]);
});
