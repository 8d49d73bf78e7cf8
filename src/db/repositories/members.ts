import { sql } from 'kysely';
import type { MemberRole } from '@/core/log/entered-by';
import type { Db } from '../client';

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

/** Ends a person's place on a site; what they logged stays theirs. */
async function endMembership(db: Db, site: string, person: string, at: number): Promise<void> {
  await db
    .updateTable('member')
    .set({ ended: new Date(at) })
    .where('site', '=', site)
    .where('person', '=', person)
    .execute();
}

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
  async setMember(
    member: { site: string; person: string; role: MemberRole; partner: string | null },
    at: number,
  ): Promise<void> {
    const { role, partner } = member;
    await db
      .insertInto('member')
      .values({ ...member, since: new Date(at), ended: null })
      .onConflict((c) => c.columns(['site', 'person']).doUpdateSet({ role, partner, ended: null }))
      .execute();
  },
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
