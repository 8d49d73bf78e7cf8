import { sql } from 'kysely';
import type { MemberRole } from '@/core/log/entered-by';
import { newId } from '@/platform/ids';
import type { Db } from '../client';
import type { LetsIn } from '../schema';

export type Invitation = {
  readonly id: string;
  readonly site: string | null;
  readonly letsIn: LetsIn;
  readonly role: MemberRole | null;
  readonly name: string | null;
  readonly partner: string | null;
  readonly expiresAt: number;
};
export type NewInvitation = Omit<Invitation, 'id'> & {
  readonly tokenHash: string;
  readonly madeBy: string | null;
  readonly madeAt: number;
};
/** Whether a link still lets in; `used`, `late` and `withdrawn` say why not. */
export type InvitationState = 'open' | 'used' | 'late' | 'withdrawn';

/** Links that let people and phones in. */
export const invitationRepo = (db: Db) => ({
  async invite({ tokenHash, ...i }: NewInvitation): Promise<string> {
    const id = newId();
    await db
      .insertInto('invitation')
      .values({
        ...{ id, token_hash: tokenHash, site: i.site, lets_in: i.letsIn, role: i.role },
        ...{ name: i.name, partner: i.partner, made_by: i.madeBy, made_at: new Date(i.madeAt) },
        expires_at: new Date(i.expiresAt),
        used_at: null,
        withdrawn_at: null,
      })
      .execute();
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
    const state: InvitationState =
      r.used_at !== null
        ? 'used'
        : r.withdrawn_at !== null
          ? 'withdrawn'
          : r.expires_at.getTime() <= now
            ? 'late'
            : 'open';
    const { id, site, role, name, partner } = r;
    return {
      invitation: {
        id,
        site,
        role,
        name,
        partner,
        letsIn: r.lets_in,
        expiresAt: r.expires_at.getTime(),
      },
      state,
    };
  },
  /** Uses an invitation up. @returns whether it was still open: of two who use it at once, one is let in */
  async useInvitation(id: string, at: number): Promise<boolean> {
    const used = await db
      .updateTable('invitation')
      .set({ used_at: new Date(at) })
      .where('id', '=', id)
      .where('used_at', 'is', null)
      .where('withdrawn_at', 'is', null)
      .where('expires_at', '>', new Date(at))
      .executeTakeFirst();
    return used.numUpdatedRows > 0n;
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
    return rows.map(({ id, role, name, partner, ...r }) => ({
      ...{ id, site, role, name, partner, letsIn: r.lets_in },
      expiresAt: r.expires_at.getTime(),
    }));
  },
  async withdrawInvitation(site: string, id: string, at: number): Promise<void> {
    await db
      .updateTable('invitation')
      .set({ withdrawn_at: new Date(at) })
      .where('site', '=', site)
      .where('id', '=', id)
      .where('used_at', 'is', null)
      .execute();
  },
});
