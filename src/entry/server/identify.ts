import { say } from '@/messages/say';
import {
  logsInOwnName,
  may,
  roleOnSharedDevice,
  type CorrectionSubject,
} from '@/core/access/roles';
import { enteredByOf, isByTrainee, isSameName, type EnteredBy } from '@/core/log/entered-by';
import { deviceOf, type NewEntry } from '@/core/log/entry';
import { zoneOf } from '@/core/quantity/calendar';
import { listText } from '@/core/quantity/format';
import type { Problem } from '@/core/words/problem';
import type { Access } from '@/db/access';
import type { Db } from '@/db/client';
import { currentAccess } from '@/db/context';
import { auditRepo } from '@/db/repositories/audit';
import { logRepo } from '@/db/repositories/log';
import { pinRepo } from '@/db/repositories/pins';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { memberRepo, type Member } from '@/db/repositories/members';
import { now } from '@/platform/clock';
import type { Site } from '@/db/repositories/site';
import { roleName } from '../role-name';

/** Whose hand brings an entry; or why it cannot be taken. `again`: it stays on the device until somebody else has signed in. */
export type Identified =
  | { readonly ok: true; readonly enteredBy: EnteredBy }
  | { readonly ok: false; readonly problem: Problem; readonly again: boolean };

const refused = (path: string, message: string, again = false): Identified => ({
  ok: false,
  problem: { path, message },
  again,
});

/** Who brings an entry, as the server sees it: whoever has signed in, or whom a shared phone names. */
export async function identify(db: Db, site: Site, entry: NewEntry): Promise<Identified> {
  const access = await currentAccess();
  const who = await whoBrings(db, site, access, entry);
  if (!who.ok) return who;
  const { person, role } = who.enteredBy;
  const corrects =
    entry.kind === 'correction' ? await correctedBy(db, site, person, entry.data.target) : null;
  const subject = { kind: entry.kind, ...(corrects ? { corrects } : {}) };
  if (may(role, 'log', subject)) return who;
  await auditRepo(db).audit(
    { event: 'entry-refused', site: site.id, who: person, about: { kind: entry.kind } },
    now(),
  );
  return refused('role', say('people.notLoggedByRole', { role: roleName(role) }));
}

async function whoBrings(
  db: Db,
  site: Site,
  { person, device }: Access,
  entry: NewEntry,
): Promise<Identified> {
  const { by, kind } = entry;
  // What a phone says by itself is nobody's work: whoever holds it brings it.
  const isWork = kind !== 'witness';
  const other = isWork ? await otherHand(db, site, { person, device }, entry) : null;
  if (other !== null) return other;
  if (person?.role) {
    const { id, name, role } = person;
    return isWork && logsInOwnName(role) && !isSameName(by, name)
      ? refused('by', say('people.onlyOwnName', { by, name }), true)
      : { ok: true, enteredBy: await enteredAs(db, site, { person: id, name, role }) };
  }
  return device
    ? namedOnDevice(db, site, device, by, isWork)
    : refused('by', say('people.signInFirst'), true);
}

/**
 * An entry that somebody else logged on this device than uses it now. It waits for them, or is sent by whoever has signed in, by a press
 * that named both: then it stays the work of who logged it. Null: it is whoever's uses the device, or does not say.
 */
async function otherHand(
  db: Db,
  site: Site,
  { person, device }: Pick<Access, 'person' | 'device'>,
  { by, data }: NewEntry,
): Promise<Identified | null> {
  const { person: typist, phone, handedTo } = deviceOf(data) ?? {};
  const [whose, here] = typist ? [typist, person] : [phone, device];
  if (whose === undefined || whose.id === here?.id) return null;
  // Whoever logs in their own name alone sends nobody else's work either.
  if (!person?.role || logsInOwnName(person.role) || handedTo !== person.id)
    return refused('person', say('people.waitsFor', { name: whose.name }), true);
  const members = await memberRepo(db).members(site.id);
  const logged = typist
    ? members.find((m) => m.person === typist.id)
    : members.find((m) => isSameName(m.name, by));
  // Somebody who has no place here any more is looked over like a trainee.
  const loggedBy = { name: logged?.name ?? by, role: logged?.role ?? ('trainee' as const) };
  const { id, name, role } = person;
  return { ok: true, enteredBy: await enteredAs(db, site, { person: id, name, role, loggedBy }) };
}

/** Somebody of the site, as a shared phone names them: it is the phone that was let in, the name says whose hand it is in. */
async function namedOnDevice(
  db: Db,
  site: Site,
  device: NonNullable<Access['device']>,
  by: string,
  isWork: boolean,
): Promise<Identified> {
  const members = (await memberRepo(db).members(site.id)).filter((m) => m.role !== 'partner');
  const named = members.filter((m) => isSameName(m.name, by));
  // From before a name was given once on a site: nobody's work is put in another's name.
  if (isWork && named.length > 1) return refused('by', say('people.nameTwice', { by }), true);
  const member = named[0] ?? (isWork ? undefined : members[0]);
  if (!member) return refused('by', say('people.noSuchMember', { by, names: namesOf(members) }));
  const { person, name } = member;
  if (isWork && member.hasPin && !(await pinRepo(db).isHand(device.id, person)))
    return refused('by', say('people.pinFirst', { name }), true);
  const role = roleOnSharedDevice(member.role);
  return { ok: true, enteredBy: await enteredAs(db, site, { person, name, role, device }) };
}

/** Who brings an entry, with what the site has laid down about trainees by now. */
async function enteredAs(db: Db, site: Site, by: EnteredBy): Promise<EnteredBy> {
  if (!isByTrainee({ enteredBy: by })) return by;
  const { traineesCountAtOnce } = await snapshotRepo(db).siteState(site);
  return traineesCountAtOnce ? { ...by, countsAtOnce: true } : by;
}

const namesOf = (members: readonly Member[]): string => listText(members.map((m) => m.name));

/** What a correction corrects, as far as it matters who makes it; null: there is no such entry. */
async function correctedBy(
  db: Db,
  { timeZone }: Site,
  person: string,
  target: Extract<NewEntry, { kind: 'correction' }>['data']['target'],
): Promise<CorrectionSubject | null> {
  const held = await logRepo(db).byId(target);
  if (!held) return null;
  const { dayNumber } = zoneOf(timeZone);
  return {
    isOwn: enteredByOf(held.data)?.person === person,
    isOfToday: dayNumber(held.recordedAt) === dayNumber(now()),
  };
}

/** An entry with whose sign-in brought it. */
export const withEnteredBy = <E extends NewEntry>(entry: E, enteredBy: EnteredBy): E => ({
  ...entry,
  data: { ...entry.data, enteredBy },
});

/** The data of an entry without that: what came from the device. */
export function withoutEnteredBy<D extends object>(data: D): D {
  const { enteredBy: _server, ...sent } = data as D & { enteredBy?: unknown };
  return sent as D;
}
