import type { AsyncLocalStorage } from 'node:async_hooks';
import { sql } from 'kysely';
import { entryId } from '../support/ids';
import { askFor, freshDatabase } from '../support/database';
import { MS } from '@/core/quantity/instant';
import type { NewEntry } from '@/core/log/entry';
import { batchIdOf } from '@/core/log/ids';
import { batchId } from '../support/ids';
import { connect } from '@/db/client';
import { auditRepo } from '@/db/repositories/audit';
import { deviceRepo } from '@/db/repositories/devices';
import { pinRepo } from '@/db/repositories/pins';
import { timeStampRepo } from '@/db/repositories/time-stamps';
import { invitationRepo } from '@/db/repositories/invitations';
import { logRepo } from '@/db/repositories/log';
import { memberRepo } from '@/db/repositories/members';
import { photoRepo } from '@/db/repositories/photos';
import type { BatchId } from '@/core/log/ids';
import { siteRepo, type Site } from '@/db/repositories/site';
import { siteCodes } from '@/db/site-codes';
import { readBatchState } from '@/db/repositories/states';
import { writeEntries } from '@/db/write';
import { inSite, currentSiteId } from '@/platform/current-request';
import { sha256 } from '@/platform/hash';
import { newId } from '@/platform/ids';
import { actAs, memberAccess } from '../support/access';
import { closePools, pointPoolsAt } from '../support/pools';

/** Two sites of one installation, held apart by the database and not by what a query asks for. */
let t: Awaited<ReturnType<typeof freshDatabase>>;
const NOW = Date.UTC(2026, 9, 25, 12);
const sites: Site[] = [];
const heaps: string[] = [];

async function siteNamed(name: string): Promise<Site> {
  const site: Site = { id: newId(), name, timeZone: 'Europe/London', unit: 'C', demoUntil: null };
  askFor(t.app, site.id);
  await siteRepo(t.app).create(site);
  const id = newId();
  const opened = {
    ...{ id: entryId(id), batch: batchId(id), at: NOW - MS.day, by: 'Mo', kind: 'opened' },
    data: {
      code: 'A',
      method: 'turned',
      points: [{ id: 'P1' }],
      policy: {},
      rules: [],
      ownRules: [],
    },
  } as unknown as NewEntry;
  await writeEntries(t.app, site, [opened], NOW);
  heaps.push(batchIdOf(opened));
  await photoRepo(t.app).put(
    site.id,
    {
      sha256: 'a'.repeat(64),
      bytes: Buffer.from(name),
      small: Buffer.from('s'),
      width: 1,
      height: 1,
    },
    NOW,
  );
  const person = `person-${name}`;
  await memberRepo(t.admin).createDemoPerson(person, name);
  await memberRepo(t.app).setMember({ site: site.id, person, role: 'manager', partner: null }, NOW);
  const device = await deviceRepo(t.app).enrolDevice(
    { site: site.id, name, tokenHash: `d-${name}`, enrolledBy: person },
    NOW,
  );
  await pinRepo(t.app).noteHand({ site: site.id, device, person }, NOW);
  await timeStampRepo(t.app).keep(site.id, {
    ...{ seq: 1, hash: 'h', at: NOW, service: 's', token: Buffer.from('t') },
  });
  await invitationRepo(t.app).invite({
    ...{
      tokenHash: `i-${name}`,
      site: site.id,
      letsIn: 'person',
      role: 'crew',
      name,
      partner: null,
    },
    ...{ madeBy: person, madeAt: NOW, expiresAt: NOW + MS.day },
  });
  await auditRepo(t.app).audit({ event: 'joined', site: site.id, who: person, about: {} }, NOW);
  await sql`insert into chain_check (site, at, faults, entries) values (${site.id}, now(), '[]', 1)`.execute(
    t.app,
  );
  await sql`insert into inspector_visit (link, site, at, ends) values (${newId()}, ${site.id}, now(), '{}')`.execute(
    t.app,
  );
  return site;
}

beforeAll(async () => {
  t = await freshDatabase();
  sites.push(await siteNamed('Hopyard Corner'), await siteNamed('Weir Meadow'));
}, 60_000);
afterAll(() => t.drop(), 30_000);

/** Tables of the accounts and of the doors, which belong to no site; and the list of migrations. */
const OF_NO_SITE = [
  ...['user', 'session', 'account', 'verification', 'twoFactor', 'rate_count'],
  'passkey',
  // Read by functions of the owner alone.
  'site_code',
  ...['kysely_migration', 'kysely_migration_lock'],
];
const tablesOf = async () =>
  (
    await sql<{ name: string; guarded: boolean; policies: number }>`
      select c.relname as name, c.relrowsecurity as guarded,
        (select count(*)::int from pg_policy p where p.polrelid = c.oid) as policies
      from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p')`.execute(
      t.admin,
    )
  ).rows;

