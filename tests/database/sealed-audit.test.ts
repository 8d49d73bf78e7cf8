import fs from 'node:fs';
import path from 'node:path';
import { sql } from 'kysely';
import { canonicalJson } from '@/core/log/entry';
import { upgradeMemory } from '@/db/begin-memory';
import { auditFaults, findChangedPlaces } from '@/db/check-audit';
import { checkLogAndKeep } from '@/db/check-log';
import { auditRepo, type AuditEvent } from '@/db/repositories/audit';
import { inspectionRepo } from '@/db/repositories/inspections';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { readAuditEnd } from '@/db/seal-audit';
import { newId } from '@/platform/ids';
import { siteKey } from '@/platform/site-key';
import { layUpHistory, type History } from '../support/history';
import { makeKeyFolder, removeKeyFolder } from '../support/key';

/** Whoever owns the database changes what lies beside the log: who may do what, what happened at the door, visits, what a site speaks. */
let tmp: string;
let kept: History;
const LINK = newId();
const ENDS = { [newId()]: { n: 3, hash: 'aa' } };
beforeEach(async () => {
  tmp = makeKeyFolder();
  kept = await layUpHistory();
  const { app } = kept.d.t;
  for (const [id, name] of [
    ['p-mo', 'Mo'],
    ['p-tad', 'Tad'],
  ] as const)
    await memberRepo(kept.d.t.admin).createDemoPerson(id, name);
  await memberRepo(app).setMember(placeOf('p-mo', 'manager'), 1_000);
  await memberRepo(app).setMember(placeOf('p-tad', 'trainee'), 2_000);
  await write('signed-in', 'p-mo');
  await inspectionRepo(app).keepVisit(kept.site.id, LINK, 3_000, ENDS);
  await write('role-changed', 'p-mo');
  await write('signed-in', 'p-tad');
}, 60_000);
afterEach(async () => {
  await kept.d.close();
  removeKeyFolder(tmp);
});

const placeOf = (person: string, role: 'manager' | 'trainee' | 'crew') => ({
  ...{ site: kept.site.id, person, role, partner: null },
});
const write = (event: AuditEvent['event'], who: string): Promise<void> =>
  auditRepo(kept.d.t.app).audit({ event, site: kept.site.id, who, about: {} }, 4_000);
const codes = async (): Promise<readonly string[]> =>
  (await auditFaults(kept.d.t.app, kept.site.id)).map((f) => f.code);
const asDatabaseOwner = (statement: string): Promise<unknown> =>
  sql.raw(statement).execute(kept.d.t.admin);

test('what is true stays silent: places given, changed and ended, visits, a person of no site', async () => {
  const { app } = kept.d.t;
  await memberRepo(app).setMember(placeOf('p-tad', 'crew'), 5_000);
  await memberRepo(app).endMembership(kept.site.id, 'p-tad', 6_000);
  await inspectionRepo(app).keepVisit(kept.site.id, LINK, 3_000, ENDS);
  await auditRepo(app).audit({ event: 'sign-in-refused', site: null, who: null, about: {} }, 7_000);
  expect(await codes()).toEqual([]);
  expect(await auditRepo(app).auditEvents(kept.site.id, 50)).toHaveLength(3);
});

test('twenty events at once stand one behind the other, and none is lost', async () => {
  await Promise.all(Array.from({ length: 20 }, () => write('exported', 'p-mo')));
  const numbers = (await auditRepo(kept.d.t.app).all(kept.site.id)).map((e) => e.n);
  expect(numbers).toEqual(numbers.map((_, i) => i + 1));
  expect(readAuditEnd(kept.site.id)?.n).toBe(numbers.length);
  expect(await codes()).toEqual([]);
});

const OTHER = `select gen_random_uuid(), site, at, event, who, about, 99, code from audit_event where n = 1`;
test.each([
  [
    'a role is raised',
    `update member set role = 'manager' where person = 'p-tad'`,
    'PLACE_CHANGED',
  ],
  ['a name is changed', `update "user" set name = 'Mo Too' where id = 'p-mo'`, 'PLACE_CHANGED'],
  ['a place is ended', `update member set ended = now() where person = 'p-mo'`, 'PLACE_CHANGED'],
  ['a place is taken away', `delete from member where person = 'p-tad'`, 'PLACE_CHANGED'],
  [
    'an event is another',
    `update audit_event set who = 'p-tad' where event = 'signed-in'`,
    'AUDIT_CHANGED',
  ],
  ['an event is of another day', `update audit_event set at = now() where n = 2`, 'AUDIT_CHANGED'],
  ['an event is gone from the middle', `delete from audit_event where n = 3`, 'AUDIT_CHANGED'],
  [
    'the last event is gone',
    `delete from audit_event where event = 'signed-in' and who = 'p-tad'`,
    'AUDIT_LOST',
  ],
  ['all events are gone', `delete from audit_event`, 'AUDIT_LOST'],
  [
    'an event is put in',
    `insert into audit_event (id, site, at, event, who, about, n, code) ${OTHER}`,
    'AUDIT_CHANGED',
  ],
  [
    'two events change places',
    `update audit_event set n = -n; update audit_event set n = case n when -3 then 4 when -4 then 3 else -n end`,
    'AUDIT_CHANGED',
  ],
  [
    'an event is said to be older than numbers',
    `update audit_event set n = null, code = null where n = 2`,
    'AUDIT_CHANGED',
  ],
  ['a visit saw something else', `update inspector_visit set ends = '{}'`, 'VISIT_CHANGED'],
  ['a visit never was', `delete from inspector_visit`, 'VISIT_CHANGED'],
  [
    'a visit is made up',
    `insert into inspector_visit (link, site, at, ends) select gen_random_uuid(), site, at, ends from inspector_visit`,
    'VISIT_CHANGED',
  ],
])('%s: it is told', async (_, statements, code) => {
  for (const statement of statements.split('; ')) await asDatabaseOwner(statement);
  expect(await codes()).toContain(code);
});

