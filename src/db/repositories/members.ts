import { sql } from 'kysely';
import type { MemberRole } from '@/core/log/entered-by';
import type { Db } from '../client';
import { inTransaction } from '../in-transaction';
import { auditRepo } from './audit';

/** Somebody with a place on a site. */
export type Member = {
  readonly person: string;
  readonly name: string;
  /** What the person signs in by; null: they are made up, or have none yet. */
  readonly username: string | null;
  readonly role: MemberRole;
  readonly partner: string | null;
  readonly since: number;
  /** Whether signing in asks them for a one-time code. */ readonly hasCodes: boolean;
  /** Whether their name asks for a PIN on a shared phone. */ readonly hasPin: boolean;
};
export type Membership = {
  readonly site: string;
  readonly role: MemberRole;
  readonly partner: string | null;
};

/** What an audit event records of a person's place with each change of it, for a check to compare the table with. */
export type PlaceFacts = {
  readonly person: string;
  readonly name: string;
  /** Empty: it has ended. */ readonly role: string;
  readonly partner: string;
};

/** Every place of a site, ended or not. */
async function placesOf(db: Db, site: string): Promise<PlaceFacts[]> {
  const rows = await db
    .selectFrom('member')
    .innerJoin('user', 'user.id', 'member.person')
    .select(['person', 'name', 'role', 'partner', 'ended'])
    .where('site', '=', site)
    .execute();
  return rows.map(({ person, name, role, partner, ended }) => ({
    ...{ person, name, role: ended === null ? role : '', partner: partner ?? '' },
  }));
}

/** Records a person's place as an audit event, so that a later change of the table alone is detected. */
export async function recordPlace(db: Db, site: string, person: string, at: number): Promise<void> {
  const facts = (await placesOf(db, site)).find((p) => p.person === person);
  if (facts) await auditRepo(db).audit({ event: 'place-set', site, who: null, about: facts }, at);
}

/** Ends a person's place on a site; what they logged stays theirs. */
const endMembership = (db: Db, site: string, person: string, at: number): Promise<void> =>
  inTransaction(db, async (trx) => {
    await trx
      .updateTable('member')
      .set({ ended: new Date(at) })
      .where('site', '=', site)
      .where('person', '=', person)
      .execute();
    await recordPlace(trx, site, person, at);
  });

type NewPlace = Membership & { readonly person: string };
const setMember = (db: Db, { site, person, role, partner }: NewPlace, at: number): Promise<void> =>
  inTransaction(db, async (trx) => {
    await trx
      .insertInto('member')
      .values({ site, person, role, partner, since: new Date(at), ended: null })
      .onConflict((c) => c.columns(['site', 'person']).doUpdateSet({ role, partner, ended: null }))
      .execute();
    await recordPlace(trx, site, person, at);
  });

/** A made-up person of the demo, who signs in by being picked. */
async function createDemoPerson(db: Db, id: string, name: string): Promise<void> {
  await db
    .insertInto('user')
    .values({ id, name, email: `${id}@users.invalid`, username: null, emailVerified: false })
    .onConflict((c) => c.column('id').doUpdateSet({ name }))
    .execute();
}

/** Who belongs to a site, and what they are there. */
export const memberRepo = (db: Db) => ({
  /** Everybody who has a place on a site now, by name. */
  async members(site: string): Promise<Member[]> {
    const rows = await db
      .selectFrom('member')
      .innerJoin('user', 'user.id', 'member.person')
      .select(['person', 'name', 'username', 'role', 'partner', 'since'])
      .select('twoFactorEnabled')
      .select((e) => e('pin_hash', 'is not', null).as('hasPin'))
      .where('site', '=', site)
      .where('ended', 'is', null)
      .orderBy('name')
      .execute();
    return rows.map(({ twoFactorEnabled, hasPin, ...r }) => ({
      ...{ ...r, since: r.since.getTime() },
      ...{ hasCodes: twoFactorEnabled === true, hasPin: Boolean(hasPin) },
    }));
  },
  /** Where a person has a place, the first one first. */
  async memberships(person: string): Promise<readonly Membership[]> {
    // Asked before a site is known: the function gives this one person's places alone.
    const { rows } = await sql<Membership>`select * from places_of(${person})`.execute(db);
    return rows;
  },
  /** Whether anybody has an account yet. */
  async hasAccounts(): Promise<boolean> {
    return (await db.selectFrom('user').select('id').limit(1).executeTakeFirst()) !== undefined;
  },
  /** Whose user name it is; null: nobody's. */
  async personOf(username: string): Promise<string | null> {
    const row = await db
      .selectFrom('user')
      .select('id')
      .where('username', '=', username.toLowerCase())
      .executeTakeFirst();
    return row?.id ?? null;
  },
  /** Gives a person a place on a site, or another one than before. */
  setMember: (place: NewPlace, at: number): Promise<void> => setMember(db, place, at),
  placesOf: (site: string): Promise<readonly PlaceFacts[]> => placesOf(db, site),
  endMembership: (site: string, person: string, at: number) => endMembership(db, site, person, at),
  /** Whether anybody manages any site of this installation. */
  async hasManager(): Promise<boolean> {
    const row = await db
      .selectFrom('member')
      .select('person')
      .where('role', '=', 'manager')
      .where('ended', 'is', null)
      .limit(1)
      .executeTakeFirst();
    return row !== undefined;
  },
  createDemoPerson: (id: string, name: string) => createDemoPerson(db, id, name),
});