test('a policy asks for which site a connection was taken once for a statement, not for each row', async () => {
  const { rows } = await sql<{ qual: string; with_check: string }>`
    select qual, with_check from pg_policies where schemaname = 'public'`.execute(t.admin);
  expect(rows.length).toBeGreaterThan(10);
  for (const text of rows.flatMap((row) => [row.qual, row.with_check]))
    expect(text).toMatch(/\( ?SELECT current_site\(\)/);
  const plan = await sql<Record<string, string>>`explain select * from log_entry`.execute(t.app);
  expect(plan.rows.map((row) => Object.values(row)[0]).join(' ')).toMatch(/InitPlan/);
});

test('every table has a policy, but for those that belong to no site', async () => {
  const bare = (await tablesOf()).filter((x) => !x.guarded || x.policies === 0).map((x) => x.name);
  expect(bare.sort()).toEqual([...OF_NO_SITE].sort());
});

test('the application’s role is held to them: it owns no table, and passes by no policy', async () => {
  const { rows } = await sql<{ bypass: boolean; super: boolean; held: boolean }>`
    select rolbypassrls as bypass, rolsuper as super, row_security_active('log_entry') as held
    from pg_roles where rolname = current_user`.execute(t.app);
  expect(rows).toEqual([{ bypass: false, super: false, held: true }]);
});

test('a connection that names a site without its code sees nothing of it, and the application’s role learns no code', async () => {
  const nobody = connect(t.appUrl, 1);
  for (const said of [sites[1]!.id, `${sites[1]!.id}:`, `${sites[1]!.id}:${'0'.repeat(64)}`]) {
    await sql`select set_config('app.site', ${said}, false)`.execute(nobody);
    expect(await nobody.selectFrom('log_entry').select('id').execute()).toEqual([]);
  }
  for (const tried of [sql`select code_of_site(${sites[1]!.id})`, sql`select * from site_code`])
    await expect(tried.execute(nobody)).rejects.toThrow(/permission denied/);
  await sql`select set_config('app.site', ${`${sites[1]!.id}:${await siteCodes(t.admin)(sites[1]!.id)}`}, false)`.execute(
    nobody,
  );
  expect(await nobody.selectFrom('log_entry').select('id').execute()).not.toEqual([]);
  await nobody.destroy();
});

test('accounts and sessions are for a role of their own, which sees nothing that was logged', async () => {
  const [app, accounts] = [connect(t.appUrl, 1), connect(t.accountsUrl, 1)];
  for (const table of ['session', 'account', 'verification', 'twoFactor', 'passkey']) {
    await expect(sql`select * from ${sql.table(table)}`.execute(app)).rejects.toThrow(
      /permission denied/,
    );
    expect((await sql`select * from ${sql.table(table)}`.execute(accounts)).rows).toEqual([]);
  }
  await expect(sql`select email from "user"`.execute(app)).rejects.toThrow(/permission denied/);
  await expect(sql`update "user" set name = 'Mo'`.execute(app)).rejects.toThrow(
    /permission denied/,
  );
  for (const { name, guarded } of await tablesOf())
    if (guarded)
      await expect(sql`select * from ${sql.table(name)}`.execute(accounts)).rejects.toThrow(
        /permission denied/,
      );
  await Promise.all([app.destroy(), accounts.destroy()]);
});

test('a query without its where sees nothing of another site, in any table', async () => {
  const guarded = (await tablesOf()).filter((x) => x.guarded).map((x) => x.name);
  expect(guarded.length).toBeGreaterThan(9);
  for (const site of sites) {
    askFor(t.app, site.id);
    for (const table of guarded) {
      const { rows } = await sql<
        Record<string, unknown>
      >`select * from ${sql.table(table)}`.execute(t.app);
      expect([table, rows.length > 0]).toEqual([table, true]);
      const others = rows.filter((r) => (table === 'site' ? r.id : r.site) !== site.id);
      expect([table, others]).toEqual([table, []]);
    }
  }
});

test('for no site, nothing is seen and nothing is written', async () => {
  const nobody = connect(t.appUrl, 1);
  for (const { name, guarded } of await tablesOf())
    if (guarded) {
      const { rows } = await sql`select * from ${sql.table(name)}`.execute(nobody);
      expect([name, rows]).toEqual([name, []]);
    }
  await expect(
    sql`insert into chain_check (site, at, faults, entries) values (${sites[0]!.id}, now(), '[]', 1)`.execute(
      nobody,
    ),
  ).rejects.toThrow(/row-level security/);
  await nobody.destroy();
});

test('what is written for another site is refused; a change of its rows finds none', async () => {
  askFor(t.app, sites[0]!.id);
  const other = sites[1]!.id;
  await expect(
    memberRepo(t.app).setMember(
      { site: other, person: 'person-Hopyard Corner', role: 'manager', partner: null },
      NOW,
    ),
  ).rejects.toThrow(/row-level security/);
  const changed = await sql`update device set name = 'mine' where site = ${other}`.execute(t.app);
  expect(changed.numAffectedRows).toBe(0n);
  expect(await logRepo(t.app).ofBatch(batchId(heaps[1]!))).toEqual([]);
  expect(await readBatchState(t.app, batchId(heaps[1]!))).toBeNull();
  expect(await readBatchState(t.app, batchId(heaps[0]!))).not.toBeNull();
  expect((await photoRepo(t.app).get('a'.repeat(64)))?.toString()).toBe('Hopyard Corner');
});

test('what is known before a site is known is one thing at a time', async () => {
  const nobody = connect(t.appUrl, 1);
  expect(await siteRepo(nobody).ids()).toEqual(sites.map((s) => s.id).sort());
  expect(await memberRepo(nobody).memberships('person-Weir Meadow')).toEqual([
    { site: sites[1]!.id, role: 'manager', partner: null },
  ]);
  expect(await memberRepo(nobody).memberships('nobody')).toEqual([]);
  expect(await deviceRepo(nobody).siteOfToken('d-Weir Meadow')).toBe(sites[1]!.id);
  expect(await invitationRepo(nobody).siteOfToken('i-Hopyard Corner')).toBe(sites[0]!.id);
  expect(await invitationRepo(nobody).siteOfToken('none')).toBeNull();
  await nobody.destroy();
});

test('one pool serves requests of both sites side by side, each its own', async () => {
  const pool = connect(t.appUrl, 3, { siteOf: currentSiteId, codeOf: siteCodes(t.admin) });
  const seen = await Promise.all(
    Array.from({ length: 60 }, (_, i) =>
      inSite(sites[i % 2]!.id, async () => {
        await new Promise((r) => {
          setTimeout(r, i % 7);
        });
        const first = (await siteRepo(pool).all()).length;
        const rows = await pool.selectFrom('log_entry').select('site').execute();
        const within = await pool
          .transaction()
          .execute((trx) => trx.selectFrom('log_entry').select('site').execute());
        return [first, ...new Set([...rows, ...within].map((r) => r.site))];
      }),
    ),
  );
  expect(seen).toEqual(Array.from({ length: 60 }, (_, i) => [2, sites[i % 2]!.id]));
  // Outside of any request the same connections see nothing.
  expect(await pool.selectFrom('log_entry').select('site').execute()).toEqual([]);
  await pool.destroy();
}, 30_000);

describe('behind the guard of addresses', () => {
  beforeAll(() => {
    pointPoolsAt(t);
  });
  afterAll(() => closePools());

  test('what an address says of a site stays, whoever asks: their own site is looked up beside it', async () => {
    const { currentAccess, publicSite } = await import('@/db/context');
    const [one, other] = [sites[0]!, sites[1]!];
    askFor(t.app, other.id);
    const device = { site: other.id, name: 'Barn', tokenHash: sha256('a-key'), enrolledBy: 'x' };
    await deviceRepo(t.app).enrolDevice(device, NOW);
    const request = {
      ...{ address: '', host: '', cookie: 'zh_device=a-key', site: '' },
      known: new Map<string, unknown>(),
    };
    const STORE = Symbol.for('zealous-heap.current-request');
    const all = globalThis as unknown as { [STORE]: AsyncLocalStorage<typeof request> };
    await all[STORE].run(request, async () => {
      expect((await publicSite(() => Promise.resolve(one.id)))?.name).toBe('Hopyard Corner');
      expect((await currentAccess()).site?.name).toBe('Weir Meadow');
      expect(currentSiteId()).toBe(one.id);
    });
  });

  test('no link is made over another site’s batch', async () => {
    const { ingestEntry } = await import('@/entry/server/ingest-entry');
    actAs(memberAccess(sites[0]!, 'manager'));
    const link = (batches: readonly string[]) => ({
      ...{ id: newId(), batch: null, kind: 'inspection' as const, at: null, by: 'Mo' },
      data: { batches, until: NOW + 86_400_000, tokenHash: 'c'.repeat(64) },
    });
    expect(await ingestEntry(link([heaps[0]!, heaps[1]!]))).toMatchObject({
      ...{ ok: false, problems: [{ path: 'data.batches' }] },
    });
    expect(await ingestEntry(link([heaps[0]!]))).toMatchObject({ ok: true });
  });

  test('a question is refused by what it asks for, behind the guard of addresses', async () => {
    const { listBatches } = await import('@/features/frame/server/list-batches');
    const { listKnownReadings } = await import('@/features/bring/server/known-readings');
    const { theSite } = await import('@/db/context');
    const attempts = async () =>
      (
        await Promise.allSettled([
          listBatches(),
          listKnownReadings({
            ...{ batch: heaps[0]! as BatchId },
            ...{ from: '2026-01-01T00:00:00Z', to: '2026-12-31T00:00:00Z' },
          }),
        ])
      ).map((a) => a.status);
    actAs(memberAccess(sites[0]!, 'partner'));
    expect(await attempts()).toEqual(['rejected', 'rejected']);
    expect([await theSite(), (await theSite('see-own-share'))?.id]).toEqual([null, sites[0]!.id]);
    actAs(memberAccess(sites[0]!, 'crew'));
    expect(await attempts()).toEqual(['fulfilled', 'rejected']);
    expect(await theSite('manage-people')).toBeNull();
    actAs(memberAccess(sites[0]!, 'recorder'));
    expect(await attempts()).toEqual(['fulfilled', 'fulfilled']);
  });
});