test('whose role it is, what it was and what it is now are found for the page of people', async () => {
  const { app } = kept.d.t;
  const tad = { person: 'p-tad', name: 'Tad', partner: '' };
  expect(await findChangedPlaces(app, kept.site.id)).toEqual([]);
  await asDatabaseOwner(`update member set role = 'manager' where person = 'p-tad'`);
  expect(await findChangedPlaces(app, kept.site.id)).toEqual([
    { person: 'p-tad', now: { ...tad, role: 'manager' }, was: { ...tad, role: 'trainee' } },
  ]);
  // A manager who saves the role has decided it.
  await memberRepo(app).setMember(placeOf('p-tad', 'crew'), 8_000);
  expect(await findChangedPlaces(app, kept.site.id)).toEqual([]);
  await asDatabaseOwner(`delete from member where person = 'p-tad'`);
  expect(await findChangedPlaces(app, kept.site.id)).toEqual([
    { person: 'p-tad', now: null, was: { ...tad, role: 'crew' } },
  ]);
});

test('two roles that were changed are one sentence on every page', async () => {
  const { app } = kept.d.t;
  await asDatabaseOwner(`update member set role = 'crew'`);
  const site = (await siteRepo(app).byId(kept.site.id))!;
  expect((await checkLogAndKeep(app, site, Date.now())).faults).toHaveLength(2);
  const { openFaultTexts } = await import('@/entry/server/trust');
  const said = await openFaultTexts(site, await snapshotRepo(app).siteState(site));
  expect(said).toEqual([expect.stringMatching(/name or role was changed in the database/)]);
});

test('a place that was given, and its line taken out again, is told: the role falls back and the last line is missed', async () => {
  const { app } = kept.d.t;
  await memberRepo(app).setMember(placeOf('p-tad', 'crew'), 5_000);
  await write('role-changed', 'p-mo');
  await asDatabaseOwner(`update member set role = 'trainee' where person = 'p-tad'`);
  await asDatabaseOwner(`delete from audit_event where n > 6`);
  expect(await codes()).toEqual(['AUDIT_LOST']);
});

test('a seal that was taken off before the upgrade is not put back by it', async () => {
  const { admin } = kept.d.t;
  await asDatabaseOwner('update site set sealed = null');
  fs.writeFileSync(path.join(tmp, 'key.version'), '1\n');
  await upgradeMemory(admin, 9_000);
  expect(await siteRepo(admin).isAsSealed(kept.site)).toBeNull();
});

test('a site that speaks another language than was sealed is told on every page', async () => {
  await asDatabaseOwner(`update site set language = 'es'`);
  const site = (await siteRepo(kept.d.t.app).byId(kept.site.id))!;
  const { faults } = await checkLogAndKeep(kept.d.t.app, site, Date.now());
  expect(faults.map((f) => f.code)).toEqual(['SITE_CHANGED']);
});

test('an installation from before is sealed once; what is changed afterwards is told', async () => {
  const { admin } = kept.d.t;
  await asDatabaseOwner(`delete from audit_event where event in ('place-set', 'visited')`);
  await asDatabaseOwner(`update audit_event set n = null, code = null`);
  fs.writeFileSync(path.join(tmp, 'key.version'), '1\n');
  for (const file of fs.readdirSync(tmp))
    if (file.startsWith('key.audit')) fs.rmSync(path.join(tmp, file));
  // As an older version sealed the site: its name, zone and unit alone.
  const { id, name, timeZone, unit } = kept.site;
  const facts = { format: 'zealous-heap/site-facts', id, name, timeZone, unit };
  await admin
    .updateTable('site')
    .set({ sealed: siteKey()!.sign(canonicalJson(facts)) })
    .execute();
  await upgradeMemory(admin, 9_000);
  expect(await codes()).toEqual([]);
  expect(await siteRepo(admin).isAsSealed(kept.site)).toBe(true);
  const before = await auditRepo(admin).all(kept.site.id);
  await upgradeMemory(admin, 10_000);
  expect(await auditRepo(admin).all(kept.site.id)).toEqual(before);
  await asDatabaseOwner(`update audit_event set n = null, code = null`);
  await asDatabaseOwner(`update member set role = 'manager' where person = 'p-tad'`);
  await upgradeMemory(admin, 11_000);
  expect(await codes()).toEqual(expect.arrayContaining(['AUDIT_CHANGED', 'PLACE_CHANGED']));
});
