import { sql, type Kysely } from 'kysely';
import { migrate, MIGRATIONS } from '@/db/migrate';
import { logRepo } from '@/db/repositories/log';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';
import { entryId } from '../support/ids';

/** A made-up migration as CONTRIBUTING.md has it: a file with the next number, `up` alone. */
const wind = {
  async up(db: Kysely<unknown>): Promise<void> {
    await sql`create table wind (at timestamptz primary key, kmh real not null)`.execute(db);
  },
};
const WITH_WIND = { ...MIGRATIONS, '9999-wind': wind };

let t: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  t = await freshDatabase();
});
afterAll(() => t.drop());

test('their names are in order, none twice', () => {
  const names = Object.keys(MIGRATIONS);
  expect(names).toEqual([...names].sort());
  expect(names.map((name) => Number(name.slice(0, 4)))).toEqual(names.map((_, i) => i + 1));
});

test('one more leaves the log as it is, runs once, and is there for the next start', async () => {
  const site = await aSite(t.admin);
  const air = {
    id: entryId(newId()),
    batch: null,
    at: Date.now() - 60_000,
    by: 'Mo',
    kind: 'ambient' as const,
    data: { value: 12, unit: 'C' as const },
  };
  await writeEntries(t.app, site, [air], Date.now());
  const before = await logRepo(t.app).ofSite(site.id);
  await migrate(t.admin, WITH_WIND);
  await migrate(t.admin, WITH_WIND);
  const found = await sql<{ n: string }>`select count(*) as n from wind`.execute(t.admin);
  expect(Number(found.rows[0]?.n)).toBe(0);
  expect(await logRepo(t.app).ofSite(site.id)).toEqual(before);
});

test('one that fails says which, and leaves nothing of itself', async () => {
  const broken = {
    async up(db: Kysely<unknown>): Promise<void> {
      await sql`create table half (n int)`.execute(db);
      await sql`create table wind (n int)`.execute(db);
    },
  };
  await expect(migrate(t.admin, { ...WITH_WIND, '9999-z-broken': broken })).rejects.toThrow(
    /^migration 9999-z-broken failed: .*already exists/,
  );
  const half = await sql<{ name: string | null }>`select to_regclass('half') as name`.execute(
    t.admin,
  );
  expect(half.rows[0]?.name).toBeNull();
});
