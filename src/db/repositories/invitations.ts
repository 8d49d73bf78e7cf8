import { sql, type Insertable, type Selectable } from 'kysely';
import type { MemberRole } from '@/core/log/entered-by';
import { newId } from '@/platform/ids';
import type { Db } from '../client';
import type { Database, LetsIn } from '../schema';

export type Invitation = {
  readonly id: string;
  readonly site: string | null;
  readonly letsIn: LetsIn;
  readonly role: MemberRole | null;
  readonly name: string | null;
  readonly partner: string | null;
  /** Whose password it gives anew; null: it does not. */ readonly person: string | null;
  readonly madeBy: string | null;
  readonly expiresAt: number;
};
export type NewInvitation = Omit<Invitation, 'id' | 'person'> & {
  readonly person?: string;
  readonly tokenHash: string;
  readonly madeAt: number;
};
/** Whether a link still lets in; `used`, `late` and `withdrawn` say why not. */
export type InvitationState = 'open' | 'used' | 'late' | 'withdrawn';

const rowOf = (id: string, i: NewInvitation): Insertable<Database['invitation']> => ({
  ...{ id, token_hash: i.tokenHash, site: i.site, lets_in: i.letsIn, role: i.role },
  ...{
    name: i.name,
    partner: i.partner,
    person: i.person ?? null,
    made_by: i.madeBy,
    made_at: new Date(i.madeAt),
  },
  expires_at: new Date(i.expiresAt),
  used_at: null,
  withdrawn_at: null,
});

type Row = Selectable<Database['invitation']>;
const invitationOfRow = ({ id, site, role, name, partner, person, ...r }: Row): Invitation => ({
  ...{ id, site, role, name, partner, person, letsIn: r.lets_in, madeBy: r.made_by },
  expiresAt: r.expires_at.getTime(),
});

function stateOf({ used_at, withdrawn_at, expires_at }: Row, now: number): InvitationState {
  if (used_at !== null) return 'used';
  if (withdrawn_at !== null) return 'withdrawn';
  return expires_at.getTime() <= now ? 'late' : 'open';
}

/** A link that nobody has used yet lets nobody in any more. */
async function withdraw(db: Db, site: string, id: string, at: number): Promise<void> {
  await db
    .updateTable('invitation')
    .set({ withdrawn_at: new Date(at) })
    .where('site', '=', site)
    .where('id', '=', id)
    .where('used_at', 'is', null)
    .execute();
}

/** Links for a manager that were printed and not used: once one has come in, none of the others lets anybody in. */
async function withdrawFirst(db: Db, at: number): Promise<void> {
  await db
    .updateTable('invitation')
    .set({ withdrawn_at: new Date(at) })
    .where('lets_in', '=', 'first')
    .where('used_at', 'is', null)
    .where('withdrawn_at', 'is', null)
    .execute();
}

/** Uses an invitation up. @returns whether it was still open: of two who use it at once, one is let in */
async function use(db: Db, id: string, at: number): Promise<boolean> {
  const used = await db
    .updateTable('invitation')
    .set({ used_at: new Date(at) })
    .where('id', '=', id)
    .where('used_at', 'is', null)
    .where('withdrawn_at', 'is', null)
    .where('expires_at', '>', new Date(at))
    .executeTakeFirst();
  return used.numUpdatedRows > 0n;
}

/** A link that lets in holds for a week. */
export const INVITATION_MS = 7 * 24 * 60 * 60 * 1000;

/** Links that let people and phones in. */
export const invitationRepo = (db: Db) => ({
  async invite(invitation: NewInvitation): Promise<string> {
    const id = newId();
    await db.insertInto('invitation').values(rowOf(id, invitation)).execute();
    return id;
  },
  /** The site that a token lets into, asked before a site is known; null: none, or one that has no name yet. */
  async siteOfToken(tokenHash: string): Promise<string | null> {
    const { rows } = await sql<{ site: string | null }>`
      select site_of_invitation(${tokenHash}) as site`.execute(db);
    return rows[0]?.site ?? null;
  },
  /** The invitation behind a token, and whether it still lets in; null: there is none. */
  async invitationOf(
    tokenHash: string,
    now: number,
  ): Promise<{ invitation: Invitation; state: InvitationState } | null> {
    const r = await db
      .selectFrom('invitation')
      .selectAll()
      .where('token_hash', '=', tokenHash)
      .executeTakeFirst();
    if (!r) return null;
    return { invitation: invitationOfRow(r), state: stateOf(r, now) };
  },
  useInvitation: (id: string, at: number) => use(db, id, at),
  /** Gives an invitation back that was used up for an account that could not be made. @param at when it was used up */
  async reopenInvitation(id: string, at: number): Promise<void> {
    await db
      .updateTable('invitation')
      .set({ used_at: null })
      .where('id', '=', id)
      .where('used_at', '=', new Date(at))
      .execute();
  },
  /** Invitations of a site that nobody has used yet, the newest first. */
  async openInvitations(site: string, now: number): Promise<Invitation[]> {
    const rows = await db
      .selectFrom('invitation')
      .selectAll()
      .where('site', '=', site)
      .where('used_at', 'is', null)
      .where('withdrawn_at', 'is', null)
      .where('expires_at', '>', new Date(now))
      .orderBy('made_at', 'desc')
      .execute();
    return rows.map(invitationOfRow);
  },
  withdrawFirstLinks: (at: number) => withdrawFirst(db, at),
  withdrawInvitation: (site: string, id: string, at: number) => withdraw(db, site, id, at),
});
